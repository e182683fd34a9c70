import { addDays, beginsWeek, daysBetween } from '../words/days';

/** Where days lie across a drawing, in hundredths of its width. */
export interface TimeScale {
  first: string;
  days: number;
  at: (day: string) => number;
  weeks: string[];
}

const FEWEST_DAYS = 30;

/** A scale from one day to another, of a month at least. */
export function timeScale(first: string, last: string): TimeScale {
  const days = Math.max(FEWEST_DAYS, daysBetween(first, last) + 1);
  const at = (day: string) => Math.min(100, Math.max(0, (daysBetween(first, day) / days) * 100));
  const weeks: string[] = [];
  for (let day = 0; day < days; day++) {
    const date = addDays(first, day);
    if (beginsWeek(date)) weeks.push(date);
  }
  return { first, days, at, weeks };
}
