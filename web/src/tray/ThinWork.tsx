import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, TrayView } from '../api/client';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { clumpSizes, givenUp, mayBeDouble } from './clumps';
import { usePickedCells } from './usePickedCells';
import { WhichToKeep } from './WhichToKeep';

const MAY_STAY = [1, 2, 3, 4, 5];

/** Cells in which more than one came up: thinned to the strongest, or a double pricked out into a cell where nothing did. */
export function ThinWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const number = batch.summary.number;
  const { picked, clear, pickOnly, grid, sweeping } = usePickedCells(tray, number, { can: mayBeDouble, sign: '✓', words: say('picked') });
  const [left, setLeft] = useState(1);
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const doubles = tray.cells.filter((cell) => cell.batch === number && mayBeDouble(cell)).length;
  const gaps = givenUp(tray, number);
  const pricked = picked.slice(0, gaps.length);
  const sizes = clumpSizes(tray, number);
  const send = (path: string, body: Record<string, unknown>, what: string) =>
    record(`/api/batches/${number}/${path}`, { tray: tray.number, ...body }, what)
      .then(() => {
        setProblem(undefined);
        clear();
      })
      .catch((full: unknown) => setProblem(whyNot(full)));
  return (
    <>
      <WhichToKeep />
      <p className="mb-2">
        {doubles === 0
          ? say('No cell of this tray is known to hold more than one. Count the seedlings first.')
          : say(
              '{doubles, plural, one {# cell holds, or may hold,} other {# cells hold, or may hold,}} more than one. {gaps, plural, =0 {No cell is empty.} one {# cell is empty and could take one of them.} other {# cells are empty and could take one each.}} What stays is kept as a spare in case the first dies.',
              { doubles, gaps: gaps.length },
            )}
      </p>
      {sizes.length > 0 && (
        <p className="mb-2 text-sm text-pencil">
          {say('Seedlings to a cell: {sizes}.', {
            sizes: sizes.map(({ seedlings, cells }) => say('{seedlings} in {cells}', { seedlings, cells })).join(', '),
          })}
        </p>
      )}
      <div className="mb-2 flex flex-wrap items-end gap-3">
        <button className="act" disabled={doubles === 0} onClick={() => pickOnly(() => true)}>
          {say('Pick all with more than one')}
        </button>
        <div className="w-36">
          <Field name={say('Left in each')}>
            <Select className="entry" value={left} onChange={(event) => setLeft(Number(event.target.value))}>
              {MAY_STAY.map((each) => (
                <option key={each}>{each}</option>
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
              'thinnings',
              { cells: picked, left },
              say('thinning of {cells, plural, one {# cell} other {# cells}} in {code}', { cells: picked.length, code: tray.code }),
            )
          }
        >
          {picked.length === 0 ? say('Thin') : say('Thin {cells, plural, one {# cell} other {# cells}} to {left}', { cells: picked.length, left })}
        </button>
        <button
          className="act"
          disabled={pricked.length === 0}
          onClick={() =>
            send(
              'prickings-out',
              { cells: pricked, into: tray.number, goals: gaps.slice(0, pricked.length) },
              say('{doubles, plural, one {# double} other {# doubles}} pricked out in {code}', { doubles: pricked.length, code: tray.code }),
            )
          }
        >
          {pricked.length === 0
            ? say('Prick out into empty cells')
            : say('Prick out {doubles, plural, one {# double} other {# doubles}} into empty cells', { doubles: pricked.length })}
        </button>
        {sweeping}
      </div>
      <p className="text-sm text-pencil">{say('Hold a seedling by the leaf, never by the stem.')}</p>
    </>
  );
}
