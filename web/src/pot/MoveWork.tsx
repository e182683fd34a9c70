import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView } from '../api/client';
import { useChoices, useRooms } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { say } from '../words/say';

/** Moving a batch or some of its trays; the forecast follows where most of it stands. */
export function MoveWork({ batch }: { batch: BatchView }) {
  const { number, stage } = batch.summary;
  const [open, setOpen] = useState(false);
  const [placeId, setPlaceId] = useState(String(batch.places.growingOn.id));
  const [staying, setStaying] = useState<number[]>([]);
  const places = useChoices().data?.places ?? [];
  const rooms = useRooms().data ?? [];
  const move = useBenchChange<{ placeId: number; trays: number[] }>(`/api/batches/${number}/moves`, () => say('move of batch {number}', { number }));
  if (stage === 'PLANNED' || stage === 'RELEASED' || stage === 'FAILED') return null;
  const name = places.find((place) => String(place.id) === placeId)?.name;
  const trays = [...new Set(batch.layout.runs.map((run) => run.tray))];
  const going = trays.filter((tray) => !staying.includes(tray));
  const all = going.length === trays.length;
  const free = rooms.find((room) => String(room.placeId) === placeId)?.free;
  const lacking = free === undefined ? 0 : Math.ceil(going.length - free);
  return (
    <>
      <button className="act" onClick={() => setOpen(true)}>
        {say('Move to another place')}
      </button>
      <Sheet title={say('Move batch {number}', { number })} open={open} close={() => setOpen(false)}>
        <p className="mb-3 text-pencil">{say('It stands in {place} now.', { place: batch.summary.place })}</p>
        <Field name={say('To')} problem={move.error?.problemAt('placeId')}>
          <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
            {places
              .filter((place) => !all || place.id !== batch.places.now)
              .map((place) => {
                const room = rooms.find((each) => each.placeId === place.id)?.free;
                return (
                  <option key={place.id} value={place.id}>
                    {place.name}
                    {room === undefined ? '' : room >= 1 ? say(', {room} free', { room: Math.floor(room) }) : say(', full')}
                  </option>
                );
              })}
          </Select>
        </Field>
        {trays.length > 1 && (
          <fieldset className="mt-3">
            <legend className="font-semibold">{say('Trays that go')}</legend>
            <div className="flex flex-wrap gap-x-4">
              {trays.map((tray) => (
                <label key={tray} className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={going.includes(tray)}
                    onChange={() => setStaying(staying.includes(tray) ? staying.filter((each) => each !== tray) : [...staying, tray])}
                  />
                  T{tray}
                </label>
              ))}
            </div>
          </fieldset>
        )}
        {lacking > 0 && (
          <p role="status" className="mt-3 border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
            {say(
              '{name} has no room for {trays, plural, one {# tray} other {# trays}} of these. Choose another place, or take something else out first.',
              { name, trays: lacking },
            )}
          </p>
        )}
        {move.error && move.error.problems.length === 0 && <Refusal message={move.error.message} />}
        <button
          className="act act-main mt-4 w-full"
          disabled={move.isPending || going.length === 0 || (all && Number(placeId) === batch.places.now)}
          onClick={() => move.mutate({ placeId: Number(placeId), trays: all ? [] : going }, { onSuccess: () => setOpen(false) })}
        >
          {say('Move {what}to {name}', {
            what: all ? '' : `${say('{trays, plural, one {# tray} other {# trays}}', { trays: going.length })} `,
            name: name ?? say('a place'),
          })}
        </button>
      </Sheet>
    </>
  );
}
