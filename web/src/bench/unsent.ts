import type { CellView, TrayView } from '../api/client';
import type { Letter } from './outbox';

interface CountBody {
  tray: number;
  cells: { cell: number; seedlings: number }[];
  somethingUp?: number[];
  complete: boolean;
}
interface PickedBody {
  tray: number;
  cells: number[];
}
interface SowingBody {
  tray: number;
  firstCell: number;
  lastCell: number;
  seedsPerCell: number;
}

/** A cell that was left: free, as far as this device knows. */
const GONE_OVER: Partial<CellView> = {
  batch: undefined,
  condition: undefined,
  seeds: undefined,
  seedlings: undefined,
  onlySeen: false,
  mixed: false,
};

/** The batch that a letter is about, from its address. */
const batchOf = (letter: Letter): number => Number(/\/api\/batches\/(\d+)\//.exec(letter.path)?.[1]);

interface About {
  tray?: number;
  moves?: PickedBody[];
}

const isAbout = ({ tray, moves }: About, number: number): boolean => tray === number || (moves ?? []).some((move) => move.tray === number);

/** A tray as it will be once everything recorded on this device has been sent: what was seen is not lost from sight. */
export function withUnsent(tray: TrayView, letters: readonly Letter[]): TrayView {
  const mine = letters.filter((letter) => isAbout(letter.body as About, tray.number));
  if (mine.length === 0) return tray;
  const cells = new Map<number, CellView>(tray.cells.map((cell) => [cell.number, cell]));
  const change = (number: number, changed: Partial<CellView>) => {
    const cell = cells.get(number);
    if (cell) cells.set(number, { ...cell, ...changed });
  };
  for (const letter of mine) {
    if (letter.path.endsWith('/counts')) count(letter.body as unknown as CountBody, batchOf(letter), cells, change);
    if (letter.path.endsWith('/losses')) {
      (letter.body as unknown as PickedBody).cells.forEach((cell) => change(cell, { condition: 'LOST' }));
    }
    if (letter.path.endsWith('/doubts') || letter.path.endsWith('/recognitions')) {
      (letter.body as unknown as PickedBody).cells.forEach((cell) => change(cell, { mixed: letter.path.endsWith('/doubts') }));
    }
    if (letter.path.endsWith('/thinnings')) {
      const { cells: thinned, left } = letter.body as unknown as PickedBody & { left: number };
      thinned.forEach((cell) => change(cell, { seedlings: left, onlySeen: false }));
    }
    if (letter.path.endsWith('/prickings-out')) {
      const { cells: giving, goals } = letter.body as unknown as PickedBody & { goals: number[] };
      giving.forEach((cell) => change(cell, { seedlings: Math.max(1, (cells.get(cell)?.seedlings ?? 2) - 1), onlySeen: false }));
      goals.forEach((cell) => change(cell, { seedlings: 1, onlySeen: false, condition: 'ALIVE' }));
    }
    if (letter.path.endsWith('/cell-moves')) {
      // Where they went to is numbered and filled by the server; here one sees that they are gone.
      (letter.body as unknown as { moves: PickedBody[] }).moves
        .filter((move) => move.tray === tray.number)
        .forEach((move) => move.cells.forEach((cell) => change(cell, GONE_OVER)));
    }
    if (letter.path.endsWith('/sowings')) {
      const run = letter.body as unknown as SowingBody;
      for (let cell = run.firstCell; cell <= run.lastCell; cell++) {
        change(cell, { batch: batchOf(letter), condition: 'WAITING', seeds: run.seedsPerCell, seedlings: 0 });
      }
    }
  }
  return { ...tray, cells: [...cells.values()] };
}

function count(body: CountBody, batch: number, cells: Map<number, CellView>, change: (number: number, changed: Partial<CellView>) => void): void {
  body.cells.forEach(({ cell, seedlings }) => change(cell, { seedlings, onlySeen: false, condition: seedlings > 0 ? 'ALIVE' : 'WAITING' }));
  (body.somethingUp ?? []).forEach((cell) => {
    if ((cells.get(cell)?.seedlings ?? 0) === 0) change(cell, { seedlings: 1, onlySeen: true, condition: 'ALIVE' });
  });
  if (!body.complete) return;
  [...cells.values()]
    .filter((cell) => cell.batch === batch && cell.condition === 'WAITING')
    .forEach((cell) => change(cell.number, { condition: 'EMPTY' }));
}
