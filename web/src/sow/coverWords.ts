/**
 * How a seed is covered, in a sentence.
 *
 * @param depth mm; 0 lies on the surface
 * @param needsLight whether it comes up only in light
 */
export function coverWords(depth: number, needsLight: boolean): string {
  if (depth === 0) return needsLight ? 'Press in and do not cover: it comes up only in light.' : 'Press in, do not cover.';
  return needsLight
    ? `Cover with at most ${depth} mm, so loosely that light reaches it: it comes up only in light.`
    : `Cover ${depth} mm.`;
}
