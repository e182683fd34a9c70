import type { CellView } from '../api/client';
import { isUp, type Found } from './draft';
import type { CellLook } from './TrayGrid';
import { say } from '../words/say';

const BASE = {
  free: 'bg-wall/60 text-pencil',
  aside: 'border-2 border-dashed border-pencil bg-board text-pencil',
  waiting: 'bg-board text-ink',
  empty: 'bg-wall text-pencil',
  alive: 'bg-alive text-on-alive',
  lost: 'bg-brick-wash text-brick',
  gone: 'bg-wash text-dusk',
};

/** How cells looked when last asked; of hundreds one is another after a tap, and wording takes longer than drawing. */
const KEPT = new WeakMap<CellView, { asked: string; look: CellLook }>();

/** How a cell looks: a figure for what is up, a sign for everything else; never colour alone. */
export function cellLook(cell: CellView, batch: number | undefined, found: Found, changed: boolean): CellLook {
  const asked = `${batch} ${found} ${changed}`;
  const kept = KEPT.get(cell);
  if (kept?.asked === asked) return kept.look;
  const look = newLook(cell, batch, found, changed);
  KEPT.set(cell, { asked, look });
  return look;
}

function newLook(cell: CellView, batch: number | undefined, found: Found, changed: boolean): CellLook {
  const other = cell.batch !== batch;
  const dim = other && cell.batch !== undefined ? 'cell-other' : '';
  const edge = changed ? 'outline-3 -outline-offset-3 outline-ochre' : '';
  const look = (kind: keyof typeof BASE, text: string, words: string): CellLook => ({
    text,
    words: other && cell.batch ? say('{words}, batch {batch}', { words, batch: cell.batch }) : words,
    look: `${BASE[kind]} ${dim} ${edge}`,
    disabled: other,
  });
  if (cell.batch === undefined) return look('free', '', say('free'));
  if (cell.condition === undefined) return look('aside', '', say('set aside'));
  if (cell.condition === 'LOST') return { ...look('lost', '×', say('lost')) };
  if (cell.condition === 'RELEASED') return { ...look('gone', '→', say('released')) };
  const named = (words: string) => (cell.mixed ? say('{words}, mixed', { words }) : words);
  const sign = (text: string) => (cell.mixed ? `${text}?` : text);
  if (found === 'UP') return look('alive', sign('+'), named(say('something up, not counted')));
  if (isUp(found)) return look('alive', sign(String(found)), named(say('{found} up', { found })));
  if (cell.condition === 'EMPTY') return look('empty', '–', say('empty, given up'));
  return look('waiting', sign(changed ? '0' : '·'), named(changed ? say('nothing up') : say('sown, nothing up')));
}
