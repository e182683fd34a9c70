import { describe, expect, it } from 'vitest';
import type { TrayView } from '../api/client';
import { runsOf, signOfRun } from './trayRuns';

const tray = (batches: (number | undefined)[]) =>
  ({ cells: batches.map((batch, index) => ({ number: index + 1, batch, onlySeen: false, mixed: false })) }) as unknown as TrayView;

describe('a mixed tray', () => {
  it('is read like a page, from one label to the next', () => {
    expect(runsOf(tray([201, 201, 202, undefined, 202, 201]))).toEqual([
      { first: 1, last: 2, batch: 201 },
      { first: 3, last: 3, batch: 202 },
      { first: 5, last: 5, batch: 202 },
      { first: 6, last: 6, batch: 201 },
    ]);
    expect(runsOf(tray([undefined]))).toEqual([]);
  });

  it('has a letter for each run', () => {
    expect([0, 25, 26, 51, 52].map(signOfRun)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA']);
  });
});
