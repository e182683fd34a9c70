const NAME = 'kiver.device';
/** No two of these look alike on a label or are mistaken when said aloud. */
const LETTERS = '23456789CDFHJKMNPQRTVWXY';

type Named = Pick<Storage, 'getItem' | 'setItem'>;

/** Whether a screen is held in one hand, in two, or stands on a desk. */
function kind(): string {
  // Not every window can tell, whatever its type says.
  const screenOf = window as { matchMedia?: (query: string) => MediaQueryList };
  if (!screenOf.matchMedia?.('(pointer: coarse)').matches) return 'desk';
  return Math.min(window.screen.width, window.screen.height) < 600 ? 'phone' : 'tablet';
}

/** The name by which this device's entries can be told from those of others; it is given once and kept. */
export function deviceName(store: Named = window.localStorage): string {
  const kept = store.getItem(NAME);
  if (kept && /^[A-Za-z0-9-]{1,40}$/.test(kept)) return kept;
  const code = Array.from(crypto.getRandomValues(new Uint8Array(4)), (byte) => LETTERS[byte % LETTERS.length]).join('');
  const name = `${kind()}-${code}`;
  try {
    store.setItem(NAME, name);
  } catch {
    // A full store leaves the device without a name of its own; what it records is no less true.
  }
  return name;
}

/** The time of day, hours and minutes, as it is told on this device. */
export const timeOfDay = (now = new Date()): string => `${String(now.getHours()).padStart(2, '0')}:${String(now.getMinutes()).padStart(2, '0')}`;

/** What goes with everything that is sent: on which device it was done, and at what time of day where that is known. */
export function occasion(time: string | null = timeOfDay()): Record<string, string> {
  const device = { 'X-Kiver-Device': deviceName() };
  return time === null ? device : { ...device, 'X-Kiver-Made-At': time };
}
