import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { Refused } from '../api/client';
import { say } from '../words/say';

const LONG_WAIT = 5_000;
const CELLS = [0, 1, 2, 3, 4, 5, 6, 7];

/** While something is fetched: a tray that fills; after some seconds a word that it goes on. */
export function Loading({ what }: { what: string }) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG_WAIT);
    return () => clearTimeout(timer);
  }, []);
  return (
    <div role="status" className="flex items-center gap-4 p-6 text-pencil">
      <svg aria-hidden viewBox="0 0 44 22" className="h-8 w-16 shrink-0" fill="none" stroke="currentColor" strokeWidth="1.200">
        {CELLS.map((cell) => (
          <rect
            key={cell}
            x={2 + (cell % 4) * 10.5}
            y={2 + Math.floor(cell / 4) * 9.5}
            width="8"
            height="7"
            className="filling-cell"
            style={{ animationDelay: `${cell * 0.15}s` }}
          />
        ))}
      </svg>
      <p>
        {say('Fetching {what}…', { what })}
        {long && <span className="block">{say('This takes longer than usual; it is still being worked on.')}</span>}
      </p>
    </div>
  );
}

/** What can and what cannot be done on the page one is on without a connection. */
export const WithoutConnection = createContext<string | undefined>(undefined);

/** When something could not be fetched. */
export function Trouble({ error, retry }: { error: Error; retry: () => void }) {
  const here = useContext(WithoutConnection);
  return (
    <div role="alert" className="board m-4 max-w-xl border-l-4 border-l-brick p-4">
      <h2>{offline(error) ? say('Offline') : say('This could not be fetched')}</h2>
      <p className="my-2">{error.message}</p>
      {offline(error) && here && <p className="my-2 text-pencil">{here}</p>}
      <button className="act" onClick={retry}>
        {say('Try again')}
      </button>
    </div>
  );
}

function offline(error: Error): boolean {
  return error instanceof Refused && error.status === 0;
}

/** When Kiver or its records are away: says so, and comes back by itself. */
export function Away({ error }: { error: Error }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-3 p-6" role="alert">
      <h1>{offline(error) ? say('No connection to Kiver') : say('Kiver is away for a moment')}</h1>
      <p>{error.message}</p>
      <p className="text-pencil">{say('This page tries again every few seconds and comes back by itself.')}</p>
    </main>
  );
}

/** When there is nothing to show. */
export function Nothing({ children }: { children: ReactNode }) {
  return <p className="board border-dashed p-4 text-pencil">{children}</p>;
}

/** What is wrong with a whole form, above its button. */
export function Refusal({ message }: { message: string | undefined }) {
  if (!message) return null;
  return (
    <p role="alert" className="border-l-4 border-brick bg-brick-wash p-3 text-brick">
      {message}
    </p>
  );
}

/** The usual caution, said where the work is done. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p className="border-l-4 border-ochre bg-ochre-wash p-3 text-sm text-ochre">
      <strong>{say('Mind:')} </strong>
      {children} {say('Local rules and licensed practice go first.')}
    </p>
  );
}
