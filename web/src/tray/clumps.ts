import type { CellView, TrayView } from '../api/client';

/** Whether one knows that more than one seedling stands in a cell, or cannot know that it is one. */
export function mayBeDouble(cell: CellView): boolean {
  return cell.condition === 'ALIVE' && ((cell.seedlings ?? 0) > 1 || (cell.onlySeen && (cell.seeds ?? 1) > 1));
}

/** Cells of a batch in a tray by how many seedlings were counted in them, fewest first; cells that were only seen are left out. */
export function clumpSizes(tray: TrayView, batch: number): { seedlings: number; cells: number }[] {
  const sizes = new Map<number, number>();
  for (const cell of tray.cells) {
    if (cell.batch === batch && cell.condition === 'ALIVE' && !cell.onlySeen) {
      sizes.set(cell.seedlings ?? 0, (sizes.get(cell.seedlings ?? 0) ?? 0) + 1);
    }
  }
  return [...sizes].sort(([one], [other]) => one - other).map(([seedlings, cells]) => ({ seedlings, cells }));
}

/** Cells of a batch that were given up, into which a double can go. */
export function givenUp(tray: TrayView, batch: number): number[] {
  return tray.cells.filter((cell) => cell.batch === batch && cell.condition === 'EMPTY').map((cell) => cell.number);
}
