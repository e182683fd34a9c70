import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';

/** A latitude in words. */
export const degreesWords = (latitude: number) => `${Math.abs(latitude)}° ${latitude < 0 ? 'south' : 'north'}`;

/** Where the nursery lies; what was assumed for another place is worked out anew. */
export function Position({ latitude, altitude }: { latitude: number; altitude: number }) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState({ latitude: String(latitude), altitude: String(altitude) });
  const move = useChange((entry: { latitude: number; altitude: number }) => answered(api.PUT('/api/weather/position', { body: entry })));
  if (!open) return <button className="trail min-h-11" onClick={() => setOpen(true)}>It lies elsewhere</button>;
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3" noValidate
      onSubmit={(event) => {
        event.preventDefault();
        move.mutate(
          { latitude: Number(typed.latitude.replace(',', '.')), altitude: Math.round(Number(typed.altitude)) },
          { onSuccess: () => setOpen(false) },
        );
      }}
    >
      <Field name="Latitude" hint="degrees, south negative" problem={move.error?.problemAt('latitude')}>
        <Input className="entry" value={typed.latitude} onChange={(event) => setTyped({ ...typed, latitude: event.target.value })} />
      </Field>
      <Field name="Height above the sea" hint="m" problem={move.error?.problemAt('altitude')}>
        <Input className="entry" value={typed.altitude} onChange={(event) => setTyped({ ...typed, altitude: event.target.value })} />
      </Field>
      <button className="act act-main" disabled={move.isPending}>Work the weather out anew</button>
      <Refusal message={move.error && move.error.problems.length === 0 ? move.error.message : undefined} />
    </form>
  );
}
