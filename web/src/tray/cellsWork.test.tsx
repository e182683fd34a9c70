import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchView, CellView, TrayView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { withUnsent } from '../bench/unsent';
import { sampleChoices } from '../board/samples';
import { clumpSizes, givenUp, mayBeDouble } from './clumps';
import { MoveCellsWork } from './MoveCellsWork';
import { ThinWork } from './ThinWork';

const cell = (number: number, changed: Partial<CellView>): CellView => ({
  number,
  batch: 201,
  condition: 'ALIVE',
  seeds: 2,
  seedlings: 1,
  onlySeen: false,
  mixed: false,
  ...changed,
});

/** Doubles in 1 and 2, something seen in 4, nothing in 5 and 6. */
const tray: TrayView = {
  number: 1042,
  code: 'T1042',
  container: 'Module tray of 6',
  rows: 2,
  columns: 3,
  cellVolume: 50,
  batches: [201],
  cells: [
    cell(1, { seedlings: 2 }),
    cell(2, { seedlings: 3 }),
    cell(3, {}),
    cell(4, { onlySeen: true }),
    cell(5, { condition: 'EMPTY', seedlings: 0 }),
    cell(6, { condition: 'EMPTY', seedlings: 0 }),
  ],
};
const batch = {
  summary: { number: 201, variety: 'Blue Lantern' },
  layout: {
    living: [
      { tray: 1042, plants: 4, container: 'module-6' },
      { tray: 1043, plants: 2, container: 'module-6' },
      { tray: 1050, plants: 2, container: 'pot-9' },
    ],
  },
} as unknown as BatchView;

function opened(work: 'thin' | 'move') {
  const calls = fakeServer({
    'GET /api/session': { signedIn: true, person: 2, name: 'Pell', today: '2027-04-15' },
    'GET /api/choices': sampleChoices,
    'GET /api/batches/201/closing-up': { plants: 2, emptied: [1043], moves: [{ tray: 1043, cells: [1, 4], into: 1042, goals: [5, 6] }] },
    'POST /api/batches/201/thinnings': {},
    'POST /api/batches/201/prickings-out': {},
    'POST /api/batches/201/cell-moves': {},
  });
  outbox.open(2);
  show(work === 'thin' ? <ThinWork tray={tray} batch={batch} /> : <MoveCellsWork tray={tray} batch={batch} />);
  return calls;
}

const sent = (calls: ReturnType<typeof fakeServer>, path: string) => calls.find((call) => call.path === `/api/batches/201/${path}`)?.body;

describe('cells in which more than one came up', () => {
  it('are told from those with one, and from those given up', () => {
    expect(tray.cells.filter(mayBeDouble).map((each) => each.number)).toEqual([1, 2, 4]);
    expect(givenUp(tray, 201)).toEqual([5, 6]);
    expect(clumpSizes(tray, 201)).toEqual([
      { seedlings: 1, cells: 1 },
      { seedlings: 2, cells: 1 },
      { seedlings: 3, cells: 1 },
    ]);
  });

  it('are thinned to as many as are to stay', async () => {
    const calls = opened('thin');
    fireEvent.click(await screen.findByText('Pick all with more than one'));
    fireEvent.change(screen.getByLabelText('Left in each'), { target: { value: '2' } });
    fireEvent.click(screen.getByText('Thin 3 cells to 2'));
    await waitFor(() => expect(sent(calls, 'thinnings')).toMatchObject({ tray: 1042, cells: [1, 2, 4], left: 2 }));
  });

  it('fill as many empty cells as there are', async () => {
    const calls = opened('thin');
    fireEvent.click(await screen.findByText('Pick all with more than one'));
    fireEvent.click(screen.getByText('Prick out 2 doubles into empty cells'));
    await waitFor(() => expect(sent(calls, 'prickings-out')).toMatchObject({ tray: 1042, cells: [1, 2], into: 1042, goals: [5, 6] }));
  });
});

describe('cells that are moved', () => {
  it('go by row into another tray of their kind', async () => {
    const calls = opened('move');
    fireEvent.click(await screen.findByRole('button', { name: 'Row 1' }));
    const into = screen.getByLabelText('Into');
    expect([...into.querySelectorAll('option')].map((each) => each.textContent)).toEqual(['a new tray', 'T1043, 2 in it']);
    fireEvent.change(into, { target: { value: '1043' } });
    fireEvent.click(screen.getByText('Move 3 cells'));
    await waitFor(() => expect(sent(calls, 'cell-moves')).toMatchObject({ moves: [{ tray: 1042, cells: [1, 2, 3], into: 1043 }] }));
  });

  it('close up as proposed by one press', async () => {
    const calls = opened('move');
    expect(await screen.findByText(/2 plants moved, and T1043 is free/)).toBeTruthy();
    expect(screen.getByText(/T1043 → T1042: 2 plants, into cells 5–6/)).toBeTruthy();
    fireEvent.click(screen.getByText('It is done: 2 plants moved'));
    await waitFor(() => expect(sent(calls, 'cell-moves')).toMatchObject({ moves: [{ tray: 1043, cells: [1, 4], into: 1042, goals: [5, 6] }] }));
  });

  it('are seen as gone before the server has heard of it', () => {
    const letter = (path: string, body: Record<string, unknown>) => ({
      requestId: path,
      path: `/api/batches/201/${path}`,
      body,
      words: '',
      by: 2,
      byName: '',
      at: 1,
    });
    const after = withUnsent(tray, [
      letter('thinnings', { tray: 1042, cells: [2], left: 1 }),
      letter('prickings-out', { tray: 1042, cells: [1], into: 1042, goals: [5] }),
      letter('cell-moves', {
        moves: [
          { tray: 1042, cells: [3] },
          { tray: 1043, cells: [4] },
        ],
      }),
    ]);
    expect(after.cells.map((each) => [each.condition, each.seedlings])).toEqual([
      ['ALIVE', 1],
      ['ALIVE', 1],
      [undefined, undefined],
      ['ALIVE', 1],
      ['ALIVE', 1],
      ['EMPTY', 0],
    ]);
  });
});
