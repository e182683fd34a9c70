import { say } from '../words/say';
import { length } from '../words/quantity';

/**
 * How a seed is covered, in a sentence.
 *
 * @param depth mm; 0 lies on the surface
 * @param needsLight whether it comes up only in light
 */
export function coverWords(depth: number, needsLight: boolean): string {
  if (depth === 0) return needsLight ? say('Press in and do not cover: it comes up only in light.') : say('Press in, do not cover.');
  return needsLight
    ? say('Cover with at most {depth}, so loosely that light reaches it: it comes up only in light.', { depth: length(depth) })
    : say('Cover {depth}.', { depth: length(depth) });
}
