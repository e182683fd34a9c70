import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { LineChart } from '../look/LineChart';
import { Refusal } from '../look/States';
import { addDays, daysBetween, shortMonth } from '../words/days';
import { altitudeTyped, altitudeUnit, typedAltitude, typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { deviceTimeZone } from './here';
import { TakeHere } from './TakeHere';

/** A latitude in words. */
export const degreesWords = (latitude: number) =>
  latitude < 0 ? say('{latitude}° south', { latitude: -latitude }) : say('{latitude}° north', { latitude });

interface Entry {
  latitude: number;
  altitude: number;
  timeZone: string;
}

/** Where the nursery lies, with the length of its days drawn; what was estimated for another place is worked out anew. */
export function Position({ latitude, altitude, timeZone, kept }: Entry & { kept?: () => void }) {
  const [typed, setTyped] = useState({ latitude: String(latitude), altitude: altitudeTyped(altitude), timeZone });
  const move = useChange((entry: Entry) => answered(api.PUT('/api/weather/position', { body: entry })));
  const asked = useDeferredValue(typedNumber(typed.latitude));
  const changed = typed.latitude !== String(latitude) || typed.altitude !== altitudeTyped(altitude) || typed.timeZone !== timeZone;
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[1fr_1.5fr]">
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          move.mutate(
            {
              latitude: typedNumber(typed.latitude) as number,
              altitude: Math.round(typedAltitude(typed.altitude) ?? Number.NaN),
              timeZone: typed.timeZone,
            },
            { onSuccess: () => kept?.() },
          );
        }}
      >
        <TakeHere
          take={(here) =>
            setTyped({
              latitude: String(here.latitude),
              altitude: here.altitude === undefined ? typed.altitude : altitudeTyped(here.altitude),
              timeZone: deviceTimeZone(),
            })
          }
        />
        <div className="grid grid-cols-2 items-start gap-3">
          <Field name={say('Latitude')} hint={say('degrees, south negative')} problem={move.error?.problemAt('latitude')}>
            <Input className="entry" value={typed.latitude} onChange={(event) => setTyped({ ...typed, latitude: event.target.value })} />
          </Field>
          <Field name={say('Height above the sea')} hint={altitudeUnit()} problem={move.error?.problemAt('altitude')}>
            <Input className="entry" value={typed.altitude} onChange={(event) => setTyped({ ...typed, altitude: event.target.value })} />
          </Field>
        </div>
        <Field name={say('Time zone')} hint={say('its day begins at midnight there')} problem={move.error?.problemAt('timeZone')}>
          <Input className="entry" value={typed.timeZone} onChange={(event) => setTyped({ ...typed, timeZone: event.target.value })} />
        </Field>
        <p className="text-sm text-pencil">
          {say('Over the equator what you told of your climate is forgotten: its frosts belong to the other half of the earth.')}
        </p>
        <Refusal message={move.error && move.error.problems.length === 0 ? move.error.message : undefined} />
        <button className="act act-main self-start" disabled={move.isPending || !changed}>
          {say('It lies here')}
        </button>
        {move.isSuccess && !changed && <p role="status">{say('Kept. The weather is estimated anew.')}</p>}
      </form>
      {asked !== undefined && Math.abs(asked) <= 90 && <DayLengths latitude={asked} />}
    </div>
  );
}

/** How long it is light through the year: what the latitude decides. */
export function DayLengths({ latitude }: { latitude: number }) {
  const daylight = useQuery({
    queryKey: ['daylight', latitude],
    queryFn: () => answered(api.GET('/api/weather/daylight', { params: { query: { latitude } } })),
  });
  if (!daylight.data) return null;
  const newYear = daylight.data[0]!.day;
  const months = Array.from({ length: 12 }, (_, month) => `${newYear.slice(0, 5)}${String(month + 1).padStart(2, '0')}-01`);
  return (
    <div className="board p-4">
      <LineChart
        title={say('How long it is light at {latitude}', { latitude: degreesWords(latitude) })}
        xTitle={say('first of the month')}
        yTitle={say('hours')}
        series={[{ name: say('light'), points: daylight.data.map((each) => ({ x: daysBetween(newYear, each.day), y: each.hours })) }]}
        xTicks={months.map((month) => daysBetween(newYear, month))}
        xWords={(day) => shortMonth(addDays(newYear, day))}
        yMost={24}
      />
    </div>
  );
}
