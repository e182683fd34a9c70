import type { BatchSummary, Stage } from '../api/client';
import { forWhom } from '../look/forWhom';
import { daysBetween, weekOf } from '../words/days';
import { say } from '../words/say';

/** Stages in the order of a batch's life. */
export const PATH: Stage[] = ['PLANNED', 'SOWN', 'EMERGING', 'GROWING_ON', 'HARDENING_OFF', 'READY', 'RELEASED', 'FAILED'];

export const isPast = (batch: BatchSummary) => batch.stage === 'RELEASED' || batch.stage === 'FAILED';

/** What a batch can be found by. */
export const wordsOf = (batch: BatchSummary) =>
  `${batch.number} ${batch.variety} ${batch.crop} ${forWhom(batch.promises)} ${batch.place} ${batch.trays.map((tray) => `t${tray}`).join(' ')}`;

/** Why a batch is tight, in a few words; nothing when it is not. */
export function whyTight(batch: BatchSummary): string | undefined {
  if (isPast(batch) || batch.chance >= 0.9) return undefined;
  const { ready, target } = batch.dates;
  if (!ready) return say('may not come to its stage');
  const late = daysBetween(target, ready.middle);
  if (late > 0) return say('most likely {late, plural, one {# day} other {# days}} late', { late });
  const lacking = batch.balance.sown > 0 && batch.balance.waiting === 0 ? batch.shares.promised - batch.plantsAlive - batch.balance.released : 0;
  if (lacking > 0) return say('{lacking, plural, one {# plant} other {# plants}} short', { lacking });
  const perhaps = daysBetween(target, ready.late);
  if (perhaps > 0) return say('perhaps {perhaps, plural, one {# day} other {# days}} late', { perhaps });
  return batch.chance < 0.5 ? say('likely too few') : undefined;
}

const BY: Record<string, (one: BatchSummary, other: BatchSummary) => number> = {
  target: (one, other) => one.dates.target.localeCompare(other.dates.target) || one.number - other.number,
  tight: (one, other) => chanceOf(one) - chanceOf(other) || one.dates.target.localeCompare(other.dates.target),
  number: (one, other) => one.number - other.number,
  variety: (one, other) => one.variety.localeCompare(other.variety) || one.number - other.number,
};

/** What is over is not tight any more. */
const chanceOf = (batch: BatchSummary) => (isPast(batch) ? 2 : batch.chance);

const GROUP: Record<string, (batch: BatchSummary) => string> = {
  stage: (batch) => batch.stage,
  place: (batch) => batch.place,
  crop: (batch) => batch.crop,
  week: (batch) => weekOf(batch.dates.target),
};

/** Batches in groups, each sorted; stages in the order of life, others by name. */
export function arranged(batches: BatchSummary[], sort: string, group: string): [string, BatchSummary[]][] {
  const groups = new Map<string, BatchSummary[]>();
  for (const batch of [...batches].sort(BY[sort] ?? BY.target!)) {
    const name = GROUP[group]?.(batch) ?? '';
    groups.set(name, [...(groups.get(name) ?? []), batch]);
  }
  const place = (name: string) => PATH.indexOf(name as Stage);
  return [...groups].sort(([one], [other]) => place(one) - place(other) || one.localeCompare(other));
}
