import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { PlacePattern } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { announce } from '../look/announce';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { lengthOfSurface, surfaceTyped, surfaceUnit, typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { Thermometer } from './Thermometer';

const USES: [PlacePattern['uses'][number], string][] = [
  ['EMERGENCE', say('coming up')],
  ['GROWING_ON', say('growing on')],
  ['HARDENING_OFF', say('hardening off')],
];

/** Places as they usually are: one is picked, its thermometer and its size are put right, and it is there. */
export function PlacePatterns({ added }: { added?: () => void }) {
  const patterns = useQuery({ queryKey: ['patterns'], queryFn: () => answered(api.GET('/api/places/patterns')) });
  const [picked, setPicked] = useState<PlacePattern['kind']>();
  const pattern = patterns.data?.find((each) => each.kind === picked);
  return (
    <div>
      <ul className="board grid grid-cols-2 sm:grid-cols-3 lg:grid-cols-4" aria-label={say('Places as they usually are')}>
        {patterns.data?.map((each) => (
          <li key={each.kind} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={each.kind === picked}
              className={`flex min-h-12 w-full flex-col items-start justify-center px-3 py-1 text-left hover:bg-wash ${each.kind === picked ? 'bg-wash shadow-[inset_4px_0_0_var(--color-dusk)]' : ''}`}
              onClick={() => setPicked(each.kind)}
            >
              <span className="font-semibold">{each.name}</span>
              <span className="text-sm text-pencil">
                {USES.filter(([use]) => each.uses.includes(use))
                  .map(([, words]) => words)
                  .join(', ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {pattern && (
        <OnePlace
          key={pattern.kind}
          pattern={pattern}
          added={() => {
            setPicked(undefined);
            added?.();
          }}
        />
      )}
    </div>
  );
}

function OnePlace({ pattern, added }: { pattern: PlacePattern; added: () => void }) {
  const heated = pattern.day != null;
  const form = useRef<HTMLFormElement>(null);
  // What was picked opens below the list, on a telephone out of sight.
  useEffect(() => {
    form.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const [name, setName] = useState(pattern.name);
  const [day, setDay] = useState(pattern.day ?? pattern.gainByDay ?? 0);
  const [night, setNight] = useState(pattern.night ?? pattern.gainByNight ?? 0);
  const [size, setSize] = useState({ length: surfaceTyped(pattern.length), breadth: surfaceTyped(pattern.breadth) });
  const [lamps, setLamps] = useState({ flux: String(pattern.lampFlux), hours: String(pattern.lampHours) });
  const [daylight, setDaylight] = useState(String(Math.round(pattern.daylightShare * 100)));
  const [mice, setMice] = useState(pattern.keepsMiceOut);
  const [uses, setUses] = useState(pattern.uses);
  const [exists, setExists] = useState({ from: '', until: '' });
  const length = lengthOfSurface(size.length);
  const breadth = lengthOfSurface(size.breadth);
  const surface = useQuery({
    queryKey: ['surface', length, breadth],
    enabled: length !== undefined && breadth !== undefined,
    queryFn: () => answered(api.GET('/api/places/surfaces', { params: { query: { length: length!, breadth: breadth! } } })),
  });
  const add = useChange(() =>
    answered(
      api.POST('/api/places', {
        body: {
          kind: pattern.kind,
          name,
          slots: surface.data?.slots ?? 0,
          daylightShare: (typedNumber(daylight) as number) / 100,
          aspect: pattern.aspect,
          lampFlux: typedNumber(lamps.flux) as number,
          lampHours: typedNumber(lamps.hours) as number,
          keepsMiceOut: mice,
          uses,
          ...(exists.from ? { existsFrom: exists.from } : {}),
          ...(exists.until ? { existsUntil: exists.until } : {}),
          ...(heated
            ? { daySetPoint: day, nightSetPoint: night }
            : { gainByDay: day, gainByNight: night, ...(pattern.floor != null ? { floor: pattern.floor } : {}) }),
        },
      }),
    ),
  );
  // Nights are never warmer than days: the other mark gives way.
  const set = (key: string, value: number) => {
    if (key === 'day') {
      setDay(value);
      if (heated) setNight(Math.min(night, value));
    } else {
      setNight(value);
      if (heated) setDay(Math.max(day, value));
    }
  };
  const problem = (key: string) => add.error?.problemAt(key);
  return (
    <form
      ref={form}
      noValidate
      className="mt-4 grid items-start gap-5 sm:grid-cols-[16rem_1fr]"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined, {
          onSuccess: () => {
            announce(say('{name} is there.', { name }));
            added();
          },
        });
      }}
    >
      <Thermometer
        title={heated ? say('What it is heated to') : say('How much warmer than outdoors')}
        marks={[
          { key: 'day', name: say('day'), value: day },
          { key: 'night', name: say('night'), value: night },
        ]}
        least={0}
        most={heated ? 35 : 15}
        difference={!heated}
        set={set}
      />
      <div className="grid grid-cols-2 items-start gap-3 lg:grid-cols-4">
        <div className="col-span-2">
          <Field name={say('Name')} problem={problem('name')}>
            <Input className="entry" value={name} onChange={(event) => setName(event.target.value)} />
          </Field>
        </div>
        <Field name={say('Length of the surface, {unit}', { unit: surfaceUnit() })} problem={problem('slots')}>
          <Input className="entry" inputMode="decimal" value={size.length} onChange={(event) => setSize({ ...size, length: event.target.value })} />
        </Field>
        <Field
          name={say('Its breadth, {unit}', { unit: surfaceUnit() })}
          hint={
            surface.data
              ? say('{slots, plural, =0 {too small for a tray} one {holds # tray} other {holds # trays}}', { slots: surface.data.slots })
              : ''
          }
        >
          <Input className="entry" inputMode="decimal" value={size.breadth} onChange={(event) => setSize({ ...size, breadth: event.target.value })} />
        </Field>
        <Field name={say('Daylight that reaches it, %')} problem={problem('daylightShare')}>
          <Input className="entry" inputMode="decimal" value={daylight} onChange={(event) => setDaylight(event.target.value)} />
        </Field>
        <Field name={say('Lamps, µmol at the leaves')} hint={say('0 for none')} problem={problem('lampFlux')}>
          <Input className="entry" inputMode="decimal" value={lamps.flux} onChange={(event) => setLamps({ ...lamps, flux: event.target.value })} />
        </Field>
        <Field name={say('Hours a day that lamps burn')} problem={problem('lampHours')}>
          <Input className="entry" inputMode="decimal" value={lamps.hours} onChange={(event) => setLamps({ ...lamps, hours: event.target.value })} />
        </Field>
        <label className="flex min-h-11 items-center gap-2 self-end">
          <input type="checkbox" checked={mice} onChange={(event) => setMice(event.target.checked)} />
          {say('Keeps mice out')}
        </label>
        <fieldset className="col-span-2 lg:col-span-4">
          <legend className="text-sm font-semibold">{say('Used for')}</legend>
          <div className="flex flex-wrap gap-x-5">
            {USES.map(([use, words]) => (
              <label key={use} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  checked={uses.includes(use)}
                  onChange={() => setUses(uses.includes(use) ? uses.filter((each) => each !== use) : [...uses, use])}
                />
                {words}
              </label>
            ))}
          </div>
          {problem('uses') && (
            <p role="alert" className="text-sm font-semibold text-brick">
              {problem('uses')}
            </p>
          )}
        </fieldset>
        <details className="col-span-2 lg:col-span-4" open={problem('existsUntil') ? true : undefined}>
          <summary className="trail min-h-11 content-center text-sm">{say('It is there for a while only')}</summary>
          <div className="grid grid-cols-2 items-start gap-3 lg:grid-cols-4">
            <Field name={say('There from')} hint={say('empty: it is there')} problem={problem('existsFrom')}>
              <Input className="entry" type="date" value={exists.from} onChange={(event) => setExists({ ...exists, from: event.target.value })} />
            </Field>
            <Field name={say('There until')} hint={say('empty: it stays')} problem={problem('existsUntil')}>
              <Input className="entry" type="date" value={exists.until} onChange={(event) => setExists({ ...exists, until: event.target.value })} />
            </Field>
          </div>
        </details>
        <div className="col-span-2 lg:col-span-4">
          <Refusal message={add.error && add.error.problems.length === 0 ? add.error.message : undefined} />
          <button className="act act-main" disabled={add.isPending || surface.isFetching}>
            {say('Add this place')}
          </button>
          <p className="mt-1 text-sm text-pencil">{say('A minimum-maximum thermometer read on the round corrects what it is said to have.')}</p>
        </div>
      </div>
    </form>
  );
}
