import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { altitudeTyped, altitudeUnit, typedAltitude, typedNumber } from '../words/quantity';

/** A latitude in words. */
export const degreesWords = (latitude: number) =>
  latitude < 0 ? say('{latitude}° south', { latitude: -latitude }) : say('{latitude}° north', { latitude });

/** Where the nursery lies; what was assumed for another place is worked out anew. */
export function Position({ latitude, altitude }: { latitude: number; altitude: number }) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState({ latitude: String(latitude), altitude: altitudeTyped(altitude) });
  const move = useChange((entry: { latitude: number; altitude: number }) => answered(api.PUT('/api/weather/position', { body: entry })));
  if (!open)
    return (
      <button className="trail min-h-11" onClick={() => setOpen(true)}>
        {say('It lies elsewhere')}
      </button>
    );
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        move.mutate(
          { latitude: typedNumber(typed.latitude) as number, altitude: Math.round(typedAltitude(typed.altitude) ?? Number.NaN) },
          { onSuccess: () => setOpen(false) },
        );
      }}
    >
      <Field name={say('Latitude')} hint={say('degrees, south negative')} problem={move.error?.problemAt('latitude')}>
        <Input className="entry" value={typed.latitude} onChange={(event) => setTyped({ ...typed, latitude: event.target.value })} />
      </Field>
      <Field name={say('Height above the sea')} hint={altitudeUnit()} problem={move.error?.problemAt('altitude')}>
        <Input className="entry" value={typed.altitude} onChange={(event) => setTyped({ ...typed, altitude: event.target.value })} />
      </Field>
      <button className="act act-main" disabled={move.isPending}>
        {say('Work the weather out anew')}
      </button>
      <Refusal message={move.error && move.error.problems.length === 0 ? move.error.message : undefined} />
    </form>
  );
}
