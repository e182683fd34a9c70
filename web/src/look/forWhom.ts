import type { PromiseView } from '../api/client';

/** Whose plants a batch grows, in a few words: "Alder Field and Low Farm", or "nobody yet". */
export function forWhom(promises: PromiseView[]): string {
  const growers = [...new Set(promises.map((promise) => promise.grower))];
  if (growers.length === 0) return 'nobody yet';
  return growers.length > 2 ? `${growers[0]} and ${growers.length - 1} more` : growers.join(' and ');
}
