import type { CellView } from '../api/client';

/** What has been tapped on a tray and not been saved: seedlings by cell, newest taps last. */
export interface CountDraft {
  seedlings: Readonly<Record<number, number>>;
  /** What each tap or sweep replaced, so that it can be taken back. */
  undo: readonly Readonly<Record<number, number | undefined>>[];
}

export const EMPTY_DRAFT: CountDraft = { seedlings: {}, undo: [] };

/** More than this in one cell is a slip of the finger; the next tap begins again at 0. */
const MOST_BY_TAPPING = 9;

/** Cells that can be counted: sown with this batch and not lost or gone. */
export function countable(cell: CellView, batch: number): boolean {
  return cell.batch === batch && cell.condition !== undefined && cell.condition !== 'LOST' && cell.condition !== 'RELEASED';
}

export function seedlingsIn(draft: CountDraft, cell: CellView): number {
  return draft.seedlings[cell.number] ?? cell.seedlings ?? 0;
}

function replaced(draft: CountDraft, changes: Record<number, number>): CountDraft {
  const before: Record<number, number | undefined> = {};
  for (const key of Object.keys(changes)) before[Number(key)] = draft.seedlings[Number(key)];
  return { seedlings: { ...draft.seedlings, ...changes }, undo: [...draft.undo, before] };
}

/** One more seedling in a cell. */
export function tap(draft: CountDraft, cell: CellView): CountDraft {
  const now = seedlingsIn(draft, cell);
  return replaced(draft, { [cell.number]: now >= MOST_BY_TAPPING ? 0 : now + 1 });
}

/** So many seedlings in a cell, as typed. */
export function enter(draft: CountDraft, cell: CellView, seedlings: number): CountDraft {
  return replaced(draft, { [cell.number]: seedlings });
}

/** One seedling in each cell swept over that had none. */
export function sweep(draft: CountDraft, cells: readonly CellView[]): CountDraft {
  const empty = cells.filter((cell) => seedlingsIn(draft, cell) === 0);
  if (empty.length === 0) return draft;
  return replaced(draft, Object.fromEntries(empty.map((cell) => [cell.number, 1])));
}

/** Takes the last tap or sweep back. */
export function undo(draft: CountDraft): CountDraft {
  const last = draft.undo.at(-1);
  if (!last) return draft;
  const merged: Record<number, number | undefined> = { ...draft.seedlings, ...last };
  const seedlings = Object.fromEntries(
    Object.entries(merged).filter((entry): entry is [string, number] => entry[1] !== undefined),
  );
  return { seedlings, undo: draft.undo.slice(0, -1) };
}

/** The cells between two, as a page is read, both included. */
export function runBetween(one: number, other: number): { first: number; last: number } {
  return { first: Math.min(one, other), last: Math.max(one, other) };
}
