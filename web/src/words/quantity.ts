import { locale, speech } from './speech';

/*
 * The one place where quantities get a unit and lose it again. Everything else of Kiver counts in degrees Celsius,
 * millimetres, litres and grams.
 */

const MILLIMETRES_IN_INCH = 25.4;
const METRES_IN_FOOT = 0.3048;
const LITRES_IN_GALLON = 3.785411784;
const QUARTS_IN_GALLON = 4;
const CUBIC_INCHES_IN_LITRE = 61.0237;
const GRAMS_IN_OUNCE = 28.349523125;
const MILLILITRES_IN_FLUID_OUNCE = 29.5735;
/** Longer than this, an inch is not parted into eighths any more. */
const FINEST_INCHES = 6;
const KILOGRAMS_IN_POUND = 0.45359237;
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

const fahrenheit = () => speech.temperature === 'FAHRENHEIT';

/** A number as people write it, with at most so many digits after its mark: "1,234.5". */
export function figures(value: number, digits = 0): string {
  return value.toLocaleString(locale(), { minimumFractionDigits: digits, maximumFractionDigits: digits }).replace('-', '−');
}

/** An area, "84 cm²" or "13 in²". */
export const area = (squareCentimetres: number): string =>
  speech.length === 'INCHES' ? `${figures(squareCentimetres / 6.4516)} in²` : `${figures(squareCentimetres)} cm²`;

/** Tray places: whole where they are, otherwise to a tenth. */
export const places = (slots: number): string => figures(slots, Math.abs(slots - Math.round(slots)) < 0.05 ? 0 : 1);

export const temperatureUnit = (): string => (fahrenheit() ? '°F' : '°C');
export const differenceUnit = (): string => (fahrenheit() ? '°F' : 'K');
export const altitudeUnit = (): string => (speech.length === 'INCHES' ? 'ft' : 'm');

/** A temperature as it is shown, without its unit: for axes and for entries. */
export function temperature(celsius: number): number {
  return fahrenheit() ? celsius * 1.8 + 32 : celsius;
}

/** A temperature with its unit: "−1.5 °C", "29 °F". A Fahrenheit degree is the finer one and needs a digit less. */
export function degrees(celsius: number, digits = 1): string {
  return `${figures(temperature(celsius), fahrenheit() ? Math.max(0, digits - 1) : digits)} ${temperatureUnit()}`;
}

/** How much warmer or colder: a difference has no zero to shift. */
export function degreesBetween(kelvins: number, digits = 1): string {
  return fahrenheit() ? `${figures(kelvins * 1.8, digits)} °F` : `${figures(kelvins, digits)} K`;
}

/** A small length: "6 mm", "30 cm", "¼ in". */
export function length(millimetres: number): string {
  if (speech.length === 'MILLIMETRES') return millimetres < 100 ? `${Math.round(millimetres)} mm` : `${figures(millimetres / 10)} cm`;
  const inches = millimetres / MILLIMETRES_IN_INCH;
  if (inches > FINEST_INCHES) return `${figures(inches)} in`;
  const eighths = Math.max(millimetres > 0 ? 1 : 0, Math.round(inches * 8));
  const whole = Math.floor(eighths / 8);
  const part = EIGHTHS[eighths % 8] ?? '';
  return `${[whole > 0 || part === '' ? String(whole) : '', part].filter(Boolean).join(' ')} in`;
}

/** A height above the sea: "640 m", "2,100 ft". */
export function altitude(metres: number): string {
  return speech.length === 'INCHES' ? `${figures(metres / METRES_IN_FOOT)} ft` : `${figures(metres)} m`;
}

/** A volume of mix or water, up to the next whole measure: "12 L", "3 qt", "4 gal". */
export function volumeUp(litres: number): string {
  if (speech.volume === 'LITRES') return `${figures(Math.ceil(litres))} L`;
  const gallons = litres / LITRES_IN_GALLON;
  return gallons < 2 ? `${figures(Math.ceil(gallons * QUARTS_IN_GALLON))} qt` : `${figures(Math.ceil(gallons))} gal`;
}

/** A volume of mix, to be measured: "3.6 L", "12 L", "3.2 qt", "4.1 gal". */
export function volume(litres: number): string {
  const [amount, unit] =
    speech.volume === 'LITRES'
      ? [litres, 'L']
      : litres < 2 * LITRES_IN_GALLON
        ? [(litres / LITRES_IN_GALLON) * QUARTS_IN_GALLON, 'qt']
        : [litres / LITRES_IN_GALLON, 'gal'];
  return `${figures(amount, Math.abs(amount) < 20 && Math.abs(amount - Math.round(amount)) >= 0.05 ? 1 : 0)} ${unit}`;
}

export const volumeUnit = (): string => (speech.volume === 'LITRES' ? 'L' : 'gal');

/** A volume as it would be typed, in the unit of entries. */
export function volumeTyped(litres: number): string {
  const amount = speech.volume === 'LITRES' ? litres : litres / LITRES_IN_GALLON;
  return String(Math.round(amount * 10) / 10);
}

/** A volume as it was typed, in L. */
export function typedVolume(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.volume !== 'LITRES' ? read * LITRES_IN_GALLON : read;
}

/** What must be lifted: "24 kg", "53 lb". */
export function weight(kilograms: number): string {
  const [amount, unit] = speech.mass === 'GRAMS' ? [kilograms, 'kg'] : [kilograms / KILOGRAMS_IN_POUND, 'lb'];
  return `${figures(amount, amount < 10 ? 1 : 0)} ${unit}`;
}

/** The volume of a cell: "72 mL", "4.4 in³". */
export function cellVolume(millilitres: number): string {
  return speech.volume === 'LITRES' ? `${figures(millilitres)} mL` : `${figures((millilitres / 1000) * CUBIC_INCHES_IN_LITRE, 1)} in³`;
}

const doseDigits = (amount: number): number => (amount < 2 ? 2 : amount < 20 ? 1 : 0);

/** What goes into a can: "18.2 mL", "7.5 g", "0.62 fl oz". */
export function doseAmount(amount: number, form: 'LIQUID' | 'POWDER'): string {
  if (form === 'POWDER') return speech.mass === 'GRAMS' ? `${figures(amount, doseDigits(amount))} g` : `${figures(amount / GRAMS_IN_OUNCE, 2)} oz`;
  return speech.volume === 'LITRES' ? `${figures(amount, doseDigits(amount))} mL` : `${figures(amount / MILLILITRES_IN_FLUID_OUNCE, 2)} fl oz`;
}

/** A mass of seed: "12 g", "0.42 oz". */
export function mass(grams: number): string {
  const [amount, unit] = speech.mass === 'GRAMS' ? [grams, 'g'] : [grams / GRAMS_IN_OUNCE, 'oz'];
  return `${figures(amount, amount >= 10 ? 0 : amount >= 1 ? 1 : 2)} ${unit}`;
}

export const massUnit = (): string => (speech.mass === 'GRAMS' ? 'g' : 'oz');

/** A mass as it would be typed, in the unit of entries. */
export const massTyped = (grams: number): string =>
  speech.mass === 'GRAMS' ? String(Math.round(grams)) : String(Math.round((grams / GRAMS_IN_OUNCE) * 10) / 10);

/** A mass as it was typed, in g. */
export function typedMass(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.mass !== 'GRAMS' ? read * GRAMS_IN_OUNCE : read;
}

/**
 * A number as it was typed, with a point or a comma before its decimals and any minus sign.
 *
 * @return undefined when nothing or no number was typed
 */
export function typedNumber(typed: string): number | undefined {
  const read = Number(typed.trim().replace(',', '.').replace('−', '-'));
  return typed.trim() === '' || Number.isNaN(read) ? undefined : read;
}

/** A height above the sea as it would be typed. */
export function altitudeTyped(metres: number): string {
  return String(speech.length === 'INCHES' ? Math.round(metres / METRES_IN_FOOT) : metres);
}

export const lengthUnit = (): string => (speech.length === 'INCHES' ? 'in' : 'mm');

/** A wind in the person's own unit, from m/s: "40 km/h". */
export const wind = (metresPerSecond: number): string =>
  `${figures(metresPerSecond * (speech.length === 'INCHES' ? MILES_AN_HOUR : KILOMETRES_AN_HOUR))} ${windUnit()}`;

/** What a bed is paced out in. */
export const distanceUnit = altitudeUnit;

/** A distance as it was typed, in m. */
export function typedDistance(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.length === 'INCHES' ? read * METRES_IN_FOOT : read;
}

export const spacingUnit = (): string => (speech.length === 'INCHES' ? 'in' : 'cm');

/** How far apart plants stand, as it is shown: from cm, "30 cm", "12 in". */
export const spacing = (centimetres: number): string =>
  `${figures(speech.length === 'INCHES' ? (centimetres * 10) / MILLIMETRES_IN_INCH : centimetres)} ${spacingUnit()}`;

/** The same as it was typed, in cm. */
export function typedSpacing(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.length === 'INCHES' ? (read * MILLIMETRES_IN_INCH) / 10 : read;
}

const KILOMETRES_AN_HOUR = 3.6;
const MILES_AN_HOUR = 2.237;

export const windUnit = (): string => (speech.length === 'INCHES' ? 'mph' : 'km/h');

/** A wind as it is typed, from m/s. */
export const windTyped = (metresPerSecond: number): string =>
  String(Math.round(metresPerSecond * (speech.length === 'INCHES' ? MILES_AN_HOUR : KILOMETRES_AN_HOUR)));

/** A wind as it was typed, in m/s. */
export function typedWind(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read === undefined ? undefined : read / (speech.length === 'INCHES' ? MILES_AN_HOUR : KILOMETRES_AN_HOUR);
}

/** A small length as it is typed. */
export const lengthTyped = (millimetres: number): string =>
  String(speech.length === 'INCHES' ? Math.round((millimetres / MILLIMETRES_IN_INCH) * 10) / 10 : Math.round(millimetres));

/** A small length as it was typed, in mm. */
export function typedLength(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.length === 'INCHES' ? read * MILLIMETRES_IN_INCH : read;
}

/** A temperature as it was typed, in °C. */
export function typedTemperature(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && fahrenheit() ? (read - 32) / 1.8 : read;
}

/** A difference of temperatures as it was typed, in K. */
export function typedDifference(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && fahrenheit() ? read / 1.8 : read;
}

/** A height above the sea as it was typed, in m. */
export function typedAltitude(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.length === 'INCHES' ? read * METRES_IN_FOOT : read;
}

export const surfaceUnit = (): string => (speech.length === 'INCHES' ? 'in' : 'cm');

/** The length of a shelf or a bed, from cm, as it is typed. */
export const surfaceTyped = (centimetres: number): string =>
  String(Math.round(speech.length === 'INCHES' ? (centimetres * 10) / MILLIMETRES_IN_INCH : centimetres));

/** The same as it was typed, in cm. */
export function lengthOfSurface(typed: string): number | undefined {
  const read = typedNumber(typed);
  return read !== undefined && speech.length === 'INCHES' ? (read * MILLIMETRES_IN_INCH) / 10 : read;
}
