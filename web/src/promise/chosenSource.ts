import type { PlanView, Source } from '../api/client';

/** What gives a line its plants: a batch, or a sowing of its own. */
export type Chosen = number | 'SOW';

/** What was chosen, or else what a propagator would take: free plants that are sure enough before any new sowing. */
export function sourceFor(plan: PlanView, chosen: Chosen | undefined): Source | undefined {
  if (chosen === 'SOW') return undefined;
  if (chosen !== undefined) return plan.promise.sources.find((source) => source.batch === chosen);
  return plan.promise.sources.find((source) => source.kind === 'FREE' && source.chance >= SURE_ENOUGH);
}

const SURE_ENOUGH = 0.8;
