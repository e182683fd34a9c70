import british from '../../../server/src/main/resources/words/en-GB.json';
import type { DateSpread, Named, Obstacle, OfferView, Proviso, TaskKind, WhyNow } from '../api/client';
import { message } from './catalogue';
import { dayWords, toDate } from './days';
import { degrees, figures, length } from './quantity';

/** Every message that must be there; a kind without words does not compile. */
type Key =
  | `obstacle.${Obstacle['kind']}`
  | `proviso.${Exclude<Proviso['kind'], 'InTheWay'>}`
  | `whyNow.${WhyNow['kind']}`
  | `offer.${OfferView['change']}`
  | `task.${TaskKind}`
  | `name.${Named}`;

export const MESSAGES: Record<Key, string> = british;

/** A message with its parts filled in; a part that is not there is none. */
export function reason(key: Key, parts: Record<string, unknown>): string {
  const known = new Proxy(parts, {
    has: () => true,
    get: (target, name) => target[name as string] ?? (String(name).endsWith('Is') ? 'none' : ''),
    getOwnPropertyDescriptor: (target, name) => ({ configurable: true, enumerable: true, value: target[name as string] }),
  });
  return String(message(key).format(known as Record<string, string>));
}

/** What else a message may name, in words. */
export interface About {
  today: string;
  crop?: string;
  container?: string;
  target?: string;
  [more: string]: string | undefined;
}

/** Why something is called for today. */
export function whyWords(why: WhyNow, today: string): string {
  return reason(`whyNow.${why.kind}`, partsOf(why, { today }));
}

/** The parts of a reason as a message takes them; the server does the same in its Parts. */
export function partsOf(reason: object, about: About): Record<string, unknown> {
  const parts: Record<string, unknown> = {
    ...about,
    ...(about.crop ? { Crop: about.crop, crop: about.crop.toLowerCase() } : {}),
    ...(about.container ? { container: about.container.toLowerCase() } : {}),
    ...(about.target ? { target: dayWords(about.target) } : {}),
  };
  for (const [name, value] of Object.entries(reason)) put(parts, name, value, about.today);
  return parts;
}

function put(parts: Record<string, unknown>, name: string, value: unknown, today: string): void {
  if (typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value)) {
    parts[name] = dayWords(value);
    parts[`${name}Is`] = relation(value, today);
  } else if (isSpread(value)) {
    parts[`${name}Early`] = dayWords(value.early);
    parts[`${name}Middle`] = dayWords(value.middle);
    parts[`${name}Late`] = dayWords(value.late);
  } else if (typeof value === 'number') {
    parts[name] = figure(name, value);
    parts[`${name}Percent`] = Math.round(100 * value);
  } else if (typeof value === 'boolean') {
    parts[name] = String(value);
  } else if (typeof value === 'string') {
    parts[name] = value;
    parts[`${name}Lower`] = value.toLowerCase();
  }
}

function relation(day: string, today: string): string {
  const difference = toDate(day).getTime() - toDate(today).getTime();
  if (difference === 0) return 'today';
  return difference < 0 ? 'past' : 'ahead';
}

function isSpread(value: unknown): value is DateSpread {
  return typeof value === 'object' && value !== null && 'middle' in value && 'early' in value;
}

function figure(name: string, value: number): number | string {
  if (name.endsWith('Celsius')) return degrees(value, 0);
  if (name.endsWith('Millimetres')) return length(value);
  return Number.isInteger(value) ? value : figures(value, 1);
}

/** The name of what has a code: "Damping off". */
export function nameWords(code: Named): string {
  return reason(`name.${code}`, {});
}
