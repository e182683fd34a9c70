import { counted } from '../look/words';
import { outbox, useOutbox } from './useOutbox';

/** What waits for a connection, and what was refused; nothing is dropped silently. */
export function OutboxNotice() {
  const state = useOutbox();
  if (state.waiting.length === 0 && state.refused.length === 0) return null;
  return (
    <div className="mx-auto w-full max-w-7xl px-4 pt-3">
      {state.waiting.length > 0 && (
        <p role="status" className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {counted(state.waiting.length, 'entry', 'entries')} kept on this device until there is a connection:{' '}
          {state.waiting.map((letter) => letter.words).join('; ')}.{' '}
          <button className="min-h-11 underline" onClick={() => void outbox.flush()}>Send now</button>
        </p>
      )}
      {state.refused.map(({ letter, message }) => (
        <p key={letter.requestId} role="alert" className="mt-1 border-l-4 border-brick bg-brick-wash p-3 text-brick">
          {letter.words}: {message}{' '}
          <button className="min-h-11 underline" onClick={() => outbox.dismiss(letter.requestId)}>Put away</button>
        </p>
      ))}
    </div>
  );
}
