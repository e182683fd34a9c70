import type { BoardBatch } from '../api/client';
import { addDays, beginsWeek, daysBetween } from '../words/days';

/** Where days lie across the board, in hundredths of its width. */
export interface BoardScale {
  first: string;
  days: number;
  at: (day: string) => number;
  weeks: string[];
}

const DAYS_BEFORE = 10;
const DAYS_AFTER = 8;

/** A scale that holds today and everything the batches still have before them. */
export function boardScale(batches: BoardBatch[], today: string): BoardScale {
  const first = addDays(today, -DAYS_BEFORE);
  const last = addDays([today, ...batches.map((batch) => batch.dates.target)].sort().at(-1)!, DAYS_AFTER);
  const days = Math.max(30, daysBetween(first, last) + 1);
  const at = (day: string) => Math.min(100, Math.max(0, (daysBetween(first, day) / days) * 100));
  const weeks: string[] = [];
  for (let day = 0; day < days; day++) {
    const date = addDays(first, day);
    if (beginsWeek(date)) weeks.push(date);
  }
  return { first, days, at, weeks };
}

/** The day under a pointer that has moved so many pixels from where a day was taken hold of. */
export function dragged(day: string, pixels: number, width: number, scale: BoardScale): string {
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
