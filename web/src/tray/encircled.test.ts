import { describe, expect, it } from 'vitest';
import { encircled } from './encircled';

/** Cells of a tray of 6 rows and 10 columns, told by row and column from 1. */
const at = (...cells: [number, number][]) => cells.map(([row, column]) => (row - 1) * 10 + column);

const AROUND = at([2, 2], [2, 3], [2, 4], [2, 5], [3, 5], [4, 5], [5, 5], [5, 4], [5, 3], [5, 2], [4, 2], [3, 2]);

describe('what a sweep is led around', () => {
  it('is what lies within a closed path, not the path itself', () => {
    expect(encircled(AROUND, 6, 10)).toEqual(at([3, 3], [3, 4], [4, 3], [4, 4]));
  });

  it('is nothing where the path does not come back', () => {
    expect(encircled(AROUND.slice(0, 8), 6, 10)).toEqual([]);
  });

  it('is the same where the path was drawn quickly over its corners', () => {
    const quick = at([2, 3], [2, 4], [3, 5], [4, 5], [5, 4], [5, 3], [4, 2], [3, 2]);
    expect(encircled(quick, 6, 10)).toEqual(at([3, 3], [3, 4], [4, 3], [4, 4]));
  });

  it('is nothing for a few cells beside each other', () => {
    expect(encircled(at([1, 1], [1, 2], [2, 2], [2, 1]), 6, 10)).toEqual([]);
  });
});
