import type { TrayView } from '../api/client';

/** Cells that follow each other and belong to one batch. */
export interface TrayRun {
  first: number;
  last: number;
  batch: number;
}

/** The runs of a tray, as it is read; a free cell ends one. */
export function runsOf(tray: TrayView): TrayRun[] {
  const runs: TrayRun[] = [];
  for (const cell of tray.cells) {
    const last = runs.at(-1);
    if (cell.batch == null) continue;
    if (last && last.batch === cell.batch && last.last === cell.number - 1) last.last = cell.number;
    else runs.push({ first: cell.number, last: cell.number, batch: cell.batch });
  }
  return runs;
}

/** A letter for each run: A to Z, then AA, AB and so on. */
export function signOfRun(index: number): string {
  const letter = String.fromCharCode('A'.charCodeAt(0) + (index % 26));
  return index < 26 ? letter : signOfRun(Math.floor(index / 26) - 1) + letter;
}
