import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type ProgrammeView } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

type Day = ProgrammeView['days'][number];
interface TypedDay extends Omit<Day, 'hours'> {
  hours: string;
}

const MOST_DAYS = 30;

/** A programme of the nursery's own, written down day by day. */
export function OwnProgramme({ from, close }: { from: ProgrammeView; close: () => void }) {
  const [name, setName] = useState(from.name);
  const [days, setDays] = useState<TypedDay[]>(() => from.days.map((day) => ({ ...day, hours: String(day.hours) })));
  const isNew = from.code === '';
  const keep = useChange((entry: { name: string; days: Day[] }) =>
    isNew
      ? answered(api.POST('/api/hardening/programmes', { body: entry }))
      : answered(api.PUT('/api/hardening/programmes/{code}', { params: { path: { code: from.code } }, body: entry })),
  );
  const retire = useChange(() => answered(api.POST('/api/hardening/programmes/{code}/retirements', { params: { path: { code: from.code } } })));
  const change = (index: number, part: Partial<TypedDay>) => setDays(days.map((day, at) => (at === index ? { ...day, ...part } : day)));
  const last = days[days.length - 1];
  return (
    <Sheet title={isNew ? say('A programme of our own') : say('Change “{name}”', { name: from.name })} open close={close}>
      <form
        noValidate
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate({ name, days: days.map((day) => ({ ...day, hours: typedNumber(day.hours) ?? 0 })) }, { onSuccess: close });
        }}
      >
        <Field name={say('Name')} problem={keep.error?.problemAt('name')}>
          <Input className="entry" value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        {!isNew && <p className="text-sm text-pencil">{say('Batches that were planned with it keep it as it was.')}</p>}
        <ol className="flex flex-col gap-2">
          {days.map((day, index) => (
            <li key={index}>
              <fieldset className="flex flex-wrap items-end gap-2">
                <legend className="font-semibold">{say('Day {day}', { day: index + 1 })}</legend>
                {day.night === 'IN' && (
                  <Field name={say('Hours')} problem={keep.error?.problemAt(`days[${index}].hours`)}>
                    <Input
                      className="entry w-16"
                      inputMode="numeric"
                      value={day.hours}
                      onChange={(event) => change(index, { hours: event.target.value })}
                    />
                  </Field>
                )}
                <Field name={say('Sun')}>
                  <Select
                    className="entry"
                    value={day.inSun ? 'yes' : 'no'}
                    onChange={(event) => change(index, { inSun: event.target.value === 'yes' })}
                  >
                    <option value="no">{say('shade')}</option>
                    <option value="yes">{say('sun')}</option>
                  </Select>
                </Field>
                <Field name={say('Wind')}>
                  <Select
                    className="entry"
                    value={day.inWind ? 'yes' : 'no'}
                    onChange={(event) => change(index, { inWind: event.target.value === 'yes' })}
                  >
                    <option value="no">{say('lee')}</option>
                    <option value="yes">{say('wind')}</option>
                  </Select>
                </Field>
                <Field name={say('Night')}>
                  <Select
                    className="entry"
                    value={day.night}
                    onChange={(event) => {
                      const night = event.target.value as Day['night'];
                      change(index, { night, hours: night === 'IN' ? '12' : '24' });
                    }}
                  >
                    <option value="IN">{say('in')}</option>
                    <option value="COVERED">{say('out, fleece')}</option>
                    <option value="OUT">{say('out')}</option>
                  </Select>
                </Field>
              </fieldset>
            </li>
          ))}
        </ol>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="act" disabled={!last || days.length >= MOST_DAYS} onClick={() => last && setDays([...days, last])}>
            {say('One more day')}
          </button>
          <button type="button" className="act" disabled={days.length <= 1} onClick={() => setDays(days.slice(0, -1))}>
            {say('Take the last day off')}
          </button>
        </div>
        <Refusal
          message={keep.error && keep.error.problems.length === 0 ? keep.error.message : (keep.error?.problemAt('days') ?? retire.error?.message)}
        />
        <div className="flex flex-wrap gap-2">
          <button className="act act-main" disabled={keep.isPending}>
            {isNew ? say('Write it down') : say('Keep the change')}
          </button>
          {!isNew && (
            <button type="button" className="act" disabled={retire.isPending} onClick={() => retire.mutate(undefined, { onSuccess: close })}>
              {say('No longer use it')}
            </button>
          )}
        </div>
      </form>
    </Sheet>
  );
}
