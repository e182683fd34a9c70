import { Input } from '@headlessui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { ClimateEntry, ClimateView } from '../api/client';
import { answered, api, Refused } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Refusal, Trouble } from '../look/States';
import { everyYear, typedEveryYear } from '../words/days';
import { temperature, temperatureUnit, typedNumber, typedTemperature } from '../words/quantity';
import { say } from '../words/say';
import { ClimateDrawing } from './ClimateDrawing';

const MONTHS = [
  { key: 'coldestMinimum', name: say('Coldest month: nights') },
  { key: 'coldestMaximum', name: say('Coldest month: days') },
  { key: 'warmestMinimum', name: say('Warmest month: nights') },
  { key: 'warmestMaximum', name: say('Warmest month: days') },
] as const;

const FROSTS = [
  { key: 'lastFrost', name: say('Last frost, usually') },
  { key: 'lastFrostAtWorst', name: say('Last frost, one year in ten later than') },
  { key: 'firstFrost', name: say('First frost, usually') },
  { key: 'firstFrostAtWorst', name: say('First frost, one year in ten before') },
] as const;

type Key = (typeof MONTHS)[number]['key'] | (typeof FROSTS)[number]['key'];

/** The climate as one knows it without having measured it; with each figure the year beside it is drawn anew. */
export function ClimateForm({ kept }: { kept?: () => void }) {
  const climate = useQuery({ queryKey: ['climate'], queryFn: () => answered(api.GET('/api/weather/climate')) });
  if (climate.isPending) return <Loading what={say('the climate')} />;
  if (climate.isError) return <Trouble error={climate.error} retry={() => climate.refetch()} />;
  return <Told climate={climate.data} {...(kept ? { kept } : {})} />;
}

function Told({ climate, kept }: { climate: ClimateView; kept?: () => void }) {
  const [typed, setTyped] = useState<Partial<Record<Key, string>>>({});
  const [frostless, setFrostless] = useState(climate.entry.lastFrost == null);
  const [pressed, setPressed] = useState(false);
  const { entry, wrong } = read(climate.entry, typed, frostless);
  const asked = useDeferredValue(JSON.stringify(entry));
  const changed = Object.keys(typed).length > 0 || frostless !== (climate.entry.lastFrost == null);
  const trial = useQuery({
    queryKey: ['climate', 'trial', asked],
    enabled: changed && wrong.length === 0,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () => answered(api.POST('/api/weather/climate/trial', { body: JSON.parse(asked) as ClimateEntry })),
  });
  const keep = useChange((body: ClimateEntry) => answered(api.PUT('/api/weather/climate', { body })));
  const problem = (key: Key) => {
    if (wrong.includes(key) && (pressed || typed[key]))
      return key.includes('Frost') ? say('Enter a day and its month, like 14 May.') : say('Enter a number.');
    const error = keep.error ?? (changed ? trial.error : null);
    return error instanceof Refused ? error.problemAt(key) : undefined;
  };
  const input = (key: Key, shown: string) => (
    <Input
      className="entry"
      value={typed[key] ?? shown}
      inputMode={key.includes('Frost') ? undefined : 'decimal'}
      autoComplete="off"
      onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
    />
  );
  const drawn = changed && trial.data && !trial.error ? trial.data : climate;
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[1fr_1.5fr]">
      <form
        noValidate
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          setPressed(true);
          if (wrong.length === 0) keep.mutate(entry, { onSuccess: () => (setTyped({}), kept?.()) });
        }}
      >
        {climate.guessed && (
          <p className="border-l-4 border-ochre bg-ochre-wash p-3">
            {say('Guessed from latitude and height alone, and easily wrong by some degrees and weeks. Correct what you know better.')}
          </p>
        )}
        <fieldset className="grid grid-cols-2 gap-3">
          <legend className="mb-1 font-semibold">{say('How cold and how warm, on average, {unit}', { unit: temperatureUnit() })}</legend>
          {MONTHS.map(({ key, name }) => (
            <Field key={key} name={name} problem={problem(key)}>
              {input(key, String(Math.round(temperature(climate.entry[key]) * 10) / 10))}
            </Field>
          ))}
        </fieldset>
        <fieldset className="grid grid-cols-2 items-end gap-3">
          <legend className="mb-1 font-semibold">{say('When frost goes and comes, in the open')}</legend>
          {!frostless &&
            FROSTS.map(({ key, name }) => (
              <Field key={key} name={name} problem={problem(key)}>
                {input(key, climate.entry[key] ? everyYear(climate.entry[key]) : '')}
              </Field>
            ))}
          <label className="col-span-2 flex min-h-11 items-center gap-2">
            <input type="checkbox" checked={frostless} onChange={(event) => setFrostless(event.target.checked)} />
            {say('There is hardly any frost')}
          </label>
        </fieldset>
        <Refusal message={keep.error && keep.error.problems.length === 0 ? keep.error.message : undefined} />
        <button className="act act-main self-start" disabled={keep.isPending}>
          {climate.guessed && !changed ? say('Go by this guess') : say('Go by this climate')}
        </button>
        {keep.isSuccess && !changed && <p role="status">{say('Kept. Days that nobody measured are estimated by it.')}</p>}
      </form>
      <ClimateDrawing climate={drawn} />
    </div>
  );
}

/** What is typed over what is there; temperatures in °C, days as month-day. */
function read(kept: ClimateEntry, typed: Partial<Record<Key, string>>, frostless: boolean): { entry: ClimateEntry; wrong: Key[] } {
  const wrong: Key[] = [];
  const entry: ClimateEntry = {
    coldestMinimum: kept.coldestMinimum,
    coldestMaximum: kept.coldestMaximum,
    warmestMinimum: kept.warmestMinimum,
    warmestMaximum: kept.warmestMaximum,
  };
  for (const { key } of MONTHS) {
    const text = typed[key];
    if (text === undefined) continue;
    if (typedNumber(text) === undefined) wrong.push(key);
    else entry[key] = typedTemperature(text)!;
  }
  if (frostless) return { entry, wrong };
  for (const { key } of FROSTS) {
    const text = typed[key];
    const day = text === undefined ? kept[key] : typedEveryYear(text);
    if (day) entry[key] = day;
    else wrong.push(key);
  }
  return { entry, wrong };
}
