import type { DateSpread, LineView, OrderView } from '../api/client';
import { daysBetween, weekOf } from '../words/days';
import { say } from '../words/say';

export const isOver = (order: OrderView) => order.standing === 'RELEASED' || order.standing === 'CANCELLED';

export const wantedLines = (order: OrderView) => order.lines.filter((line) => !line.cancelledOn);

/** What an order can be found by. */
export const wordsOf = (order: OrderView) =>
  `${order.number} ${order.grower} ${order.site} ${order.lines.map((line) => `${line.asked.variety} ${line.asked.crop}`).join(' ')}`;

/** The line that is least sure among those of which something has still to go. */
export function leastSure(order: OrderView): LineView | undefined {
  return wantedLines(order)
    .filter((line) => line.released < line.asked.plants)
    .sort((one, other) => one.chance - other.chance)[0];
}

/** When the last of what grows for a line may be ready; nothing while nothing grows for it. */
export function readyOf(line: LineView): DateSpread | undefined {
  const spreads = line.supplies.map((supply) => supply.batch.dates.ready).filter((ready) => ready != null);
  if (line.inPlace?.atStage) spreads.push(line.inPlace.atStage);
  return spreads.sort((one, other) => (one.middle < other.middle ? 1 : -1))[0];
}

/** The first day on which anything is sown for a line, or comes. */
export const begunOf = (line: LineView): string | undefined => line.supplies.map((supply) => supply.batch.dates.sowDay).sort()[0];

/** Why an order is tight, in a few words; nothing when it is not. */
export function whyTight(order: OrderView): string | undefined {
  const line = leastSure(order);
  if (!line || isOver(order)) return undefined;
  const { variety, accepted, target } = line.asked;
  const nothing = line.supplies.length === 0 && !line.inPlace && line.released === 0;
  if (nothing) return say('nothing grows for {variety}', { variety });
  const lacking = accepted - line.promised - (line.inPlace?.plants ?? 0);
  if (lacking > 0) return say('{lacking} {variety} short', { lacking, variety });
  const ready = readyOf(line);
  if (!ready) return line.chance < 0.5 ? say('{variety} may not come to its stage', { variety }) : undefined;
  const late = daysBetween(target, ready.middle);
  if (late > 0) return say('{variety} most likely {late, plural, one {# day} other {# days}} late', { variety, late });
  const perhaps = daysBetween(target, ready.late);
  if (perhaps > 0) return say('{variety} perhaps {perhaps, plural, one {# day} other {# days}} late', { variety, perhaps });
  return line.chance < 0.5 ? say('likely too few {variety}', { variety }) : undefined;
}

const BY: Record<string, (one: OrderView, other: OrderView) => number> = {
  target: (one, other) => one.target.localeCompare(other.target) || one.number - other.number,
  tight: (one, other) => chanceOf(one) - chanceOf(other) || one.target.localeCompare(other.target),
  number: (one, other) => one.number - other.number,
  grower: (one, other) => one.grower.localeCompare(other.grower) || one.target.localeCompare(other.target),
};

/** What is over is not tight any more. */
const chanceOf = (order: OrderView) => (isOver(order) ? 2 : order.chance);

const GROUP: Record<string, (order: OrderView) => string> = {
  week: (order) => weekOf(order.target),
  grower: (order) => order.grower,
  standing: (order) => order.standing,
};

/** Orders in groups, each sorted; by the day wanted and all in one, where an address asks for what there is not. */
export function arranged(orders: OrderView[], sort: string, group: string): [string, OrderView[]][] {
  const groups = new Map<string, OrderView[]>();
  for (const order of [...orders].sort(BY[sort] ?? BY.target!)) {
    const name = GROUP[group]?.(order) ?? '';
    groups.set(name, [...(groups.get(name) ?? []), order]);
  }
  return [...groups].sort(([one], [other]) => one.localeCompare(other));
}
