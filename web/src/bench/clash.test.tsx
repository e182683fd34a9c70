import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { CellView, TrayView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import type { Letter } from './outbox';
import { OutboxNotice } from './OutboxNotice';
import { stillFits } from './stillFits';
import { outbox } from './useOutbox';

const cell = (number: number, batch: number | undefined, condition: CellView['condition']): CellView =>
  ({ number, batch, condition, seedlings: 1, onlySeen: false, mixed: false }) as CellView;

/** Cells 1 and 2 live, 3 was lost by somebody else, 4 went over to another batch. */
const tray = {
  number: 1042,
  code: 'T1042',
  cells: [cell(1, 201, 'ALIVE'), cell(2, 201, 'WAITING'), cell(3, 201, 'LOST'), cell(4, 305, 'ALIVE')],
} as TrayView;

const letter = (kind: string, body: Record<string, unknown>): Letter => ({
  requestId: '5f0c7b0e-0000-4000-8000-000000000001',
  path: `/api/batches/201/${kind}`,
  body: { tray: 1042, day: '2027-04-15', ...body },
  words: 'loss of 3 cells in T1042',
  by: 2,
  byName: 'Pell',
  time: '09:14',
  at: 1,
});

describe('what of a refused entry still fits', () => {
  it('leaves out the cells that are gone', () => {
    expect(stillFits(letter('losses', { cells: [2, 3, 4], reason: 'SLUGS' }), tray)).toEqual({
      cells: 1,
      all: 3,
      body: { tray: 1042, day: '2027-04-15', cells: [2], reason: 'SLUGS' },
    });
    expect(
      stillFits(
        letter('counts', {
          cells: [
            { cell: 1, seedlings: 2 },
            { cell: 3, seedlings: 1 },
          ],
          somethingUp: [2],
          complete: false,
        }),
        tray,
      ),
    ).toEqual({ cells: 2, all: 3, body: { tray: 1042, day: '2027-04-15', cells: [{ cell: 1, seedlings: 2 }], somethingUp: [2], complete: false } });
  });

  it('offers nothing where all fits, nothing does, or cells cannot be left out', () => {
    expect(stillFits(letter('losses', { cells: [1, 2] }), tray)).toBeUndefined();
    expect(stillFits(letter('losses', { cells: [3, 4] }), tray)).toBeUndefined();
    expect(stillFits(letter('prickings-out', { cells: [1, 3], goals: [5, 6] }), tray)).toBeUndefined();
    expect(stillFits(letter('sowings', { firstCell: 1, lastCell: 4 }), tray)).toBeUndefined();
  });
});

describe('a clash', () => {
  beforeEach(() => {
    localStorage.clear();
    outbox.open(undefined);
  });

  it('is shown beside what the other did, and what still fits is recorded by one press', async () => {
    let refused = true;
    const calls = fakeServer({
      'GET /api/trays/1042': tray,
      'GET /api/batches/201': {
        changes: [
          { sequence: 4, by: 'Pell', day: '2027-04-15', words: 'Counted 4 cells', time: '08:00' },
          { sequence: 5, by: 'Maro', day: '2027-04-15', words: 'Lost 1 in T1042: slugs', time: '09:02' },
          { sequence: 2, by: 'Maro', day: '2027-04-02', words: 'Sown T1042' },
        ],
      },
      'POST /api/batches/201/losses': () => (refused ? new Status(422, { detail: 'The plant in cell 3 is lost already.' }) : {}),
    });
    outbox.open(2);
    await outbox.add(letter('losses', { cells: [2, 3, 4], reason: 'SLUGS' }));
    show(<OutboxNotice />);
    expect(await screen.findByText('The plant in cell 3 is lost already.')).toBeTruthy();
    expect(await screen.findByText('Lost 1 in T1042: slugs')).toBeTruthy();
    expect(screen.queryByText('Counted 4 cells')).toBeNull();
    expect(screen.queryByText('Sown T1042')).toBeNull();
    refused = false;
    fireEvent.click(await screen.findByRole('button', { name: 'Record it for the 1 of 3 cells that still fit' }));
    await waitFor(() => expect(outbox.current().refused).toEqual([]));
    await waitFor(() => expect(outbox.current().waiting).toEqual([]));
    const sent = calls.filter((call) => call.method === 'POST').map((call) => call.body as { cells: number[]; requestId: string });
    expect(sent.map((body) => body.cells)).toEqual([[2, 3, 4], [2]]);
    expect(sent[1]!.requestId).not.toBe(sent[0]!.requestId);
  });

  it('can be tried once more as the same request, or left', async () => {
    let refused = true;
    const calls = fakeServer({
      'GET /api/trays/1042': tray,
      'GET /api/batches/201': { changes: [] },
      'POST /api/batches/201/losses': () => (refused ? new Status(422, { detail: 'Not so.' }) : {}),
    });
    outbox.open(2);
    await outbox.add(letter('losses', { cells: [1] }));
    show(<OutboxNotice />);
    fireEvent.click(await screen.findByRole('button', { name: 'Try it once more' }));
    await waitFor(() => expect(calls.filter((call) => call.method === 'POST')).toHaveLength(2));
    expect(await screen.findByText('Not so.')).toBeTruthy();
    refused = false;
    const ids = calls.filter((call) => call.method === 'POST').map((call) => (call.body as { requestId: string }).requestId);
    expect(ids[0]).toBe(ids[1]);
    fireEvent.click(screen.getByRole('button', { name: 'Leave it as it stands' }));
    await waitFor(() => expect(screen.queryByText('Not so.')).toBeNull());
    expect(outbox.current()).toMatchObject({ waiting: [], refused: [] });
  });
});
