import type { PromiseView } from '../api/client';
import { say } from '../words/say';
import { listWords } from '../words/phrases';

/** Whose plants a batch grows, in a few words: "Alder Field and Low Farm", or "nobody yet". */
export function forWhom(promises: PromiseView[]): string {
  const growers = [...new Set(promises.map((promise) => promise.grower))];
  if (growers.length === 0) return say('nobody yet');
  return growers.length > 2 ? say('{grower} and {count} more', { grower: growers[0], count: growers.length - 1 }) : listWords(growers);
}
