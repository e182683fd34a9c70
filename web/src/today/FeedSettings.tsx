import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { FeedingView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { typedNumber, typedVolume, volumeTyped, volumeUnit } from '../words/quantity';
import { say } from '../words/say';

type Way = FeedingView['way'];

const SCHOOLS: Record<Way['school'], string> = {
  BY_RESERVE: say('when the mix has no more to give, once a week'),
  FROM_EMERGENCE: say('from emergence, with every second watering'),
  BEFORE_PLANTING: say('once, a week before planting'),
  NEVER: say('never'),
};

/** How the nursery feeds, and what is in its store. */
export function FeedSettings({ way, recipes }: { way: Way; recipes: FeedingView['recipes'] }) {
  return (
    <div className="flex flex-col gap-5">
      <HowWeFeed key={`${way.school} ${way.strength} ${way.canLitres}`} way={way} />
      {recipes.length > 0 && <ByMix recipes={recipes} />}
      <NewFeed />
    </div>
  );
}

/** Mixes whose plants are fed otherwise: a rich one never, a clean one from emergence. */
function ByMix({ recipes }: { recipes: FeedingView['recipes'] }) {
  const save = useChange((entry: { recipe: string; school?: Way['school'] }) => answered(api.PUT('/api/feeding/recipes', { body: entry })));
  return (
    <section aria-label={say('By the mix they stand in')} className="board flex flex-col gap-2 p-4">
      <h2>{say('By the mix they stand in')}</h2>
      {recipes.map((each) => (
        <Field key={each.recipe} name={each.name}>
          <Select
            className="entry"
            value={each.school ?? ''}
            disabled={save.isPending}
            onChange={(event) =>
              save.mutate({ recipe: each.recipe, ...(event.target.value !== '' && { school: event.target.value as Way['school'] }) })
            }
          >
            <option value="">{say('as the others')}</option>
            {Object.entries(SCHOOLS).map(([school, words]) => (
              <option key={school} value={school}>
                {words}
              </option>
            ))}
          </Select>
        </Field>
      ))}
      <Refusal message={save.error?.message} />
    </section>
  );
}

function HowWeFeed({ way }: { way: Way }) {
  const [school, setSchool] = useState(way.school);
  const [strength, setStrength] = useState(String(way.strength));
  const [can, setCan] = useState(volumeTyped(way.canLitres));
  const save = useChange((entry: Way) => answered(api.PUT('/api/feeding/way', { body: entry })));
  const problem = (field: string) => save.error?.problemAt(field);
  return (
    <form
      noValidate
      aria-label={say('How we feed')}
      className="board flex flex-col gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate({ school, strength: typedNumber(strength) as number, canLitres: typedVolume(can) as number });
      }}
    >
      <h2>{say('How we feed')}</h2>
      <Field name={say('Seedlings are fed')} problem={problem('school')}>
        <Select className="entry" value={school} onChange={(event) => setSchool(event.target.value as Way['school'])}>
          {Object.entries(SCHOOLS).map(([each, words]) => (
            <option key={each} value={each}>
              {words}
            </option>
          ))}
        </Select>
      </Field>
      <Field name={say('Nitrogen in the water, mg per litre')} problem={problem('strength')} hint={say('weak is 50 to 100; from 200 on it burns')}>
        <Input className="entry" inputMode="decimal" value={strength} onChange={(event) => setStrength(event.target.value)} />
      </Field>
      <Field name={say('Our can holds, {unit}', { unit: volumeUnit() })} problem={problem('canLitres')}>
        <Input className="entry" inputMode="decimal" value={can} onChange={(event) => setCan(event.target.value)} />
      </Field>
      <Refusal message={save.error && save.error.problems.length === 0 ? save.error.message : undefined} />
      <button className="act act-main self-start" disabled={save.isPending}>
        {say('Feed like this')}
      </button>
    </form>
  );
}

const EMPTY = { name: '', form: 'LIQUID' as 'LIQUID' | 'POWDER', nitrogen: '', phosphorus: '', potassium: '', density: '' };

function NewFeed() {
  const [typed, setTyped] = useState(EMPTY);
  const add = useChange((entry: typeof EMPTY) =>
    answered(
      api.POST('/api/feeding/feeds', {
        body: {
          name: entry.name,
          form: entry.form,
          nitrogen: typedNumber(entry.nitrogen) as number,
          phosphorus: typedNumber(entry.phosphorus) as number,
          potassium: typedNumber(entry.potassium) as number,
          ...(entry.density.trim() === '' ? {} : { density: typedNumber(entry.density) }),
        },
      }),
    ),
  );
  const entry = (key: 'name' | 'nitrogen' | 'phosphorus' | 'potassium' | 'density', name: string) => (
    <Field name={name} problem={add.error?.problemAt(key)}>
      <Input
        className="entry"
        inputMode={key === 'name' ? 'text' : 'decimal'}
        value={typed[key]}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      />
    </Field>
  );
  return (
    <form
      noValidate
      aria-label={say('A feed, by its label')}
      className="board grid gap-3 p-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(typed, { onSuccess: () => setTyped(EMPTY) });
      }}
    >
      <h2 className="sm:col-span-2">{say('A feed, by its label')}</h2>
      {entry('name', say('Name'))}
      <Field name={say('Form')} problem={add.error?.problemAt('form')}>
        <Select className="entry" value={typed.form} onChange={(event) => setTyped({ ...typed, form: event.target.value as 'LIQUID' })}>
          <option value="LIQUID">{say('liquid')}</option>
          <option value="POWDER">{say('powder')}</option>
        </Select>
      </Field>
      {entry('nitrogen', say('Nitrogen (N), %'))}
      {entry('phosphorus', say('Phosphorus (P), %'))}
      {entry('potassium', say('Potassium (K), %'))}
      {typed.form === 'LIQUID' && entry('density', say('Density, kg/L'))}
      <div className="sm:col-span-2">
        <Refusal message={add.error && add.error.problems.length === 0 ? add.error.message : undefined} />
        <button className="act" disabled={add.isPending}>
          {say('Add the feed')}
        </button>
      </div>
    </form>
  );
}
