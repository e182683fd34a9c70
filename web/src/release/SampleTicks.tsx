import { Input } from '@headlessui/react';
import type { OrderWithPicks } from '../api/client';
import { Field } from '../look/Field';
import { figures } from '../words/quantity';
import { adviceWords } from '../words/reasons';
import { say } from '../words/say';

export type Check = 'LEAVES' | 'ROOTS' | 'PLUG_HOLDS' | 'HARDENED' | 'CLEAN' | 'LABELLED' | 'SOAKED';

/** What was seen on a sample, as it is typed. */
export interface Sample {
  plants: string;
  held: Check[];
}

export const NOT_LOOKED: Sample = { plants: '', held: [] };

const CHECKS: { check: Check; words: string }[] = [
  { check: 'LEAVES', words: say('leaves enough, not too many') },
  { check: 'ROOTS', words: say('roots white, not circling') },
  { check: 'PLUG_HOLDS', words: say('plug holds together') },
  { check: 'HARDENED', words: say('hardened') },
  { check: 'CLEAN', words: say('clean') },
  { check: 'LABELLED', words: say('labelled') },
  { check: 'SOAKED', words: say('stood in water for 20 minutes') },
];

/** Ready means all of these, looked at on a sample; what is not ticked is said on the note. */
export function SampleTicks({
  line,
  stage,
  sample,
  change,
  problem,
}: {
  line: OrderWithPicks['picks'][number];
  stage: string;
  sample: Sample;
  change: (sample: Sample) => void;
  problem: string | undefined;
}) {
  return (
    <fieldset className="mt-2">
      <legend className="font-semibold">{say('Looked at a sample')}</legend>
      <Field
        name={say('Plants looked at')}
        hint={
          line.leavesNow == null
            ? undefined
            : say('{stage} are wanted; by what is known they have about {leaves}', { stage, leaves: figures(line.leavesNow, 1) })
        }
        problem={problem}
      >
        <Input
          className="entry w-24"
          inputMode="numeric"
          value={sample.plants}
          onChange={(event) => change({ ...sample, plants: event.target.value })}
        />
      </Field>
      <div className="mt-1 grid gap-x-3 sm:grid-cols-2">
        {CHECKS.map(({ check, words }) => (
          <label key={check} className="flex min-h-11 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-5 shrink-0"
              checked={sample.held.includes(check)}
              onChange={(event) =>
                change({
                  plants: sample.plants === '' && event.target.checked ? '5' : sample.plants,
                  held: event.target.checked ? [...sample.held, check] : sample.held.filter((each) => each !== check),
                })
              }
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** What the site's weather and pests ask of whoever plants there today. */
export function SiteToday({ line, site, today }: { line: OrderWithPicks['picks'][number]; site: string; today: string }) {
  return (
    <div className="mt-2 border-l-4 border-rule pl-3 text-sm">
      <b>{say('Planted today at {site}', { site })}</b>
      <ul>
        {line.advice.map((advice) => (
          <li key={advice.kind + JSON.stringify(advice)}>{adviceWords(advice, today)}</li>
        ))}
      </ul>
    </div>
  );
}
