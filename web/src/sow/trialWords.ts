import type { PracticeTrial } from '../api/client';
import { say } from '../words/say';

export type Practice = PracticeTrial['practice'];
export type WayShare = PracticeTrial['ways'][number]['emerged'];

export const PRACTICES: Record<Practice, string> = {
  MIX: say('Several mixes'),
  DEPTH: say('Depth of sowing'),
  SEEDS_PER_CELL: say('Seeds to a cell'),
  SOAKED: say('Soaked or not'),
  PLACE: say('Places'),
  SOWN_LATER: say('Sown at different times'),
  PINCHED: say('Pinched or not'),
  HARDENED: say('Hardened or not'),
  IN_PLACE: say('In cells or in place'),
  WATER: say('Ways of watering'),
  OTHER: say('Something else'),
};

/** The letter under which a way stands on the drawing of how a trial lies. */
export const signOf = (position: number): string => String.fromCharCode('A'.charCodeAt(0) + position - 1);

/** More often than this chance alone gives such a difference. */
const SURELY = 0.05;

/** What a difference from the first way comes to, in words. */
export function toldWords(share: WayShare): string {
  if (share.difference == null || share.low == null || share.high == null || share.byChance == null) return '';
  const range = say('{low} to {high} points', { low: points(share.low), high: points(share.high) });
  if (share.byChance <= SURELY) {
    return share.difference > 0
      ? say('Better than A by {difference} points, surely {range}.', { difference: points(share.difference), range })
      : say('Worse than A by {difference} points, surely {range}.', { difference: points(-share.difference), range });
  }
  return share.moreToTell != null && share.moreToTell > 0
    ? say('Cannot tell yet: the difference lies anywhere from {range}. Some {more} more of each would tell.', { range, more: share.moreToTell })
    : say('No difference that matters was found; it lies anywhere from {range}.', { range });
}

const points = (share: number): string => `${share < 0 ? '−' : ''}${Math.round(Math.abs(share) * 100)}`;
