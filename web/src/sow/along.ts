import type { SowingListView } from '../api/client';

type Sowing = SowingListView['groups'][number]['sowings'][number];
type Run = Sowing['runs'][number];

/** One run of cells to be sown by hand. */
export interface Step {
  key: string;
  sowing: Sowing;
  run: Run;
  container: string;
  depth: number;
  needsLight: boolean;
}

/** How far a run is; what was dropped is written down at once, covering is the hand's own. */
export type Done = 'dropped' | 'covered' | 'skipped' | 'left';

/** What is kept on the device, so that one goes on where one stopped. */
export interface Walked {
  day: string;
  /** The runs as they were when one began, with those that came since: what is sown leaves the server's list. */
  steps: Step[];
  done: Record<string, Done>;
  /** Seeds that were dropped of each lot since the list was fetched. */
  dropped: Record<string, number>;
  /** Lots that were taken instead, by run. */
  instead: Record<string, { lotId: number; lot: string; seedsLeft: number }>;
  /** Where a short packet ended: the run goes on from the next cell. */
  from: Record<string, number>;
}

const KEPT = 'kiver.along';

export const fresh = (day: string): Walked => ({ day, steps: [], done: {}, dropped: {}, instead: {}, from: {} });

/** With the runs that were not known yet. */
export const joined = (walked: Walked, steps: Step[]): Walked => ({
  ...walked,
  steps: [...walked.steps, ...steps.filter((step) => !walked.steps.some((known) => known.key === step.key))],
});

/** The runs of a day in the order in which they are sown. */
export const stepsOf = (list: SowingListView): Step[] =>
  list.groups.flatMap((group) =>
    group.sowings.flatMap((sowing) =>
      sowing.runs.map((run) => ({
        // Its own cell tells a trial's row from its neighbours; the rest of a run that is part sown stays the same run.
        key: [sowing.batch, run.tray, run.trial?.firstCell].filter((part) => part !== undefined).join('/'),
        sowing,
        run,
        container: group.containerName,
        depth: group.depth,
        needsLight: group.needsLight,
      })),
    ),
  );

/** What was walked on this device on that day. */
export function kept(day: string, store: Pick<Storage, 'getItem'>): Walked {
  try {
    const read = JSON.parse(store.getItem(KEPT) ?? '') as Walked;
    return read.day === day ? { ...fresh(day), ...read } : fresh(day);
  } catch {
    return fresh(day);
  }
}

export function keep(walked: Walked, store: Pick<Storage, 'setItem'>): void {
  try {
    store.setItem(KEPT, JSON.stringify(walked));
  } catch {
    // What was dropped is in the outbox or with the server; only the place in the list is lost.
  }
}

/** The run that is to be worked on: first one that is dropped and not covered, else the first that is untouched. */
export function current({ steps, done }: Walked): Step | undefined {
  return steps.find((step) => done[step.key] === 'dropped') ?? steps.find((step) => done[step.key] === undefined);
}

/** The first cell of a run that is still empty. */
export const firstCell = (step: Step, walked: Walked): number => walked.from[step.key] ?? step.run.firstCell;

/** Seed was dropped up to a cell: the run is dropped, or goes on from the next cell where the packet was short. */
export function dropped(walked: Walked, step: Step, lastCell: number): Walked {
  const lot = lotOf(step, walked);
  const seeds = (lastCell - firstCell(step, walked) + 1) * step.sowing.seedsPerCell;
  const counted = { ...walked.dropped, [lot]: (walked.dropped[lot] ?? 0) + seeds };
  return lastCell < step.run.lastCell
    ? { ...walked, dropped: counted, from: { ...walked.from, [step.key]: lastCell + 1 } }
    : { ...walked, dropped: counted, done: { ...walked.done, [step.key]: 'dropped' } };
}

export const marked = (walked: Walked, step: Step, done: Done): Walked => ({ ...walked, done: { ...walked.done, [step.key]: done } });

/** The lot that a run is sown from. */
export const lotOf = (step: Step, walked: Walked): string => walked.instead[step.key]?.lot ?? step.sowing.lot;

/** What is left of a packet: what it held when one began, less what was dropped of it since. */
export function seedsLeft(lot: string, walked: Walked): number {
  const held =
    walked.steps.find((step) => step.sowing.lot === lot)?.sowing.seedsLeft ??
    Object.values(walked.instead).find((other) => other.lot === lot)?.seedsLeft ??
    0;
  return Math.max(0, held - (walked.dropped[lot] ?? 0));
}
