import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type CropView } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

type Tending = CropView['tending'];

const DEPTHS: Record<Tending['potDepth'], string> = {
  LEVEL: say('level with the mix'),
  DEEP: say('deep, up to the lowest true leaves'),
  DISPUTED: say('deep, say some; level, say others'),
};

/** What good growers do and others do not; off until this nursery asks for it. */
export function TendingOf({ code, tending, mayChange }: { code: string; tending: Tending; mayChange: boolean }) {
  const [depth, setDepth] = useState(tending.potDepth);
  const [brushed, setBrushed] = useState(tending.brushed);
  const [pinched, setPinched] = useState(tending.pinchedFrom > 0 ? String(tending.pinchedFrom) : '');
  const [flowers, setFlowers] = useState(tending.flowersOffFrom > 0 ? String(tending.flowersOffFrom) : '');
  const keep = useChange((entry: Tending) => answered(api.PUT('/api/crops/{code}/tending', { params: { path: { code } }, body: entry })));
  const from = (typed: string): number => (typed.trim() === '' ? 0 : (typedNumber(typed) ?? -1));
  return (
    <form
      noValidate
      aria-label={say('How we tend it')}
      className="board mt-5 flex flex-col gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate({ potDepth: depth, brushed, pinchedFrom: from(pinched), flowersOffFrom: from(flowers) });
      }}
    >
      <h2>{say('How we tend it')}</h2>
      <p className="text-sm text-pencil">{say('Good growers differ. What is asked for here comes on the round when the leaves are there.')}</p>
      <fieldset disabled={!mayChange} className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Field name={say('Set when potted')} problem={keep.error?.problemAt('potDepth')}>
          <Select className="entry" value={depth} onChange={(event) => setDepth(event.target.value as Tending['potDepth'])}>
            {Object.entries(DEPTHS).map(([each, words]) => (
              <option key={each} value={each}>
                {words}
              </option>
            ))}
          </Select>
        </Field>
        <Field name={say('Tops brushed')}>
          <Select className="entry" value={brushed ? 'yes' : 'no'} onChange={(event) => setBrushed(event.target.value === 'yes')}>
            <option value="no">{say('no')}</option>
            <option value="yes">{say('each day, from two leaves')}</option>
          </Select>
        </Field>
        <Field name={say('Pinched at, true leaves')} hint={say('empty: never')} problem={keep.error?.problemAt('pinchedFrom')}>
          <Input className="entry" inputMode="decimal" value={pinched} onChange={(event) => setPinched(event.target.value)} />
        </Field>
        <Field name={say('Early flowers off from, true leaves')} hint={say('empty: never')} problem={keep.error?.problemAt('flowersOffFrom')}>
          <Input className="entry" inputMode="decimal" value={flowers} onChange={(event) => setFlowers(event.target.value)} />
        </Field>
      </fieldset>
      <Refusal message={keep.error && keep.error.problems.length === 0 ? keep.error.message : undefined} />
      {mayChange && (
        <button className="act self-start" disabled={keep.isPending}>
          {say('Tend it like this')}
        </button>
      )}
      {keep.isSuccess && (
        <p role="status" className="text-sm">
          {say('Kept.')}
        </p>
      )}
    </form>
  );
}
