import type { CellView } from '../api/client';

/** What was found in a cell: so many seedlings, or only that something is up. */
export type Found = number | 'UP';

/** What has been tapped on a tray and not been saved: what was found by cell, newest taps last. */
export interface CountDraft {
  found: Readonly<Record<number, Found>>;
  /** What each tap or sweep replaced, so that it can be taken back. */
  undo: readonly Readonly<Record<number, Found | undefined>>[];
}

export const EMPTY_DRAFT: CountDraft = { found: {}, undo: [] };

/** More than this in one cell is a slip of the finger; the next tap begins again at 0. */
const MOST_BY_TAPPING = 9;

/** Cells that can be counted: sown with this batch and not lost or gone. */
export function countable(cell: CellView, batch: number): boolean {
  return cell.batch === batch && cell.condition !== undefined && cell.condition !== 'LOST' && cell.condition !== 'RELEASED';
}

/** What is known of a cell with the draft: a cell of one seed in which something is up holds one seedling. */
export function foundIn(draft: CountDraft, cell: CellView): Found {
  const found = draft.found[cell.number] ?? (cell.onlySeen ? 'UP' : (cell.seedlings ?? 0));
  return found === 'UP' && cell.seeds === 1 ? 1 : found;
}

/** Whether anything is up. */
export const isUp = (found: Found): boolean => found === 'UP' || found > 0;

function replaced(draft: CountDraft, changes: Record<number, Found>): CountDraft {
  const before: Record<number, Found | undefined> = {};
  for (const key of Object.keys(changes)) before[Number(key)] = draft.found[Number(key)];
  return { found: { ...draft.found, ...changes }, undo: [...draft.undo, before] };
}

/** One more seedling in a cell; where only something was seen, counting begins at one. */
export function tap(draft: CountDraft, cell: CellView): CountDraft {
  const now = foundIn(draft, cell);
  return replaced(draft, { [cell.number]: now === 'UP' ? 1 : now >= MOST_BY_TAPPING ? 0 : now + 1 });
}

/** So many seedlings in a cell, as typed. */
export function enter(draft: CountDraft, cell: CellView, seedlings: number): CountDraft {
  return replaced(draft, { [cell.number]: seedlings });
}

/** Something up in each cell swept over that had nothing; how many is not said by sweeping. */
export function sweep(draft: CountDraft, cells: readonly CellView[]): CountDraft {
  const empty = cells.filter((cell) => !isUp(foundIn(draft, cell)));
  if (empty.length === 0) return draft;
  return replaced(draft, Object.fromEntries(empty.map((cell) => [cell.number, 'UP' as const])));
}

/**
 * What a photograph showed, for whoever confirms it: something up where it is green, nothing where nothing was known before. What
 * was seen by hand stays, since a seed leaf may hide from a camera.
 */
export function propose(draft: CountDraft, cells: readonly CellView[], up: ReadonlySet<number>): CountDraft {
  const changes: Record<number, Found> = {};
  for (const cell of cells) {
    if (isUp(foundIn(draft, cell))) continue;
    changes[cell.number] = up.has(cell.number) ? (cell.seeds === 1 ? 1 : 'UP') : 0;
  }
  return Object.keys(changes).length === 0 ? draft : replaced(draft, changes);
}

/** One seedling fewer in a cell; none where only something was seen. */
export function fewer(draft: CountDraft, cell: CellView): CountDraft {
  const now = foundIn(draft, cell);
  return enter(draft, cell, now === 'UP' ? 0 : Math.max(0, now - 1));
}

/** Nothing in a cell in which something was taken to be up, or the other way round: what a tap says once all are up. */
export function gap(draft: CountDraft, cell: CellView): CountDraft {
  return isUp(foundIn(draft, cell)) ? enter(draft, cell, 0) : replaced(draft, { [cell.number]: 'UP' });
}

/** Forgets all that was not saved; that, too, can be taken back. */
export function clear(draft: CountDraft): CountDraft {
  return { found: {}, undo: [...draft.undo, draft.found] };
}

/** Takes the last tap or sweep back. */
export function undo(draft: CountDraft): CountDraft {
  const last = draft.undo.at(-1);
  if (!last) return draft;
  const merged: Record<number, Found | undefined> = { ...draft.found, ...last };
  const found = Object.fromEntries(Object.entries(merged).filter((entry): entry is [string, Found] => entry[1] !== undefined));
  return { found, undo: draft.undo.slice(0, -1) };
}

/** The entries of a count as they are sent: seedlings where they were counted, apart from what was only seen. */
export function asCounted(draft: CountDraft): { cells: { cell: number; seedlings: number }[]; somethingUp: number[] } {
  const all = Object.entries(draft.found).map(([cell, found]) => ({ cell: Number(cell), found }));
  return {
    cells: all.flatMap(({ cell, found }) => (found === 'UP' ? [] : [{ cell, seedlings: found }])),
    somethingUp: all.filter(({ found }) => found === 'UP').map(({ cell }) => cell),
  };
}

/** The cells between two, as a page is read, both included. */
export function runBetween(one: number, other: number): { first: number; last: number } {
  return { first: Math.min(one, other), last: Math.max(one, other) };
}
