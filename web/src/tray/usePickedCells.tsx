import { useState } from 'react';
import type { CellView, TrayView } from '../api/client';
import { say } from '../words/say';
import { cellLook } from './cellLook';
import { EMPTY_DRAFT, foundIn } from './draft';
import { TrayGrid } from './TrayGrid';

/** The cells of a batch in a tray from which some are picked, by tapping, by row, by sweeping over them or around them, to be told something about. */
export function usePickedCells(
  tray: TrayView,
  batch: number,
  { can, sign, words }: { can: (cell: CellView) => boolean; sign: string; words: string },
) {
  const [picked, setPicked] = useState<number[]>([]);
  const [fingerSweeps, setFingerSweeps] = useState(false);
  const open = (cell: CellView) => cell.batch === batch && can(cell);
  const toggle = (cell: CellView) =>
    setPicked(picked.includes(cell.number) ? picked.filter((each) => each !== cell.number) : [...picked, cell.number]);
  const add = (cells: CellView[]) => setPicked([...new Set([...picked, ...cells.filter(open).map((cell) => cell.number)])]);
  /** A row is picked whole; where all of it is picked already, it is let go. */
  const turn = (cells: CellView[]) => {
    const row = cells.filter(open);
    if (row.every((cell) => picked.includes(cell.number))) {
      setPicked(picked.filter((each) => !row.some((cell) => cell.number === each)));
    } else add(row);
  };
  const grid = (
    <TrayGrid
      tray={tray}
      fingerSweeps={fingerSweeps}
      draw={(cell) => {
        const marked = picked.includes(cell.number);
        const look = cellLook(cell, batch, foundIn(EMPTY_DRAFT, cell), marked);
        return marked ? { ...look, text: sign, words, disabled: false } : { ...look, disabled: !open(cell) };
      }}
      work={{ tap: toggle, sweep: add, row: turn }}
    />
  );
  const sweeping = (
    <label className="flex min-h-11 items-center gap-2 pointer-fine:hidden">
      <input type="checkbox" className="size-5" checked={fingerSweeps} onChange={(event) => setFingerSweeps(event.target.checked)} />
      {say('Sweep with the finger')}
    </label>
  );
  const pickOnly = (which: (cell: CellView) => boolean) =>
    setPicked(tray.cells.filter((cell) => open(cell) && which(cell)).map((cell) => cell.number));
  return { picked, clear: () => setPicked([]), pickOnly, grid, sweeping };
}
