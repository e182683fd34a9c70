import { describe, expect, it } from 'vitest';
import type { CellView } from '../api/client';
import { cellLook } from './cellLook';
import { asCounted, clear, countable, EMPTY_DRAFT, enter, fewer, foundIn, gap, runBetween, sweep, tap, undo } from './draft';

const cell = (number: number, more: Partial<CellView> = {}): CellView => ({
  number,
  batch: 201,
  condition: 'WAITING',
  seeds: 2,
  seedlings: 0,
  onlySeen: false,
  mixed: false,
  ...more,
});

describe('a count draft', () => {
  it('counts one more with each tap and begins again after nine', () => {
    let draft = EMPTY_DRAFT;
    for (let taps = 0; taps < 9; taps++) draft = tap(draft, cell(4));
    expect(foundIn(draft, cell(4))).toBe(9);
    expect(foundIn(tap(draft, cell(4)), cell(4))).toBe(0);
  });

  it('goes on from what was counted before', () => {
    expect(foundIn(tap(EMPTY_DRAFT, cell(4, { seedlings: 1, condition: 'ALIVE' })), cell(4, { seedlings: 1 }))).toBe(2);
  });

  it('sweeps something into each empty cell, without saying how many, and leaves the others', () => {
    const cells = [cell(1), cell(2, { seedlings: 2, condition: 'ALIVE' }), cell(3)];
    const swept = sweep(EMPTY_DRAFT, cells);
    expect(swept.found).toEqual({ 1: 'UP', 3: 'UP' });
    expect(asCounted(tap(swept, cells[0]!))).toEqual({ cells: [{ cell: 1, seedlings: 1 }], somethingUp: [3] });
    expect(foundIn(swept, cell(3, { seeds: 1 }))).toBe(1);
    expect(sweep(EMPTY_DRAFT, [cells[1]!])).toBe(EMPTY_DRAFT);
  });

  it('takes each tap and each sweep back, to the very beginning', () => {
    const first = tap(EMPTY_DRAFT, cell(1));
    const second = sweep(first, [cell(1), cell(2), cell(3)]);
    const third = enter(second, cell(2), 5);
    expect(undo(third).found).toEqual(second.found);
    expect(undo(undo(third)).found).toEqual(first.found);
    expect(undo(undo(undo(third)))).toEqual(EMPTY_DRAFT);
    expect(undo(EMPTY_DRAFT)).toBe(EMPTY_DRAFT);
  });

  it('counts only cells of its batch whose plant is still there', () => {
    expect(countable(cell(1), 201)).toBe(true);
    expect(countable(cell(1, { condition: 'EMPTY' }), 201)).toBe(true);
    expect(countable(cell(1, { condition: 'LOST' }), 201)).toBe(false);
    expect(countable(cell(1, { condition: 'RELEASED' }), 201)).toBe(false);
    expect(countable(cell(1), 202)).toBe(false);
  });

  it('reads a run from either end', () => {
    expect(runBetween(9, 3)).toEqual({ first: 3, last: 9 });
  });
});

describe('a cell', () => {
  it('is told by a sign and in words, not by colour alone', () => {
    const signs = [
      cellLook(cell(1), 201, 0, false),
      cellLook(cell(1, { condition: 'EMPTY' }), 201, 0, false),
      cellLook(cell(1, { condition: 'LOST' }), 201, 1, false),
      cellLook(cell(1, { condition: 'RELEASED' }), 201, 1, false),
      cellLook(cell(1, { condition: 'ALIVE' }), 201, 2, false),
    ];
    expect(new Set(signs.map((look) => look.text)).size).toBe(5);
    expect(new Set(signs.map((look) => look.words)).size).toBe(5);
  });

  it('of another batch is named and cannot be worked on', () => {
    const look = cellLook(cell(1, { batch: 305 }), 201, 0, false);
    expect(look.words).toContain('batch 305');
    expect(look.disabled).toBe(true);
  });
});

describe('all up except', () => {
  const cells = [1, 2, 3].map((number) => cell(number));

  it('tells the gaps, one tap each, and all of it can be taken back', () => {
    const all = sweep(EMPTY_DRAFT, cells);
    const one = gap(all, cells[1]!);
    expect(asCounted(one)).toEqual({ cells: [{ cell: 2, seedlings: 0 }], somethingUp: [1, 3] });
    expect(foundIn(gap(one, cells[1]!), cells[1]!)).toBe('UP');
    const gone = clear(one);
    expect(gone.found).toEqual({});
    expect(undo(gone).found).toEqual(one.found);
  });

  it('takes one fewer, and none of what was only seen', () => {
    expect(fewer(enter(EMPTY_DRAFT, cells[0]!, 3), cells[0]!).found[1]).toBe(2);
    expect(fewer(sweep(EMPTY_DRAFT, cells), cells[0]!).found[1]).toBe(0);
    expect(fewer(EMPTY_DRAFT, cells[0]!).found[1]).toBe(0);
  });
});
