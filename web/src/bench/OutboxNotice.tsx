import { counted } from '../look/words';
import { outbox, useOutbox } from './useOutbox';

/** What waits for a connection, what waits for somebody else, and what was refused; nothing is dropped silently. */
export function OutboxNotice() {
  const state = useOutbox();
  if (state.waiting.length === 0 && state.refused.length === 0 && state.ofOthers.length === 0) return null;
  const others = [...new Set(state.ofOthers.map((letter) => letter.byName))];
  return (
    <div className="mx-auto w-full max-w-7xl px-4 pt-3">
      {state.waiting.length > 0 && (
        <p role="status" className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {counted(state.waiting.length, 'entry', 'entries')} kept on this device until there is a connection:{' '}
          {state.waiting.map((letter) => letter.words).join('; ')}.{' '}
          <button className="min-h-11 underline" onClick={() => void outbox.flush()}>Send now</button>
        </p>
      )}
      {others.length > 0 && (
        <p role="status" className="mt-1 border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {counted(state.ofOthers.length, 'entry', 'entries')} of {others.join(' and ')} kept on this device. They are sent
          when {others.length > 1 ? 'they sign in' : `${others[0]} signs in`} here again.
        </p>
      )}
      {state.refused.map(({ letter, message }) => (
        <p key={letter.requestId} role="alert" className="mt-1 border-l-4 border-brick bg-brick-wash p-3 text-brick">
          {letter.words}, recorded by {letter.byName}: {message}{' '}
          <button className="min-h-11 underline" onClick={() => outbox.dismiss(letter.requestId)}>Put away</button>
        </p>
      ))}
    </div>
  );
}
