import type { DateSpread } from '../api/client';
import { say } from './say';
import { locale, speech } from './speech';

const DAY = formatter({ weekday: 'short', day: 'numeric', month: 'short' });
const DAY_AND_YEAR = formatter({ weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });
const SHORT = formatter({ day: 'numeric', month: 'short' });
const LONG = formatter({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });
const MONTH = formatter({ month: 'long', year: 'numeric' });
const SHORT_MONTH = formatter({ month: 'short' });
const WITH_YEAR = formatter({ day: 'numeric', month: 'short', year: 'numeric' }, (words) => words);
const WEEKDAY = formatter({ weekday: 'short' });
const TIME = (time: string) =>
  new Intl.DateTimeFormat(locale(), { hour: 'numeric', minute: '2-digit', timeZone: 'UTC' }).format(new Date(`1970-01-01T${time}:00Z`));
const MILLISECONDS_IN_DAY = 86_400_000;

/** Days in words; the comma after a weekday is left out. */
function formatter(parts: Intl.DateTimeFormatOptions, tidy = (words: string) => words.replace(',', '')): (day: string) => string {
  const format = new Intl.DateTimeFormat(locale(), { ...parts, timeZone: 'UTC' });
  const plain = (day: string) => tidy(format.format(toDate(day)));
  return speech.language === 'STRETCHED' ? (day) => `⟦${plain(day)}⟧` : plain;
}

/** A date without a time, as midnight in UTC, so that no time zone shifts it. */
export function toDate(day: string): Date {
  return new Date(`${day}T00:00:00Z`);
}

/** Whether a text is a day as it stands in addresses and entries: 2027-04-29. */
export const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(toDate(text).getTime());

/** So many days from today a day without its year would be taken for the nearer one of that name. */
const DAYS_UNTIL_THE_YEAR_IS_SAID = 300;

let standsOn: string | undefined;

/** Says on which day whoever reads stands; without one no year is said. */
export function standOn(today: string | undefined): void {
  standsOn = today;
}

/** "Thu 29 Apr"; nearly a year away "Wed 12 Apr 2028" */
export const dayWords = (day: string): string =>
  standsOn !== undefined && Math.abs(daysBetween(standsOn, day)) > DAYS_UNTIL_THE_YEAR_IS_SAID ? DAY_AND_YEAR(day) : DAY(day);

/** "29 Apr" */
export const shortDay = (day: string): string => SHORT(day);

/** "Thursday 29 April 2027" */
export const longDay = (day: string): string => LONG(day);

/** "29 Apr 2027", "Apr 29, 2027" */
export const dayOfYear = (day: string): string => WITH_YEAR(day);

/** "April 2027" */
export const monthWords = (day: string): string => MONTH(day);

/** "Apr" */
export const shortMonth = (day: string): string => SHORT_MONTH(day);

/** "Thu" */
export const weekdayWords = (day: string): string => WEEKDAY(day);

/** "14:05", "2:05 PM" */
export const timeWords = (time: string): string => TIME(time);

/** The day on which a week begins for whoever reads: Sunday for Americans, Monday for others; as Date counts them. */
const firstOfWeek = (): number => (speech.language === 'AMERICAN' ? 0 : 1);

/** Whether a week begins on a day. */
export const beginsWeek = (day: string): boolean => toDate(day).getUTCDay() === firstOfWeek();

/** The first day of the week that a day lies in. */
export const weekOf = (day: string): string => addDays(day, -((toDate(day).getUTCDay() - firstOfWeek() + 7) % 7));

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
  if (!spread) return say('not this season');
  if (spread.early === spread.late) return dayWords(spread.middle);
  return say('{early} – {late}, most likely {middle}', {
    early: shortDay(spread.early),
    late: shortDay(spread.late),
    middle: shortDay(spread.middle),
  });
}

/** "14 May", "May 14", of a day that comes every year: 05-14. */
export const everyYear = (monthDay: string): string => shortDay(`2028-${monthDay}`);

/**
 * A day that comes every year as somebody typed it: "14 May", "May 14", "14.5.", and, in the order in which one is spoken
 * to, "14/5" or "5/14"; nothing when it is none.
 */
export function typedEveryYear(typed: string): string | undefined {
  const text = typed.trim().toLowerCase();
  const numbers = text.match(/^(\d{1,2})\s*([./-])\s*(\d{1,2})\s*\.?$/);
  if (numbers) {
    const monthFirst = numbers[2] !== '.' && speech.language === 'AMERICAN';
    const [day, month] = monthFirst ? [numbers[3], numbers[1]] : [numbers[1], numbers[3]];
    return ofYear(Number(month), Number(day));
  }
  const word = text.match(/[a-zà-ÿ]{3,}/)?.[0];
  const day = text.match(/\d{1,2}/)?.[0];
  if (!word || !day) return undefined;
  const month = MONTHS.findIndex((name) => name.startsWith(word.slice(0, 3)));
  return month < 0 ? undefined : ofYear(month + 1, Number(day));
}

const MONTHS = Array.from({ length: 12 }, (_, month) =>
  new Intl.DateTimeFormat(locale(), { month: 'long', timeZone: 'UTC' }).format(new Date(Date.UTC(2028, month, 1))).toLowerCase(),
);

function ofYear(month: number, day: number): string | undefined {
  const written = `2028-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
  return isDay(written) && toDate(written).toISOString().startsWith(written) ? written.slice(5) : undefined;
}
