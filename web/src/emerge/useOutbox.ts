import { useSyncExternalStore } from 'react';
import { queryClient, refresh } from '../api/queries';
import { Outbox, postLetter } from './outbox';

export const outbox = new Outbox(window.localStorage, postLetter, () => void refresh(queryClient));
window.addEventListener('online', () => void outbox.flush());
void outbox.flush();

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.current);
