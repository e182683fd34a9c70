import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type LightMadeBy } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { lengthTyped, lengthUnit, typedLength, typedNumber } from '../words/quantity';
import { say } from '../words/say';

const ASPECTS: Record<LightMadeBy['aspect'], string> = {
  OVERHEAD: say('from above: glass, film or the open'),
  NORTH: say('through a window to the north'),
  EAST: say('through a window to the east'),
  SOUTH: say('through a window to the south'),
  WEST: say('through a window to the west'),
};

type Typed = Record<Exclude<keyof LightMadeBy, 'aspect'>, string>;

/** What the server said of an entry. */
type ReadFault = { problemAt(field: string): string | undefined };

const whole = (value: number): string => String(Math.round(value));
const percent = (share: number): string => whole(share * 100);
const tenths = (value: number): string => String(Math.round(value * 10) / 10);

const typedOf = (made: LightMadeBy): Typed => ({
  daylightShare: percent(made.daylightShare),
  sunFrom: tenths(made.sunFrom),
  sunUntil: tenths(made.sunUntil),
  clothTakes: percent(made.clothTakes),
  clothAbove: made.clothAbove == null ? '' : String(made.clothAbove),
  lampFlux: whole(made.lampFlux),
  lampHours: tenths(made.lampHours),
  lampDistance: lengthTyped(made.lampDistance),
});

/** What was typed; nothing where a figure cannot be read. */
function made(typed: Typed, aspect: LightMadeBy['aspect'], before: LightMadeBy): LightMadeBy | undefined {
  const share = (text: string) => (typedNumber(text) ?? NaN) / 100;
  const flux = typedNumber(typed.lampFlux) ?? NaN;
  const read: LightMadeBy = {
    aspect,
    daylightShare: share(typed.daylightShare),
    sunFrom: typedNumber(typed.sunFrom) ?? NaN,
    sunUntil: typedNumber(typed.sunUntil) ?? NaN,
    clothTakes: share(typed.clothTakes),
    lampFlux: typed.lampFlux === typedOf(before).lampFlux ? before.lampFlux : flux,
    lampHours: typedNumber(typed.lampHours) ?? NaN,
    lampDistance: typedLength(typed.lampDistance) ?? NaN,
    ...(typed.clothAbove.trim() !== '' && { clothAbove: typedNumber(typed.clothAbove) ?? NaN }),
  };
  return Object.values(read).some(Number.isNaN) ? undefined : read;
}

/** What makes the light of a place; what is typed is tried at once and kept by a press. */
export function LightEntry({
  place,
  made: before,
  mayChange,
  tryOut,
  fluxThere,
  problems,
}: {
  place: number;
  made: LightMadeBy;
  mayChange: boolean;
  tryOut: (otherwise: LightMadeBy | undefined) => void;
  fluxThere: number | undefined;
  problems: ReadFault | null;
}) {
  const [typed, setTyped] = useState(typedOf(before));
  const [aspect, setAspect] = useState(before.aspect);
  const keep = useChange((entry: LightMadeBy) => answered(api.PUT('/api/places/{id}/light', { params: { path: { id: place } }, body: entry })));
  const read = made(typed, aspect, before);
  const changed = JSON.stringify(read) !== JSON.stringify(made(typedOf(before), before.aspect, before));
  const problem = (key: keyof Typed) =>
    problems?.problemAt(key) ?? keep.error?.problemAt(key) ?? (typed[key].trim() === '' && key !== 'clothAbove' ? say('Enter a figure.') : undefined);
  const change = (next: Typed, from: LightMadeBy['aspect']) => {
    setTyped(next);
    setAspect(from);
    const otherwise = made(next, from, before);
    if (otherwise) tryOut(otherwise);
  };
  const entry = (key: keyof Typed, name: string, hint?: string) => (
    <Field name={name} problem={problem(key)} {...(hint !== undefined && { hint })}>
      <Input className="entry" inputMode="decimal" value={typed[key]} onChange={(event) => change({ ...typed, [key]: event.target.value }, aspect)} />
    </Field>
  );
  return (
    <form
      noValidate
      aria-label={say('What makes its light')}
      className="board flex flex-col gap-3 self-start p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (read) keep.mutate(read, { onSuccess: () => tryOut(undefined) });
      }}
    >
      <h2>{say('What makes its light')}</h2>
      <fieldset className="flex flex-col gap-3">
        <legend className="mb-1 font-semibold">{say('Lamps')}</legend>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          {entry('lampFlux', say('At the leaves, µmol'))}
          {entry('lampHours', say('Hours a day'))}
          {entry('lampDistance', say('Above the leaves, {unit}', { unit: lengthUnit() }))}
        </div>
        {Number(typed.lampDistance) !== Number(typedOf(before).lampDistance) && (
          <LowerOrHigher typed={typed} there={fluxThere} take={(next) => change(next, aspect)} />
        )}
        <p className="text-sm text-pencil">
          {say('Most light for 14 to 16 hours; seedlings want a night. Water and lamps: residual-current protection, cords off the floor.')}
        </p>
      </fieldset>
      <fieldset className="flex flex-col gap-3">
        <legend className="mb-1 font-semibold">{say('Daylight')}</legend>
        <Field name={say('Comes')}>
          <Select className="entry" value={aspect} onChange={(event) => change(typed, event.target.value as LightMadeBy['aspect'])}>
            {Object.entries(ASPECTS).map(([each, words]) => (
              <option key={each} value={each}>
                {words}
              </option>
            ))}
          </Select>
        </Field>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          {entry('daylightShare', say('Comes through, %'))}
          {entry('sunFrom', say('Sun from, hour'))}
          {entry('sunUntil', say('Sun until, hour'))}
        </div>
        <p className="text-sm text-pencil">
          {say('By the sun: noon is when it stands highest. What a hill, a house or a tree takes in the morning or the evening.')}
        </p>
      </fieldset>
      <fieldset className="flex flex-col gap-3">
        <legend className="mb-1 font-semibold">{say('Cloth against fierce sun')}</legend>
        <div className="grid grid-cols-2 gap-3">
          {entry('clothTakes', say('Takes, %'), say('0 for none'))}
          {entry('clothAbove', say('Drawn above, mol a day'), say('25 is a bright day under glass'))}
        </div>
      </fieldset>
      <Refusal message={keep.error && keep.error.problems.length === 0 ? keep.error.message : undefined} />
      {mayChange ? (
        <div className="flex flex-wrap gap-2">
          <button className="act act-main" disabled={keep.isPending || !changed || !read}>
            {say('Keep it like this')}
          </button>
          {changed && (
            <button
              type="button"
              className="act"
              onClick={() => {
                setTyped(typedOf(before));
                setAspect(before.aspect);
                tryOut(undefined);
              }}
            >
              {say('Back to how it is')}
            </button>
          )}
        </div>
      ) : (
        <p className="text-sm text-pencil">{say('Try what you like; only a propagator can keep it.')}</p>
      )}
    </form>
  );
}

/** Lamps hung lower or higher give more or less: what it will be is worked out, and can be overruled by whoever has a meter. */
function LowerOrHigher({ typed, there, take }: { typed: Typed; there: number | undefined; take: (next: Typed) => void }) {
  if (there === undefined || there === 0 || typed.lampFlux === whole(there)) return null;
  return (
    <button type="button" className="act self-start" onClick={() => take({ ...typed, lampFlux: whole(there) })}>
      {say('From that height about {flux} µmol', { flux: whole(there) })}
    </button>
  );
}
