import type { SessionView } from '../api/client';

/** How a person is spoken to: language, and the units that figures are shown and typed in. */
export type Speech = NonNullable<SessionView['speech']>;

export const METRIC: Speech = { language: 'BRITISH', temperature: 'CELSIUS', length: 'MILLIMETRES', volume: 'LITRES', mass: 'GRAMS' };
export const AMERICAN: Speech = { language: 'AMERICAN', temperature: 'FAHRENHEIT', length: 'INCHES', volume: 'GALLONS', mass: 'OUNCES' };

const KEPT_UNDER = 'kiver.speech';

/**
 * How this device speaks. It is read once, before any page is drawn, so that words made while the program is loaded are
 * right, too; another one begins with the next loading of the page.
 */
export const speech: Speech = kept();

/** Keeps how somebody is spoken to; true when that differs from now, and the page must be loaded anew. */
export function speakFromNowOn(next: Speech): boolean {
  if (JSON.stringify(ordered(next)) === JSON.stringify(ordered(speech))) return false;
  try {
    localStorage.setItem(KEPT_UNDER, JSON.stringify(ordered(next)));
    return true;
  } catch {
    // A device that keeps nothing speaks as it does; loading anew would change nothing, for ever.
    return false;
  }
}

/** The locale whose numbers and dates are written; the stretched language has none of its own. */
export function locale(): string {
  return speech.language === 'AMERICAN' ? 'en-US' : 'en-GB';
}

function kept(): Speech {
  try {
    const stored = localStorage.getItem(KEPT_UNDER);
    if (stored) return { ...METRIC, ...(JSON.parse(stored) as Partial<Speech>) };
  } catch {
    // What is kept cannot be read: begin as on a new device.
  }
  return { ...(navigator.language === 'en-US' && !import.meta.env.VITEST ? AMERICAN : METRIC) };
}

function ordered({ language, temperature, length, volume, mass }: Speech): Speech {
  return { language, temperature, length, volume, mass };
}
