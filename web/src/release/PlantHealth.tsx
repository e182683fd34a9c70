import { Input, Select } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type HealthEntries } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';

type Entry = HealthEntries['entries'][number];

const SOURCES: Record<Entry['source'], string> = {
  TEXT: say('always these words'),
  BOTANICAL_NAME: say('botanical name of the crop'),
  SEED_LOT: say('seed lot'),
  BATCH: say('batch'),
  DAY: say('day of the note'),
};
const NEW: Entry = { label: '', source: 'TEXT', words: '' };

/** What local rules want to be written of plants on every note. */
export function PlantHealth() {
  const health = useQuery({ queryKey: ['plant-health'], queryFn: () => answered(api.GET('/api/plant-health')) });
  return (
    <section aria-label={say('Plant-health record')} className="mt-6">
      <h2>{say('Plant-health record')}</h2>
      <p className="mb-2 max-w-prose text-pencil">
        {say(
          'What your local rules want on a note, as the entries of a plant passport: written with every line, and kept as it was when the plants went. Kiver keeps it and gives no licence; ask your local authority what applies to you.',
        )}
      </p>
      {health.data && <Form key={JSON.stringify(health.data)} kept={health.data} />}
    </section>
  );
}

function Form({ kept }: { kept: HealthEntries }) {
  const [entries, setEntries] = useState(kept.entries);
  const [names, setNames] = useState(kept.names);
  const set = useChange((all: HealthEntries) => answered(api.PUT('/api/plant-health', { body: all })));
  const change = (index: number, part: Partial<Entry>) => setEntries(entries.map((entry, at) => (at === index ? { ...entry, ...part } : entry)));
  return (
    <form
      noValidate
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate({ entries, names });
      }}
    >
      <ol className="flex flex-col gap-3">
        {entries.map((entry, index) => (
          <li key={index} className="board flex flex-wrap items-end gap-3 p-3">
            <Field name={say('Before it stands')} problem={set.error?.problemAt(`entries[${index}].label`)}>
              <Input className="entry w-40" value={entry.label} onChange={(event) => change(index, { label: event.target.value })} />
            </Field>
            <Field name={say('It says')}>
              <Select
                className="entry w-auto"
                value={entry.source}
                onChange={(event) => change(index, { source: event.target.value as Entry['source'] })}
              >
                {Object.entries(SOURCES).map(([source, words]) => (
                  <option key={source} value={source}>
                    {words}
                  </option>
                ))}
              </Select>
            </Field>
            {entry.source === 'TEXT' && (
              <Field name={say('The words')} problem={set.error?.problemAt(`entries[${index}].words`)}>
                <Input className="entry w-56" value={entry.words} onChange={(event) => change(index, { words: event.target.value })} />
              </Field>
            )}
            <button type="button" className="act" onClick={() => setEntries(entries.filter((_, at) => at !== index))}>
              {say('Leave it out')}
            </button>
          </li>
        ))}
      </ol>
      <button type="button" className="act self-start" onClick={() => setEntries([...entries, NEW])}>
        {say('Add an entry')}
      </button>
      {entries.some((entry) => entry.source === 'BOTANICAL_NAME') && (
        <details>
          <summary className="trail min-h-11 content-center">{say('Botanical names')}</summary>
          <ul className="board grid gap-x-6 gap-y-2 p-3 md:grid-cols-2 xl:grid-cols-3">
            {names.map((name, index) => (
              <li key={name.crop}>
                <Field name={name.cropName} problem={set.error?.problemAt(`names[${index}].name`)}>
                  <Input
                    className="entry"
                    value={name.name}
                    onChange={(event) => setNames(names.map((each, at) => (at === index ? { ...each, name: event.target.value } : each)))}
                  />
                </Field>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Refusal message={set.error && set.error.problems.length === 0 ? set.error.message : undefined} />
      {set.isSuccess && <p role="status">{say('Kept.')}</p>}
      <button className="act act-main self-start" disabled={set.isPending}>
        {say('Keep the record so')}
      </button>
    </form>
  );
}
