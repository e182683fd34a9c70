import { useState } from 'react';
import type { BatchView, CellView, SeenOnPhotograph, TrayView } from '../api/client';
import { useOutbox, useRecord, whyNot } from '../bench/useOutbox';
import { Refusal } from '../look/States';
import { cellLook } from './cellLook';
import { asCounted, clear, countable, EMPTY_DRAFT, enter, fewer, foundIn, gap, isUp, propose, sweep, tap, undo, type CountDraft } from './draft';
import { PhotographWork } from './PhotographWork';
import { TrayGrid, type CellLook } from './TrayGrid';
import { useKeptDraft } from './useKeptDraft';
import { area } from '../words/quantity';
import { say } from '../words/say';

/** Counting seedlings by tapping and sweeping cells. */
export function CountWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const number = batch.summary.number;
  const { draft, latest, change, changeSoon } = useKeptDraft(`kiver.count.${tray.number}.${number}`);
  const [complete, setComplete] = useState(false);
  const [fingerSweeps, setFingerSweeps] = useState(false);
  // Where nearly all are up it is quicker to tell the gaps.
  const [gaps, setGaps] = useState(false);
  const waiting = useOutbox().waiting.filter((letter) => letter.body.tray === tray.number).length;
  const mine = (cells: CellView[]) => cells.filter((cell) => countable(cell, number));
  const touched = Object.keys(draft.found).length;
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const [shown, setShown] = useState<SeenOnPhotograph>();
  const draw = (cell: CellView, now: CountDraft): CellLook => ({
    ...cellLook(cell, number, foundIn(now, cell), now.found[cell.number] !== undefined),
    disabled: !countable(cell, number),
  });
  const save = () => {
    const words =
      touched > 0
        ? say('count of {cells, plural, one {# cell} other {# cells}} in {code}', { cells: touched, code: tray.code })
        : say('last look at {code}', { code: tray.code });
    record(`/api/batches/${number}/counts`, { tray: tray.number, ...asCounted(latest()), complete }, words)
      .then(() => {
        setProblem(undefined);
        change(EMPTY_DRAFT);
        setComplete(false);
        setGaps(false);
        setShown(undefined);
      })
      .catch((full: unknown) => setProblem(whyNot(full)));
  };
  const up = tray.cells.filter((cell) => cell.batch === number && isUp(foundIn(draft, cell))).length;
  return (
    <>
      <TrayGrid
        tray={tray}
        fingerSweeps={fingerSweeps}
        draw={(cell) => draw(cell, draft)}
        work={{
          tap: (cell) => changeSoon(gaps ? gap(latest(), cell) : tap(latest(), cell)),
          tapped: (cell) => draw(cell, latest()),
          sweep: (cells) => change(sweep(latest(), mine(cells))),
          row: (cells) => change(gaps ? mine(cells).reduce(gap, latest()) : sweep(latest(), mine(cells))),
          digit: (cell, digit) => change(enter(latest(), cell, digit)),
          fewer: (cell) => change(fewer(latest(), cell)),
        }}
      />
      {gaps && <p className="mt-2 font-semibold">{say('All are taken to be up. Now tap each cell in which nothing is.')}</p>}
      <p className="mt-2 text-sm text-pencil">
        {say(
          'Tap a cell for each seedling, or type a figure; sweep over many where something is up (+) and need not be counted. {more}{up} cells show something.',
          { more: batch.plan.countsSeedlings ? say('This order counts seedlings: count its clumps before they go. ') : '', up },
        )}
      </p>
      {shown && <p className="mt-2 border-l-4 border-dusk p-2">{shownWords(shown)}</p>}
      <div className="mt-2 flex flex-wrap items-center gap-x-4">
        <PhotographWork
          tray={tray}
          seen={(result) => {
            setShown(result);
            change(propose(latest(), mine(tray.cells), new Set(result.cells.filter((cell) => cell.up).map((cell) => cell.cell))));
          }}
        />
      </div>
      <Refusal message={problem} />
      <div className="sticky bottom-0 mt-2 flex flex-wrap items-center gap-3 bg-wall py-3">
        <button className="act act-main grow sm:grow-0" disabled={touched === 0 && !complete} onClick={save}>
          {touched > 0
            ? say('Save count of {cells, plural, one {# cell} other {# cells}}', { cells: touched })
            : complete
              ? say('Save last look')
              : say('Save count')}
        </button>
        <button className="act" disabled={draft.undo.length === 0} onClick={() => change(undo(latest()))}>
          {say('Undo tap')}
        </button>
        <button className="act" disabled={touched === 0} onClick={() => change(clear(latest()))}>
          {say('Clear')}
        </button>
        <button
          className="act"
          aria-pressed={gaps}
          onClick={() => {
            if (!gaps) change(sweep(latest(), mine(tray.cells)));
            setGaps(!gaps);
          }}
        >
          {gaps ? say('Count seedlings again') : say('All up except…')}
        </button>
        <label className="flex min-h-11 items-center gap-2 pointer-fine:hidden">
          <input type="checkbox" className="size-5" checked={fingerSweeps} onChange={(event) => setFingerSweeps(event.target.checked)} />
          {say('Sweep with the finger')}
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={complete} onChange={(event) => setComplete(event.target.checked)} />
          {say('Last look: give up cells with nothing')}
        </label>
        {waiting > 0 && (
          <span role="status" className="text-sm text-ochre">
            {say('Saved here, waiting to be sent.')}
          </span>
        )}
      </div>
    </>
  );
}

/** What the photograph showed beside what is up: what wants a look before the count is saved. */
function shownWords(shown: SeenOnPhotograph): string {
  const numbers = (which: 'weak' | 'apart') => shown.cells.filter((cell) => cell[which]).map((cell) => cell.cell);
  const weak = numbers('weak');
  const apart = numbers('apart');
  return [
    say('The photograph shows something in {up} of {cells} cells, {area} of leaves. Look it over, then save.', {
      up: shown.up,
      cells: shown.cells.length,
      area: area(shown.leafArea),
    }),
    weak.length > 0 ? say('Far behind the others: cells {cells}.', { cells: weak.join(', ') }) : '',
    apart.length > 0 ? say('Perhaps more than one in cells {cells}.', { cells: apart.join(', ') }) : '',
  ]
    .filter(Boolean)
    .join(' ');
}
