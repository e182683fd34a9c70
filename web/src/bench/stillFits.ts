import type { CellView, TrayView } from '../api/client';
import type { Letter } from './outbox';

const lives = (cell: CellView): boolean => cell.condition === 'ALIVE' || cell.condition === 'WAITING';

/** The tray that a refused entry was about, and its batch. */
export const trayOfLetter = (letter: Letter): number | undefined => (typeof letter.body.tray === 'number' ? letter.body.tray : undefined);

export const batchOfLetter = (letter: Letter): number | undefined => {
  const found = /^\/api\/batches\/(\d+)\//.exec(letter.path);
  return found ? Number(found[1]) : undefined;
};

/**
 * What of a refused entry still fits the tray as it is now: the cells that others have not emptied, taken or let go since.
 *
 * @return undefined where nothing does, where all does, or where cells cannot be left out of it
 */
export function stillFits(letter: Letter, tray: TrayView): { body: Record<string, unknown>; cells: number; all: number } | undefined {
  const batch = batchOfLetter(letter);
  const own = new Set(tray.cells.filter((cell) => cell.batch === batch && lives(cell)).map((cell) => cell.number));
  const { cells, somethingUp } = letter.body;
  if (!Array.isArray(cells)) return undefined;
  if (/\/(losses|doubts|recognitions|thinnings)$/.test(letter.path)) {
    const fitting = (cells as number[]).filter((cell) => own.has(cell));
    return some(fitting.length, cells.length, { ...letter.body, cells: fitting });
  }
  if (letter.path.endsWith('/counts')) {
    const seen = (somethingUp ?? []) as number[];
    const counted = (cells as { cell: number }[]).filter(({ cell }) => own.has(cell));
    const fitting = seen.filter((cell) => own.has(cell));
    return some(counted.length + fitting.length, cells.length + seen.length, { ...letter.body, cells: counted, somethingUp: fitting });
  }
  return undefined;
}

const some = (fitting: number, all: number, body: Record<string, unknown>) =>
  fitting > 0 && fitting < all ? { body, cells: fitting, all } : undefined;
