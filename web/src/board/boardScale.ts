import type { BoardBatch } from '../api/client';
import { type TimeScale, timeScale } from '../look/timeScale';
import { addDays } from '../words/days';

const DAYS_BEFORE = 10;
const DAYS_AFTER = 8;

/** A scale that holds today and everything the batches still have before them. */
export function boardScale(batches: BoardBatch[], today: string): TimeScale {
  const first = addDays(today, -DAYS_BEFORE);
  const last = addDays([today, ...batches.map((batch) => batch.dates.target)].sort().at(-1)!, DAYS_AFTER);
  return timeScale(first, last);
}

/** The day under a pointer that has moved so many pixels from where a day was taken hold of. */
export function dragged(day: string, pixels: number, width: number, scale: TimeScale): string {
  return addDays(day, Math.round((pixels / width) * scale.days));
}

/** What the board shows only some of. */
export interface BoardFilter {
  grower: string;
  crop: string;
  place: string;
  state: string;
}

export const NO_FILTER: BoardFilter = { grower: '', crop: '', place: '', state: '' };

export function fits(batch: BoardBatch, filter: BoardFilter): boolean {
  return (
    (!filter.grower || batch.promises.some((promise) => promise.grower === filter.grower)) &&
    (!filter.crop || batch.crop === filter.crop) &&
    (!filter.place || batch.stays.some((stay) => String(stay.placeId) === filter.place)) &&
    (!filter.state || (filter.state === 'AT_RISK' ? batch.chance < 0.5 : batch.stage === filter.state))
  );
}
