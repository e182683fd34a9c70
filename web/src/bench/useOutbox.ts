import { useState, useSyncExternalStore } from 'react';
import { Refused } from '../api/client';
import { newRequestId, queryClient, refresh, useChange, useSession } from '../api/queries';
import { RequestNumber } from '../api/requestNumber';
import { Outbox, postLetter, type Alone } from './outbox';
import { announce } from '../look/announce';
import { say } from '../words/say';
import { timeOfDay } from '../api/occasion';

/** One tab sends at a time, so that letters arrive in their order. */
const alone: Alone = (work) => ('locks' in navigator ? navigator.locks.request('kiver.outbox', () => work()).then(() => undefined) : work());

export const outbox = new Outbox(window.localStorage, postLetter, () => void refresh(queryClient), alone);
window.addEventListener('online', () => void outbox.flush());
window.addEventListener('storage', () => outbox.reread());

/** What is entered for today is being done; of what was done earlier the hour is not known. */
const doneNow = (day: unknown, today: string): string | undefined => (day === today || day == null ? timeOfDay() : undefined);

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.current);

/** Why something could not be recorded on this device, in words. */
export const whyNot = (thrown: unknown): string => (thrown instanceof Error ? thrown.message : String(thrown));

/**
 * Records something that was done at the bench, now, by the person signed in: it is kept on this device and sent as soon
 * as there is a connection, with the day on which it was done.
 */
export function useRecord(): (path: string, body: Record<string, unknown>, words: string, requestId?: string) => Promise<void> {
  const session = useSession().data;
  return async (path, body, words, requestId = newRequestId()) => {
    if (session?.person == null) throw new Error(say('Nobody is signed in.'));
    try {
      const dated = { day: session.today, ...body };
      const time = doneNow(dated.day, session.today);
      await outbox.add({ requestId, path, body: dated, words, by: session.person, byName: session.name ?? '', time });
      announce(say('{words}: recorded.', { words }));
    } catch {
      throw new Error(say('This device has no room left to keep what you record. Nothing was recorded; free some room and try again.'));
    }
  };
}

/**
 * A change at the bench from a form: sent at once where there is a connection, so that what is wrong is said at its
 * entry; where there is none it is kept like a count and sent later, in its order and with the day on which it was made.
 */
export function useBenchChange<Entry extends Record<string, unknown>>(path: string, words: (entry: Entry) => string) {
  const session = useSession().data;
  const keep = useRecord();
  const [number] = useState(() => new RequestNumber());
  return useChange<Entry, 'sent' | 'kept'>(async (entry) => {
    if (session?.person == null) throw new Refused(401, say('You are no longer signed in.'), []);
    const body = { day: session.today, ...entry };
    if (outbox.current().waiting.length === 0) {
      const requestId = number.of([path, body]);
      const letter = { requestId, path, body, words: words(entry), by: session.person, byName: session.name ?? '', at: 0 };
      const problem = await postLetter({ ...letter, time: doneNow(body.day, session.today) });
      if (!problem) {
        number.done();
        announce(say('{words}: saved.', { words: words(entry) }));
        return 'sent';
      }
      if (!problem.mayPassLater) throw problem;
      await keep(path, body, words(entry), requestId);
      number.done();
      announce(say('{words}: kept here, to be sent later.', { words: words(entry) }));
      return 'kept';
    }
    await keep(path, body, words(entry));
    return 'kept';
  });
}
