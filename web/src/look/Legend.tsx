import { useEffect, useState } from 'react';
import { Sheet } from './Sheet';
import { type Mark, STAGE_WORDS, StageMark } from './StageMark';
import { say } from '../words/say';

const MEANING: Record<Mark, string> = {
  PLANNED: say('cells are set aside, nothing is sown'),
  SOWN: say('seed lies below the surface'),
  EMERGING: say('the first hooks show; count'),
  GROWING_ON: say('all counted; leaves unfold'),
  POTTED_ON: say('goes on into a larger container'),
  HARDENING_OFF: say('out in the wind, a little longer each day'),
  READY: say('hardened, plug holds, fit to go'),
  RELEASED: say('gone to the grower'),
  FAILED: say('nothing left alive'),
  PAST_BEST: say('too many leaves for its cell, roots circling'),
};

/** What the marks mean; opened with the question mark key from anywhere. */
export function Legend() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest('input, textarea, select');
      if (event.key === '?' && !typing) setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button className="trail min-h-11 px-2 text-sm" onClick={() => setOpen(true)}>
        {say('Marks')} <kbd className="hidden sm:inline">?</kbd>
      </button>
      <Sheet title={say('What the marks mean')} open={open} close={() => setOpen(false)}>
        <dl className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-2">
          {(Object.keys(MEANING) as Mark[]).map((stage) => (
            <div key={stage} className="contents">
              <dt className="font-semibold">
                <StageMark stage={stage} named size={28} />
              </dt>
              <dd className="text-pencil">{MEANING[stage]}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-4 text-sm text-pencil">
          {say('{planned} to {released} is the path of every batch.', { planned: STAGE_WORDS.PLANNED, released: STAGE_WORDS.RELEASED.toLowerCase() })}
        </p>
      </Sheet>
    </>
  );
}
