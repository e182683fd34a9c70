import { expect, it } from 'vitest';
import { trayOf } from './trayCode';

// The same codes as the core is held to.
const FILES = import.meta.glob<string>('../../../core/src/test/resources/tray-codes.csv', { query: '?raw', import: 'default', eager: true });
const CODES = Object.values(FILES)[0]!
  .split('\n')
  .filter((line) => line && !line.startsWith('#'))
  .map((line) => line.split(',') as [string, string, string]);

it.each(CODES)('reads %s as the server does', (typed, number, fits) => {
  expect(trayOf(typed)).toEqual(number === '' ? undefined : { number: Number(number), fits: fits === 'yes' });
});

it('reads the address in the square of a label, of a tray and nothing else', () => {
  expect(trayOf('https://kiver.valley.example/trays/1042')).toEqual({ number: 1042, fits: true });
  expect(trayOf('https://kiver.valley.example/trays/1042/map')).toBeUndefined();
  expect(trayOf('javascript:alert(1)//trays/1042')).toBeUndefined();
});
