import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView } from '../api/client';
import { answered, api } from '../api/client';
import { newRequestId, useChange, useChoices } from '../api/queries';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';

/** Moving a batch; the forecast follows where it stands. */
export function MoveWork({ batch }: { batch: BatchView }) {
  const { number, stage } = batch.summary;
  const [open, setOpen] = useState(false);
  const [placeId, setPlaceId] = useState(String(batch.growingPlaceId));
  const places = useChoices().data?.places ?? [];
  const move = useChange((entry: { placeId: number }) =>
    answered(api.POST('/api/batches/{number}/moves', { params: { path: { number } }, body: { requestId: newRequestId(), ...entry } })),
  );
  if (stage === 'PLANNED' || stage === 'RELEASED' || stage === 'FAILED') return null;
  const name = places.find((place) => String(place.id) === placeId)?.name;
  return (
    <>
      <button className="act" onClick={() => setOpen(true)}>Move to another place</button>
      <Sheet title={`Move batch ${number}`} open={open} close={() => setOpen(false)}>
        <p className="mb-3 text-pencil">It stands in {batch.summary.place} now.</p>
        <Field name="To" problem={move.error?.problemAt('placeId')}>
          <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
            {places.filter((place) => place.id !== batch.placeId).map((place) => (
              <option key={place.id} value={place.id}>{place.name}</option>
            ))}
          </Select>
        </Field>
        {move.error && move.error.problems.length === 0 && <Refusal message={move.error.message} />}
        <button
          className="act act-main mt-4 w-full" disabled={move.isPending || Number(placeId) === batch.placeId}
          onClick={() => move.mutate({ placeId: Number(placeId) }, { onSuccess: () => setOpen(false) })}
        >
          Move to {name ?? 'a place'}
        </button>
      </Sheet>
    </>
  );
}
