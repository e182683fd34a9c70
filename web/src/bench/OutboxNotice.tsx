import { Link } from 'react-router';
import { useSession } from '../api/queries';
import { useUnread } from './photographs';
import { outbox, useOutbox } from './useOutbox';
import { Clash } from './Clash';
import { say } from '../words/say';
import { listWords } from '../words/phrases';

/** What waits for a connection, what waits for somebody else, and what was refused; nothing is dropped silently. */
export function OutboxNotice() {
  const state = useOutbox();
  const unread = useUnread(useSession().data?.person);
  if (state.waiting.length === 0 && state.refused.length === 0 && state.ofOthers.length === 0 && unread.length === 0) return null;
  const others = [...new Set(state.ofOthers.map((letter) => letter.byName))];
  return (
    <div className="mx-auto w-full max-w-7xl px-4 pt-3">
      {state.waiting.length > 0 && (
        <p role="status" className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {say('{entries, plural, one {# entry} other {# entries}} kept on this device until there is a connection: {waiting}.', {
            entries: state.waiting.length,
            waiting: state.waiting.map((letter) => letter.words).join('; '),
          })}{' '}
          <button className="min-h-11 underline" onClick={() => void outbox.flush()}>
            {say('Send now')}
          </button>
        </p>
      )}
      {unread.length > 0 && (
        <p role="status" className="mt-1 border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {say('{photographs, plural, one {# photograph waits} other {# photographs wait}} here to be read when there is a connection:', {
            photographs: unread.length,
          })}{' '}
          {[...new Set(unread.map((each) => each.tray))].map((tray) => (
            <Link key={tray} className="mr-2 inline-flex min-h-11 items-center underline" to={`/trays/${tray}`}>
              {say('tray T{tray}', { tray })}
            </Link>
          ))}
        </p>
      )}
      {others.length > 0 && (
        <p role="status" className="mt-1 border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {say('{entries, plural, one {# entry} other {# entries}} of {others} kept on this device. They are sent when {what} here again.', {
            entries: state.ofOthers.length,
            others: listWords(others),
            what: others.length > 1 ? say('they sign in') : say('{others} signs in', { others: others[0] }),
          })}
        </p>
      )}
      {state.refused.map(({ letter, message }) => (
        <Clash key={letter.requestId} letter={letter} message={message} />
      ))}
    </div>
  );
}
