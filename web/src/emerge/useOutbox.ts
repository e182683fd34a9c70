import { useSyncExternalStore } from 'react';
import { queryClient } from '../api/queries';
import { Outbox, postLetter } from './outbox';

export const outbox = new Outbox(window.localStorage, postLetter, () => void queryClient.invalidateQueries());
window.addEventListener('online', () => void outbox.flush());
void outbox.flush();

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.current);
