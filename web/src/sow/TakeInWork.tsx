import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, TrayView } from '../api/client';
import { useChoices } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Caution, Loading, Refusal, Trouble } from '../look/States';
import { cellLook } from '../tray/cellLook';
import { runBetween } from '../tray/draft';
import { TrayGrid } from '../tray/TrayGrid';
import { figures, typedNumber } from '../words/quantity';
import { say } from '../words/say';

/** Plants that somebody else raised have come: which cells they stand in, and how large they are. */
export function TakeInWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const choices = useChoices();
  const number = batch.summary.number;
  const planned = batch.layout.toSow.find((run) => run.tray === tray.number);
  const [run, setRun] = useState({ first: planned?.firstCell ?? 1, last: planned?.lastCell ?? tray.cells.length });
  const [leaves, setLeaves] = useState(figures(batch.from.boughtIn?.leaves ?? 0, 1));
  const [placeId, setPlaceId] = useState(String(batch.places.now ?? batch.places.growingOn.id));
  const entry = { tray: tray.number, firstCell: run.first, lastCell: run.last, placeId: Number(placeId), leaves: typedNumber(leaves) };
  const takeIn = useBenchChange<typeof entry>(`/api/batches/${number}/arrivals`, (came) =>
    say('taking in of {plants, plural, one {# plant} other {# plants}} in {code}', { plants: came.lastCell - came.firstCell + 1, code: tray.code }),
  );
  const leave = useBenchChange<{ tray: number }>(`/api/batches/${number}/left-unsown`, () => say('{code} left empty', { code: tray.code }));
  if (choices.isPending) return <Loading what={say('the places')} />;
  if (!choices.data) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  const plants = Math.max(0, run.last - run.first + 1);
  const problem = (field: string) => takeIn.error?.problemAt(field);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        takeIn.mutate(entry);
      }}
    >
      <div className="mb-3">
        <Caution>{say('Plants from elsewhere may bring pests: look under leaves and at roots, and keep them apart until you are sure.')}</Caution>
      </div>
      <TrayGrid
        tray={tray}
        fingerSweeps={false}
        draw={(cell) => {
          const inside = cell.number >= run.first && cell.number <= run.last;
          const taken = cell.condition !== undefined;
          return inside && !taken
            ? { text: '+', words: say('a plant stands here'), look: 'bg-board text-ink outline-3 -outline-offset-3 outline-dusk', disabled: false }
            : { ...cellLook(cell, number, 0, false), disabled: taken };
        }}
        work={{
          tap: (cell) => setRun({ ...run, last: Math.max(run.first, cell.number) }),
          sweep: (swept) => setRun(runBetween(swept[0]!.number, swept.at(-1)!.number)),
        }}
      />
      <p className="mt-2 text-sm text-pencil">{say('Tap the last cell that holds a plant, or sweep over those that do.')}</p>
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        <Field name={say('True leaves they have')} problem={problem('leaves')}>
          <Input className="entry" inputMode="decimal" value={leaves} onChange={(event) => setLeaves(event.target.value)} />
        </Field>
        <Field name={say('Put in')} problem={problem('placeId')}>
          <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
            {choices.data.places.map((place) => (
              <option key={place.id} value={place.id}>
                {place.name}
              </option>
            ))}
          </Select>
        </Field>
      </div>
      <Refusal message={takeIn.error && !problem('leaves') && !problem('placeId') ? takeIn.error.message : undefined} />
      <div className="sticky bottom-0 bg-wall py-3">
        <button className="act act-main w-full sm:w-auto" disabled={takeIn.isPending || plants < 1}>
          {say('Take in {plants, plural, one {# plant} other {# plants}}', { plants })}
        </button>
        {planned && batch.summary.balance.sown > 0 && (
          <button type="button" className="act ml-3" disabled={leave.isPending} onClick={() => leave.mutate({ tray: tray.number })}>
            {say('Nothing more comes in {code}', { code: tray.code })}
          </button>
        )}
        <Refusal message={leave.error?.message} />
      </div>
    </form>
  );
}
