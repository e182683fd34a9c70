import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { announce } from '../look/announce';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { PRACTICES, signOf, type Practice } from './trialWords';

const USUALLY_MATTERS = '10';

/** What is to be compared, over which sowings; Kiver draws by lot which row or tray gets which. */
export function TrialForm() {
  const batches = useQuery({ queryKey: ['batches', false], queryFn: () => answered(api.GET('/api/batches', { params: { query: {} } })) });
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [practice, setPractice] = useState<Practice>('MIX');
  const [ways, setWays] = useState(['', '']);
  const [chosen, setChosen] = useState(['']);
  const [matters, setMatters] = useState(USUALLY_MATTERS);
  const layOut = useNumberedChange(
    (entry: { name: string; practice: Practice; matters: number; ways: string[]; batches: number[]; seed: number }, requestId) =>
      answered(api.POST('/api/trials', { body: { requestId, ...entry } })),
  );
  const young = (batches.data ?? []).filter((batch) => ['PLANNED', 'SOWN', 'EMERGING', 'GROWING_ON'].includes(batch.stage) && !batch.boughtIn);
  const problem = (field: string) => layOut.error?.problemAt(field);
  const placed = ['name', 'ways', 'batches', 'matters'].some((field) => problem(field));
  if (!open) {
    return (
      <button className="act act-main mb-4" onClick={() => setOpen(true)}>
        {say('Lay out a trial')}
      </button>
    );
  }
  return (
    <form
      noValidate
      className="board mb-5 grid gap-3 p-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        layOut.mutate(
          {
            name,
            practice,
            matters: (typedNumber(matters) ?? 0) / 100,
            ways,
            batches: chosen.filter(Boolean).map(Number),
            seed: Math.floor(Math.random() * 1_000_000),
          },
          {
            onSuccess: () => {
              setOpen(false);
              setName('');
              setWays(['', '']);
              announce(say('The trial is laid out.'));
            },
          },
        );
      }}
    >
      <Field name={say('What it is called')} problem={problem('name')}>
        <Input className="entry" value={name} onChange={(event) => setName(event.target.value)} />
      </Field>
      <Field name={say('What is compared')}>
        <Select className="entry" value={practice} onChange={(event) => setPractice(event.target.value as Practice)}>
          {Object.entries(PRACTICES).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Select>
      </Field>
      <Many
        name={(index) => say('Way {sign}{usual, select, true {, the usual one} other {}}', { sign: signOf(index + 1), usual: String(index === 0) })}
        another={say('Another way')}
        values={ways}
        set={setWays}
        most={6}
        problem={problem('ways')}
      />
      <fieldset>
        {chosen.map((value, index) => (
          <Field key={index} name={index === 0 ? say('In which batch') : say('and batch')} problem={index === 0 ? problem('batches') : undefined}>
            <Select
              className="entry"
              value={value}
              onChange={(event) => setChosen(chosen.map((each, at) => (at === index ? event.target.value : each)))}
            >
              <option value="">{say('Choose…')}</option>
              {young.map((batch) => (
                <option key={batch.number} value={batch.number}>
                  {say('{number}, {variety}', { number: batch.number, variety: batch.variety })}
                </option>
              ))}
            </Select>
          </Field>
        ))}
        <button type="button" className="trail min-h-11 text-sm" onClick={() => setChosen([...chosen, ''])}>
          {say('Another batch of the same lot')}
        </button>
      </fieldset>
      <Field name={say('A difference that would matter, %')} problem={problem('matters')}>
        <Input className="entry" inputMode="decimal" value={matters} onChange={(event) => setMatters(event.target.value)} />
      </Field>
      <p className="self-end text-sm text-pencil">
        {say(
          'Rows side by side, or trays where whole trays are needed, make a block; in each, the lot decides which gets which, so that a warm end of the bench favours none.',
        )}
      </p>
      <div className="flex flex-wrap gap-3 sm:col-span-2">
        <button className="act act-main" disabled={layOut.isPending}>
          {say('Draw the lots')}
        </button>
        <button type="button" className="act" onClick={() => setOpen(false)}>
          {say('Leave it')}
        </button>
        <Refusal message={layOut.error && !placed ? layOut.error.message : undefined} />
      </div>
    </form>
  );
}

function Many({
  name,
  another,
  values,
  set,
  most,
  problem,
}: {
  name: (index: number) => string;
  another: string;
  values: string[];
  set: (values: string[]) => void;
  most: number;
  problem: string | undefined;
}) {
  return (
    <fieldset>
      {values.map((value, index) => (
        <Field key={index} name={name(index)} problem={index === 0 ? problem : undefined}>
          <Input className="entry" value={value} onChange={(event) => set(values.map((each, at) => (at === index ? event.target.value : each)))} />
        </Field>
      ))}
      {values.length < most && (
        <button type="button" className="trail min-h-11 text-sm" onClick={() => set([...values, ''])}>
          {another}
        </button>
      )}
    </fieldset>
  );
}
