import { Input, Select } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Choices } from '../api/client';
import { Field } from '../look/Field';
import { addDays } from '../words/days';
import { distanceUnit, spacing, spacingUnit } from '../words/quantity';
import { say } from '../words/say';
import { bedIn, wantIn, type TypedWant } from './ownWant';
import { VarietyChoice } from './VarietyChoice';

const emptyWant = (today: string): TypedWant => ({
  varietyId: '',
  by: 'PLANTS',
  plants: '',
  length: '',
  breadth: '',
  spacing: '',
  rows: 'SQUARE',
  from: addDays(today, 90),
  until: addDays(today, 118),
  sowings: '1',
  bedFree: '',
});

/** One kind that is wanted: how many or in which bed, and when it is to be picked. */
export function WantForm({ choices, today, put }: { choices: Choices; today: string; put: (want: TypedWant) => void }) {
  const [typed, setTyped] = useState(() => emptyWant(today));
  const set = (change: Partial<TypedWant>) => setTyped((now) => ({ ...now, ...change }));
  const bed = typed.by === 'BED' ? bedIn(typed) : undefined;
  const varietyId = Number(typed.varietyId);
  const stands = useQuery({
    queryKey: ['own-bed', varietyId, bed],
    enabled: bed !== undefined && varietyId > 0,
    queryFn: () => answered(api.POST('/api/own-table/beds', { body: { varietyId, bed: bed! } })),
  });
  const entry = (key: 'plants' | 'length' | 'breadth' | 'spacing' | 'sowings') => (
    <Input className="entry" inputMode="decimal" autoComplete="off" value={typed[key]} onChange={(event) => set({ [key]: event.target.value })} />
  );
  const day = (key: 'from' | 'until' | 'bedFree') => (
    <Input className="entry" type="date" value={typed[key]} onChange={(event) => set({ [key]: event.target.value })} />
  );
  const whole = wantIn(typed) !== undefined;
  return (
    <form
      noValidate
      className="board flex flex-col gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!whole) return;
        put(typed);
        set({ varietyId: '', plants: '', length: '', breadth: '', spacing: '' });
      }}
    >
      <VarietyChoice varieties={choices.varieties} chosen={typed.varietyId} choose={(id) => set({ varietyId: id })} />
      <Field name={say('How many')}>
        <Select className="entry" value={typed.by} onChange={(event) => set({ by: event.target.value as TypedWant['by'] })}>
          <option value="PLANTS">{say('So many plants')}</option>
          <option value="BED">{say('As many as a bed holds')}</option>
        </Select>
      </Field>
      {typed.by === 'PLANTS' ? (
        <Field name={say('Plants')}>{entry('plants')}</Field>
      ) : (
        <div className="grid grid-cols-2 gap-3">
          <Field name={say('Length, {unit}', { unit: distanceUnit() })}>{entry('length')}</Field>
          <Field name={say('Breadth, {unit}', { unit: distanceUnit() })}>{entry('breadth')}</Field>
          <Field name={say('Apart, {unit}', { unit: spacingUnit() })} hint={say('empty: as usual')}>
            {entry('spacing')}
          </Field>
          <Field name={say('Rows')}>
            <Select className="entry" value={typed.rows} onChange={(event) => set({ rows: event.target.value as TypedWant['rows'] })}>
              <option value="SQUARE">{say('plant beside plant')}</option>
              <option value="OFFSET">{say('before the gap')}</option>
            </Select>
          </Field>
          <p role="status" className="col-span-2 text-sm">
            {stands.data &&
              say('{plants, plural, one {# plant stands} other {# plants stand}} in it, {spacing} apart.', {
                plants: stands.data.plants,
                spacing: spacing(stands.data.spacing),
              })}
          </p>
          <div className="col-span-2">
            <Field name={say('The bed is free from')} hint={say('empty: it is free')}>
              {day('bedFree')}
            </Field>
          </div>
        </div>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field name={say('Picked from')}>{day('from')}</Field>
        <Field name={say('The last picked from')}>{day('until')}</Field>
      </div>
      <Field name={say('In so many sowings')} hint={say('little and often')}>
        {entry('sowings')}
      </Field>
      <button className="act act-main" disabled={!whole}>
        {say('Put it on the table')}
      </button>
    </form>
  );
}
