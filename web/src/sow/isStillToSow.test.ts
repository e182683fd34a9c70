import { expect, it } from 'vitest';
import type { TrayView } from '../api/client';
import { isStillToSow } from './isStillToSow';

const run = (tray: number) => ({ tray, firstCell: 2, lastCell: 3 });

const tray = (...conditions: (TrayView['cells'][number]['condition'] | undefined)[]) => ({
  number: 7,
  cells: conditions.map((condition, index) => ({ number: index + 1, seeds: 0, seedlings: 0, condition })) as TrayView['cells'],
});

it('waits while a cell of its run is empty', () => {
  expect(isStillToSow(tray('WAITING', 'WAITING', undefined), [run(7)])).toBe(true);
});

it('does not wait for what was sown and not sent yet', () => {
  expect(isStillToSow(tray(undefined, 'WAITING', 'WAITING'), [run(7)])).toBe(false);
});

it('does not wait for the cells of another tray', () => {
  expect(isStillToSow(tray(undefined, undefined, undefined), [run(8)])).toBe(false);
});
