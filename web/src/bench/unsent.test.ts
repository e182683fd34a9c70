import { describe, expect, it } from 'vitest';
import type { TrayView } from '../api/client';
import type { Letter } from './outbox';
import { withUnsent } from './unsent';

const tray: TrayView = {
  number: 1001,
  code: 'T1001',
  container: 'Module tray',
  rows: 1,
  columns: 4,
  cellVolume: 50,
  batches: [201],
  cells: [1, 2, 3, 4].map((number) => ({ number, batch: 201, condition: 'WAITING', seeds: 2, seedlings: 0, onlySeen: false, mixed: false })),
};
const letter = (path: string, body: Record<string, unknown>): Letter => ({ requestId: path, path, body, words: '', by: 2, byName: 'Pell', at: 1 });

describe('a tray with what was not sent yet', () => {
  it('shows counts, and what a last look gave up', () => {
    const shown = withUnsent(tray, [
      letter('/api/batches/201/counts', { tray: 1001, cells: [{ cell: 1, seedlings: 2 }], somethingUp: [2], complete: true }),
    ]);
    expect(shown.cells.map((cell) => cell.condition)).toEqual(['ALIVE', 'ALIVE', 'EMPTY', 'EMPTY']);
    expect(shown.cells[0]?.seedlings).toBe(2);
    expect(shown.cells[1]?.onlySeen).toBe(true);
  });

  it('shows losses after counts, and sowings', () => {
    const shown = withUnsent(
      { ...tray, cells: tray.cells.map((cell) => (cell.number === 4 ? { number: 4, onlySeen: false, mixed: false } : cell)) },
      [
        letter('/api/batches/201/counts', { tray: 1001, cells: [{ cell: 1, seedlings: 1 }], complete: false }),
        letter('/api/batches/201/losses', { tray: 1001, cells: [1], reason: 'SLUGS' }),
        letter('/api/batches/201/sowings', { tray: 1001, firstCell: 4, lastCell: 4, seedsPerCell: 2 }),
      ],
    );
    expect(shown.cells.map((cell) => cell.condition)).toEqual(['LOST', 'WAITING', 'WAITING', 'WAITING']);
    expect(shown.cells[3]?.batch).toBe(201);
  });

  it('leaves other trays as they are', () => {
    expect(withUnsent(tray, [letter('/api/batches/201/counts', { tray: 1002, cells: [{ cell: 1, seedlings: 2 }], complete: false })])).toBe(tray);
  });
});
