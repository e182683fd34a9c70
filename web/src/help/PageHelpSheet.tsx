import { useCallback, useState } from 'react';
import { useLocation } from 'react-router';
import type { SessionView } from '../api/client';
import { Sheet } from '../look/Sheet';
import { useKey } from '../look/useKey';
import { say } from '../words/say';
import { helpAt } from './pages';

const KEYS: [string, string][] = [
  ['/', say('find anything')],
  ['p', say('can we promise it?')],
  ['?', say('what the marks mean')],
  ['h', say('what this page is for')],
];

/** What the page one is on is for, in the words of the work; opened from any page with one key. */
export function PageHelpSheet({ role }: { role: SessionView['role'] }) {
  const [open, setOpen] = useState(false);
  const show = useCallback(() => setOpen(true), []);
  useKey('h', show);
  const { pathname } = useLocation();
  const help = helpAt(pathname, role);
  return (
    <>
      <button className="trail min-h-11 px-2 text-sm" onClick={show}>
        {say('Help')} <kbd className="hidden 2xl:inline">h</kbd>
      </button>
      <Sheet title={help?.name ?? say('Help')} open={open} close={() => setOpen(false)}>
        {help ? (
          <>
            <p className="mb-2">{help.purpose}</p>
            <ul className="list-disc pl-5">
              {help.tries.map((each) => (
                <li key={each} className="py-0.5">
                  {each}
                </li>
              ))}
            </ul>
          </>
        ) : (
          <p>{say('This page shows one thing; its buttons say what they do.')}</p>
        )}
        {role !== 'GROWER' && (
          <dl className="mt-4 grid grid-cols-[2.5rem_1fr] gap-y-1 border-t border-rule pt-3 text-sm">
            {KEYS.filter(([key]) => key !== 'p' || role === 'PROPAGATOR').map(([key, words]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd className="font-semibold">{key}</kbd>
                </dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
        )}
      </Sheet>
    </>
  );
}
