import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { SessionView } from '../api/client';
import { say } from '../words/say';
import { walkOf } from './pages';

const key = (person: number) => `kiver.walked.${person}`;

/** Whether somebody has walked round or said no; a device that keeps nothing does not ask either. */
function hasWalked(person: number): boolean {
  try {
    return localStorage.getItem(key(person)) !== null;
  } catch {
    return true;
  }
}

function remember(person: number) {
  try {
    localStorage.setItem(key(person), 'yes');
  } catch {
    // A device that keeps nothing will not ask either.
  }
}

/** Offers whoever is new a walk through the pages of their work, which can be left at any step. */
export function FirstWalk({ session }: { session: SessionView }) {
  const person = session.person ?? 0;
  const [over, setOver] = useState(() => hasWalked(person));
  const [step, setStep] = useState<number>();
  const navigate = useNavigate();
  if (over) return null;
  const steps = walkOf(session.role);
  const go = (to: number) => {
    setStep(to);
    void navigate(steps[to]!.at);
  };
  const leave = () => {
    remember(person);
    setOver(true);
  };
  const here = step === undefined ? undefined : steps[step];
  return (
    <aside aria-label={say('First walk')} className="no-print mx-auto w-full max-w-7xl px-4">
      <div className="border-l-4 border-dusk bg-wash">
        {here === undefined || step === undefined ? (
          <p className="flex flex-wrap items-center gap-x-1 pl-3 text-sm">
            <span className="grow">{say('New here?')}</span>
            <button type="button" className="trail min-h-11 px-2" onClick={() => go(0)}>
              {say('{steps, plural, one {Show me the page} other {Show me round in # steps}}', { steps: steps.length })}
            </button>
            <button type="button" className="trail min-h-11 px-2" onClick={leave}>
              {say('No')}
            </button>
          </p>
        ) : (
          <div className="p-3" role="status">
            <p>
              <strong>{say('{step} of {steps}: {name}.', { step: step + 1, steps: steps.length, name: here.name })}</strong> {here.purpose}
            </p>
            <p className="text-sm">{say('Try it: {what}', { what: here.tries[0] })}</p>
            <p className="flex flex-wrap gap-x-1">
              {step > 0 && (
                <button type="button" className="trail min-h-11 px-2" onClick={() => go(step - 1)}>
                  {say('Back')}
                </button>
              )}
              {step + 1 < steps.length && (
                <button type="button" className="trail min-h-11 px-2" onClick={() => go(step + 1)}>
                  {say('Next: {name}', { name: steps[step + 1]!.name })}
                </button>
              )}
              <button type="button" className="trail min-h-11 px-2" onClick={leave}>
                {step + 1 < steps.length ? say('Leave the walk') : say('Done')}
              </button>
            </p>
          </div>
        )}
      </div>
    </aside>
  );
}
