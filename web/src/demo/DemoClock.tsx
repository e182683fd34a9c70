import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { Sheet } from '../look/Sheet';
import { say } from '../words/say';

/** Lets days pass in the demonstration. */
export function DemoClock() {
  const [open, setOpen] = useState(false);
  const [days, setDays] = useState(1);
  const [handsWork, setHandsWork] = useState(true);
  const pass = useChange((entry: { days: number; handsWork: boolean }) => answered(api.POST('/api/demo/days', { body: entry })));
  return (
    <>
      <button className="trail min-h-11 px-2" onClick={() => setOpen(true)}>
        {say('Let days pass')}
      </button>
      <Sheet title={say('Let days pass')} open={open} close={() => setOpen(false)}>
        <p className="mb-3 text-pencil">
          {say('This is a demonstration with a clock of its own. Weather, seedlings and thermometers go on by themselves.')}
        </p>
        <fieldset className="mb-3 flex gap-2">
          <legend className="mb-1 text-sm font-semibold">{say('How many days?')}</legend>
          {[1, 3, 7, 14].map((choice) => (
            <label key={choice} className={`act ${days === choice ? 'act-main' : ''}`}>
              <input type="radio" name="days" className="sr-only" checked={days === choice} onChange={() => setDays(choice)} />
              {choice}
            </label>
          ))}
        </fieldset>
        <label className="mb-4 flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={handsWork} onChange={(event) => setHandsWork(event.target.checked)} />
          {say("The nursery's hands do the round meanwhile")}
        </label>
        <Refusal message={pass.error?.message} />
        <button
          className="act act-main w-full"
          disabled={pass.isPending}
          onClick={() => pass.mutate({ days, handsWork }, { onSuccess: () => setOpen(false) })}
        >
          {pass.isPending ? say('Days are passing…') : days === 1 ? say('Let 1 day pass') : say('Let {days} days pass', { days })}
        </button>
      </Sheet>
    </>
  );
}
