import british from '../../../server/src/main/resources/words/en-GB.json';
import type {
  Cause,
  DateSpread,
  Found,
  Hindrance,
  PotRemark,
  MakeOrBuy,
  NameDoubt,
  Named,
  Obstacle,
  OfferView,
  Proviso,
  Remedy,
  PlantingAdvice,
  SpaceHelp,
  TaskKind,
  TrayCompany,
  PacketBeside,
  WhyNow,
} from '../api/client';
import { message } from './catalogue';
import { dayWords, toDate } from './days';
import { listWords } from './phrases';
import { degrees, degreesBetween, figures, length, wind } from './quantity';

/** Every message that must be there; a kind without words does not compile. */
type Key =
  | `obstacle.${Obstacle['kind']}`
  | `proviso.${Exclude<Proviso['kind'], 'InTheWay'>}`
  | `whyNow.${WhyNow['kind']}`
  | `remedy.${Remedy['kind']}`
  | `spaceHelp.${SpaceHelp['kind']}`
  | `plantingAdvice.${PlantingAdvice['kind']}`
  | `hindrance.${Hindrance['kind']}`
  | `potRemark.${PotRemark['kind']}`
  | `makeOrBuy.${MakeOrBuy['kind']}`
  | `trayCompany.${TrayCompany['kind']}`
  | `packetBeside.${PacketBeside['kind']}`
  | `cause.${Cause}`
  | `doubt.${NameDoubt}`
  | `offer.${OfferView['change']}`
  | `task.${TaskKind}`
  | `found.${Found['things'][number]['kind']}`
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

/** Whether a mix is worth making. */
export function worthWords(worth: MakeOrBuy): string {
  return reason(`makeOrBuy.${worth.kind}`, { ...worth });
}

/** What speaks against two crops in one tray. */
export function companyWords(against: TrayCompany): string {
  return reason(`trayCompany.${against.kind}`, { ...against, ...('byKelvin' in against && { byKelvin: degreesBetween(against.byKelvin) }) });
}

/** What a packet says beside what is expected here. */
export function packetWords(packet: PacketBeside): string {
  return reason(`packetBeside.${packet.kind}`, partsOf(packet, { today: '' }));
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
  } else if (Array.isArray(value)) {
    parts[`${name}Together`] = listWords(value.map(String));
    parts[`${name}Is`] = value.length === 0 ? 'none' : 'some';
  } else if (typeof value === 'boolean') {
    parts[name] = String(value);
  } else if (typeof value === 'string') {
    parts[name] = value;
    parts[`${name}Is`] = 'some';
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
  if (name.endsWith('Kelvin')) return degreesBetween(value, 0);
  if (name.endsWith('Millimetres')) return length(value);
  if (name.endsWith('MetresPerSecond')) return wind(value);
  return Number.isInteger(value) ? value : figures(value, 1);
}

/** The name of what has a code: "Damping off". */
export function nameWords(code: Named): string {
  return reason(`name.${code}`, {});
}

/** What can be done for a batch whose day moves. */
export function remedyWords(remedy: Remedy, target: string, placeName: (place: number) => string): string {
  return reason(`remedy.${remedy.kind}`, partsOf(remedy, { today: target, target, ...named(remedy, placeName) }));
}

/** What a site asks of whoever plants there. */
export function adviceWords(advice: PlantingAdvice, today: string): string {
  return reason(`plantingAdvice.${advice.kind}`, partsOf(advice, { today }));
}

/** What could be done about a place that is over-full. */
export function spaceHelpWords(help: SpaceHelp, today: string, placeName: (place: number) => string): string {
  return reason(`spaceHelp.${help.kind}`, partsOf(help, { today, ...named(help, placeName) }));
}

/** Why seed cannot be sown in place. */
export function hindranceWords(hindrance: Hindrance, today: string): string {
  return reason(`hindrance.${hindrance.kind}`, partsOf(hindrance, { today }));
}

/** What speaks against a pot. */
export function potRemarkWords(remark: PotRemark): string {
  return reason(`potRemark.${remark.kind}`, partsOf(remark, { today: '' }));
}

/** Why nobody is sure any more what some plants are, as a choice: "The label is lost". */
export function doubtWords(doubt: NameDoubt): string {
  const words = reason(`doubt.${doubt}`, {});
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Why forecasts moved that belong together. */
export function causeWords(cause: Cause, place: string): string {
  return reason(`cause.${cause}`, { place: place.toLowerCase() });
}

function named(what: Remedy | SpaceHelp, placeName: (place: number) => string): { placeName?: string } {
  return 'place' in what ? { placeName: placeName(what.place.number).toLowerCase() } : {};
}
