import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type FreePlants as Free, type GrowerRequest } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { spreadWords } from '../words/days';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

/** What nobody was promised: a grower may ask for some. */
export function FreePlants({ free, asked }: { free: Free[]; asked: GrowerRequest[] }) {
  if (free.length === 0) return null;
  return (
    <section aria-label={say('Free for whoever asks')} className="mt-8">
      <h2 className="mb-3">{say('Free for whoever asks')}</h2>
      <ul className="board divide-y divide-rule">
        {free.map((plants) => (
          <OneKind key={plants.batch} plants={plants} asked={asked.some((each) => each.batch === plants.batch && each.state === 'OPEN')} />
        ))}
      </ul>
    </section>
  );
}

function OneKind({ plants, asked }: { plants: Free; asked: boolean }) {
  const [typed, setTyped] = useState('');
  const want = useNumberedChange((entry: { plants: number }, requestId) =>
    answered(api.POST('/api/free/{batch}/requests', { params: { path: { batch: plants.batch } }, body: { requestId, ...entry } })),
  );
  return (
    <li className="flex flex-wrap items-end gap-3 p-3">
      <span className="min-w-0 flex-1">
        <b>{plants.variety}</b> <span className="text-pencil">{plants.crop.toLowerCase()}</span>
        <span className="block text-sm">
          {say('{plants} in {container}, ready {ready}', {
            plants: plants.plants,
            container: plants.container.toLowerCase(),
            ready: spreadWords(plants.ready ?? undefined),
          })}
        </span>
      </span>
      {asked ? (
        <span className="text-sm">{say('Asked; your propagator has yet to answer.')}</span>
      ) : (
        <form
          noValidate
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            want.mutate({ plants: typedNumber(typed) ?? 0 });
          }}
        >
          <Field name={say('How many')} problem={want.error?.problemAt('plants')}>
            <Input className="entry w-20" inputMode="numeric" value={typed} onChange={(event) => setTyped(event.target.value)} />
          </Field>
          <button className="act" disabled={want.isPending || typed.trim() === ''}>
            {say('Ask for them')}
            <span className="sr-only"> {plants.variety}</span>
          </button>
          <Refusal message={want.error && !want.error.problemAt('plants') ? want.error.message : undefined} />
        </form>
      )}
    </li>
  );
}
