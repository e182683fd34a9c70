import type { BatchView, TrayView } from '../api/client';

/**
 * Whether cells of a tray wait to be sown. The tray may know of a sowing that the batch does not know of yet, above all
 * while it has not been sent.
 */
export function isStillToSow(tray: Pick<TrayView, 'number' | 'cells'>, toSow: BatchView['layout']['toSow']): boolean {
  return toSow.some(
    (run) => run.tray === tray.number && tray.cells.some((cell) => cell.number >= run.firstCell && cell.number <= run.lastCell && !cell.condition),
  );
}
