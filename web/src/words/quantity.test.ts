import { afterEach, describe, expect, it } from 'vitest';
import {
  altitude,
  cellVolume,
  degrees,
  degreesBetween,
  figures,
  length,
  mass,
  temperature,
  massTyped,
  typedAltitude,
  typedMass,
  typedDifference,
  typedNumber,
  typedTemperature,
  volumeUp,
} from './quantity';
import { METRIC, type Speech, speech } from './speech';

const speak = (more: Partial<Speech>) => Object.assign(speech, METRIC, more);
const AMERICAN: Partial<Speech> = { temperature: 'FAHRENHEIT', length: 'INCHES', volume: 'GALLONS', mass: 'OUNCES' };

afterEach(() => speak({}));

describe('quantities', () => {
  it('are metric unless somebody wants them otherwise', () => {
    expect([
      degrees(-1.5),
      degrees(18, 0),
      degreesBetween(3.42),
      length(6),
      altitude(1120),
      volumeUp(11.2),
      cellVolume(72),
      mass(0.253),
      mass(12.4),
    ]).toEqual(['−1.5 °C', '18 °C', '3.4 K', '6 mm', '1,120 m', '12 L', '72 mL', '0.25 g', '12 g']);
  });

  it('are American for who chose so; a difference of temperatures has no zero to shift', () => {
    speak(AMERICAN);
    expect([degrees(-1.5), degrees(18, 0), degreesBetween(10), length(6), length(25.4), length(38), length(540), altitude(640)]).toEqual([
      '29 °F',
      '64 °F',
      '18.0 °F',
      '¼ in',
      '1 in',
      '1 ½ in',
      '21 in',
      '2,100 ft',
    ]);
    expect([volumeUp(0.5), volumeUp(5), volumeUp(30), cellVolume(72), mass(28.35)]).toEqual(['1 qt', '6 qt', '8 gal', '4.4 in³', '1.0 oz']);
  });

  it('never make a covered seed lie on the surface', () => {
    speak(AMERICAN);
    expect([length(0), length(1), length(3)]).toEqual(['0 in', '⅛ in', '⅛ in']);
  });

  it('are chosen one by one', () => {
    speak({ temperature: 'FAHRENHEIT' });
    expect([degrees(0, 0), length(3), volumeUp(3)]).toEqual(['32 °F', '3 mm', '3 L']);
    expect(temperature(100)).toBe(212);
  });
});

describe('what is typed', () => {
  it.each([
    ['20.5', 20.5],
    ['20,5', 20.5],
    [' −3 ', -3],
    ['-3', -3],
    ['', undefined],
    ['warm', undefined],
    ['1.2.3', undefined],
  ])('"%s" is %s', (typed, number) => {
    expect(typedNumber(typed)).toBe(number);
  });

  it('comes back as it was, in whatever unit it was typed', () => {
    speak(AMERICAN);
    expect(typedTemperature('212')).toBeCloseTo(100, 9);
    expect(typedTemperature('14')).toBeCloseTo(-10, 9);
    expect(typedDifference('18')).toBeCloseTo(10, 9);
    expect(typedAltitude('2100')).toBeCloseTo(640.08, 6);
    expect(massTyped(1300)).toBe('45.9');
    expect(typedMass('45.9')).toBeCloseTo(1301.24, 1);
    expect([typedTemperature(''), typedDifference('x'), typedAltitude('')]).toEqual([undefined, undefined, undefined]);
    expect(figures(1234.5, 1)).toBe('1,234.5');
  });
});
