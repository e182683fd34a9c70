import type { DateSpread, Verdict } from '../api/client';

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
const SHORT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const LONG = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long', day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC',
});
const MILLISECONDS_IN_DAY = 86_400_000;

/** A date without a time, as midnight in UTC, so that no time zone shifts it. */
export function toDate(day: string): Date {
  return new Date(`${day}T00:00:00Z`);
}

/** "Thu 29 Apr" */
export function dayWords(day: string): string {
  return DAY.format(toDate(day)).replace(',', '');
}

/** "29 Apr" */
export function shortDay(day: string): string {
  return SHORT.format(toDate(day));
}

/** "Thursday 29 April 2027" */
export function longDay(day: string): string {
  return LONG.format(toDate(day)).replace(',', '');
}

/** Days from one date to another; negative when the other lies before. */
export function daysBetween(from: string, to: string): number {
  return Math.round((toDate(to).getTime() - toDate(from).getTime()) / MILLISECONDS_IN_DAY);
}

/** The date so many days later, as YYYY-MM-DD. */
export function addDays(day: string, days: number): string {
  return new Date(toDate(day).getTime() + days * MILLISECONDS_IN_DAY).toISOString().slice(0, 10);
}

/** "27 Apr – 3 May, most likely 30 Apr"; one day when it is certain. */
export function spreadWords(spread: DateSpread | undefined): string {
  if (!spread) return 'not this season';
  if (spread.early === spread.late) return dayWords(spread.middle);
  return `${shortDay(spread.early)} – ${shortDay(spread.late)}, most likely ${shortDay(spread.middle)}`;
}

/** A chance as growers say it; never "certain", never "impossible". */
export function chanceWords(chance: number): string {
  if (chance >= 0.975) return 'as good as sure';
  if (chance <= 0.025) return 'hardly any chance';
  const inTwenty = Math.min(19, Math.max(1, Math.round(chance * 20)));
  if (inTwenty === 1) return '1 time in 20';
  if (inTwenty % 2 === 0) return `${inTwenty / 2} times in 10`;
  return `${inTwenty} times in 20`;
}

/** "1 plant", "3 plants" */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString('en-GB')} ${count === 1 ? one : many}`;
}

export const VERDICT_WORDS: Record<Verdict, string> = {
  TOO_SOON_TO_TELL: 'Too soon to tell',
  EARLY: 'Early',
  ON_COURSE: 'On course',
  LATE: 'Late',
  FAILING: 'Failing',
};

/** "DAMPING_OFF" as "Damping off" */
export function nameWords(name: string): string {
  const words = name.toLowerCase().replaceAll('_', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Trays by their numbers, those that follow one another as a run: trays T1030 to T1033, T1302. */
export function trayWords(numbers: number[]): string {
  const runs: [number, number][] = [];
  for (const number of [...numbers].sort((one, other) => one - other)) {
    const last = runs.at(-1);
    if (last?.[1] === number - 1) last[1] = number;
    else runs.push([number, number]);
  }
  return `${numbers.length === 1 ? 'tray' : 'trays'} ${runs.map(([first, last]) => (first === last ? `T${first}` : `T${first} to T${last}`)).join(', ')}`;
}
