/** How a person is spoken to: language, and the units that figures are shown and typed in. */
export interface Speech {
  /** British, American, or the stretched language that shows which words are not in the catalogue. */
  language: 'en-GB' | 'en-US' | 'en-XA';
  temperature: 'CELSIUS' | 'FAHRENHEIT';
  length: 'MILLIMETRES' | 'INCHES';
  volume: 'LITRES' | 'GALLONS';
  mass: 'GRAMS' | 'OUNCES';
}

export const METRIC: Speech = { language: 'en-GB', temperature: 'CELSIUS', length: 'MILLIMETRES', volume: 'LITRES', mass: 'GRAMS' };
const AMERICAN: Speech = { language: 'en-US', temperature: 'FAHRENHEIT', length: 'INCHES', volume: 'GALLONS', mass: 'OUNCES' };

const KEPT_UNDER = 'kiver.speech';

/**
 * How this device speaks. It is read once, before any page is drawn, so that words made while the program is loaded are
 * right, too; another one begins with the next loading of the page.
 */
export const speech: Speech = kept();

/** Keeps how somebody is spoken to; true when that differs from now, and the page must be loaded anew. */
export function speakFromNowOn(next: Speech): boolean {
  if (JSON.stringify(ordered(next)) === JSON.stringify(ordered(speech))) return false;
  localStorage.setItem(KEPT_UNDER, JSON.stringify(ordered(next)));
  return true;
}

/** The locale whose numbers and dates are written; the stretched language has none of its own. */
export function locale(): string {
  return speech.language === 'en-XA' ? 'en-GB' : speech.language;
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
