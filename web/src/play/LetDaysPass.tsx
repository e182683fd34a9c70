import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { Sheet } from '../look/Sheet';
import { say } from '../words/say';

const OF_THE_DEMONSTRATION = [1, 3, 7, 14];
const OF_A_PLAY = [1, 7, 14, 28];

/** Lets days pass: in the demonstration, or where a season is played in a copy. */
export function LetDaysPass({ playedYear }: { playedYear: number | undefined }) {
  const [open, setOpen] = useState(false);
  const [days, setDays] = useState(1);
  const [handsWork, setHandsWork] = useState(true);
  const pass = useChange((entry: { days: number; handsWork: boolean }) =>
    answered(playedYear === undefined ? api.POST('/api/demo/days', { body: entry }) : api.POST('/api/play/days', { body: entry })),
  );
  return (
    <>
      <button className="trail min-h-11 px-2" onClick={() => setOpen(true)}>
        {say('Let days pass')}
      </button>
      <Sheet title={say('Let days pass')} open={open} close={() => setOpen(false)}>
        <p className="mb-3 text-pencil">
          {playedYear === undefined
            ? say('This is a demonstration with a clock of its own. Weather, seedlings and thermometers go on by themselves.')
            : say(
                'Each day has the weather that it had in {year}. Seed comes up as this nursery believes of its lots, with some luck and some losses; a night that is too cold takes what nobody covered.',
                { year: String(playedYear) },
              )}
        </p>
        <fieldset className="mb-3 flex gap-2">
          <legend className="mb-1 text-sm font-semibold">{say('How many days?')}</legend>
          {(playedYear === undefined ? OF_THE_DEMONSTRATION : OF_A_PLAY).map((choice) => (
            <label key={choice} className={`act ${days === choice ? 'act-main' : ''}`}>
              <input type="radio" name="days" className="sr-only" checked={days === choice} onChange={() => setDays(choice)} />
              {choice}
            </label>
          ))}
        </fieldset>
        <label className="mb-4 flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={handsWork} onChange={(event) => setHandsWork(event.target.checked)} />
          {playedYear === undefined
            ? say("The nursery's hands do the round meanwhile")
            : say('Hands do the round meanwhile, as far as seed and pots last')}
        </label>
        <Refusal message={pass.error?.problems[0]?.message ?? pass.error?.message} />
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
