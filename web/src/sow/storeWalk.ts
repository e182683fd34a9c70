/** The walk with a spot one earlier in it; nothing where it is first already, or no spot. */
export function movedEarlier(spots: string[], spot: string): string[] | undefined {
  const at = spots.indexOf(spot);
  if (at < 1) return undefined;
  return [...spots.slice(0, at - 1), spot, spots[at - 1]!, ...spots.slice(at + 1)];
}
