import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, CellView, TrayView } from '../api/client';
import { useChoices, useClosingUp } from '../api/queries';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { usePickedCells } from './usePickedCells';

const goes = (cell: CellView) => cell.condition === 'ALIVE' || cell.condition === 'WAITING';

/** Seedlings that go over into other cells: apart from those not yet up, into another tray of the batch, or to close gaps. */
export function MoveCellsWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const number = batch.summary.number;
  const { picked, clear, pickOnly, grid, sweeping } = usePickedCells(tray, number, { can: goes, sign: '✓', words: say('picked') });
  const [into, setInto] = useState('');
  const [placeId, setPlaceId] = useState('');
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const places = useChoices().data?.places ?? [];
  const others = batch.layout.living.filter((each) => each.tray !== tray.number && each.container === containerOf(batch, tray.number));
  const mine = tray.cells.filter((cell) => cell.batch === number && goes(cell));
  const up = mine.filter((cell) => cell.condition === 'ALIVE').length;
  const target = into === '' ? undefined : Number(into);
  const send = (moves: Moved[], words: string) =>
    record(`/api/batches/${number}/cell-moves`, { moves, ...(placeId !== '' && { placeId: Number(placeId) }) }, words)
      .then(() => {
        setProblem(undefined);
        clear();
      })
      .catch((full: unknown) => setProblem(whyNot(full)));
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        {say('Tap cells, sweep over them, lead the sweep around them, or take whole rows by their number. What is known of each goes with it.')}
      </p>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        {up > 0 && up < mine.length && (
          <button className="act" onClick={() => pickOnly((cell) => cell.condition === 'ALIVE')}>
            {say('Pick the {up} that are up', { up })}
          </button>
        )}
        <div className="w-44">
          <Field name={say('Into')}>
            <Select className="entry" value={into} onChange={(event) => setInto(event.target.value)}>
              <option value="">{say('a new tray')}</option>
              {others.map((each) => (
                <option key={each.tray} value={each.tray}>
                  {say('T{tray}, {plants} in it', { tray: each.tray, plants: each.plants })}
                </option>
              ))}
            </Select>
          </Field>
        </div>
        <div className="w-52">
          <Field name={say('And put it')}>
            <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
              <option value="">{target === undefined ? say('beside this tray') : say('where it stands')}</option>
              {places.map((place) => (
                <option key={place.id} value={place.id}>
                  {place.name}
                </option>
              ))}
            </Select>
          </Field>
        </div>
      </div>
      {grid}
      <Refusal message={problem} />
      <div className="sticky bottom-0 mt-2 flex flex-wrap items-end gap-3 bg-wall py-3">
        <button
          className="act act-main"
          disabled={picked.length === 0}
          onClick={() =>
            send(
              [{ tray: tray.number, cells: [...picked].sort((one, other) => one - other), ...(target !== undefined && { into: target }) }],
              say('{cells, plural, one {# cell} other {# cells}} moved out of {code}', { cells: picked.length, code: tray.code }),
            )
          }
        >
          {picked.length === 0 ? say('Move') : say('Move {cells, plural, one {# cell} other {# cells}}', { cells: picked.length })}
        </button>
        {sweeping}
      </div>
      <CloseUp batch={number} send={send} />
    </>
  );
}

interface Moved {
  tray: number;
  cells: number[];
  into?: number | null;
  goals?: number[] | null;
}

/** What would have to be moved for the batch to stand in as few trays as it fills, and one press for when it is done. */
function CloseUp({ batch, send }: { batch: number; send: (moves: Moved[], words: string) => void }) {
  const closing = useClosingUp(batch).data;
  if (!closing || closing.plants === 0) return null;
  const trays = closing.emptied.map((each) => `T${each}`).join(', ');
  return (
    <section className="mt-4 border-l-4 border-dusk bg-board p-3" aria-label={say('Close up')}>
      <h2 className="mb-1 text-base">
        {say('Close up: {plants, plural, one {# plant} other {# plants}} moved, and {trays} {count, plural, one {is} other {are}} free', {
          plants: closing.plants,
          trays,
          count: closing.emptied.length,
        })}
      </h2>
      <ul className="mb-3 text-sm">
        {closing.moves.map((move, index) => (
          <li key={index}>
            {say('T{from} → T{into}: {cells, plural, one {# plant} other {# plants}}, into cells {goals}', {
              from: move.tray,
              into: move.into ?? 0,
              cells: move.cells.length,
              goals: runs(move.goals ?? []),
            })}
          </li>
        ))}
      </ul>
      <button
        className="act"
        onClick={() => send(closing.moves, say('closing up of {plants, plural, one {# plant} other {# plants}}', { plants: closing.plants }))}
      >
        {say('It is done: {plants, plural, one {# plant} other {# plants}} moved', { plants: closing.plants })}
      </button>
    </section>
  );
}

/** Cells as runs: "1–4, 7". */
function runs(cells: readonly number[]): string {
  const told: string[] = [];
  let first = 0;
  const sorted = [...cells].sort((one, other) => one - other);
  sorted.forEach((cell, index) => {
    if (index === 0 || sorted[index - 1] !== cell - 1) first = cell;
    if (sorted[index + 1] !== cell + 1) told.push(first === cell ? String(cell) : `${first}–${cell}`);
  });
  return told.join(', ');
}

function containerOf(batch: BatchView, tray: number): string | undefined {
  return batch.layout.living.find((each) => each.tray === tray)?.container;
}
