import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show, Status } from '../api/faked';
import { LayOutPage } from './LayOutPage';

const cell = (number: number, batch?: number) => ({ number, batch, onlySeen: false, mixed: false });
/** Two rows of five; batch 214 has the first three cells, 215 as many in a tray of its own. */
const tray = {
  number: 1042,
  code: 'T1042',
  container: 'Module tray of 10',
  rows: 2,
  columns: 5,
  cellVolume: 50,
  batches: [214],
  cells: [1, 2, 3].map((each) => cell(each, 214)).concat([4, 5, 6, 7, 8, 9, 10].map((each) => cell(each))),
};
const sowing = (batch: number, variety: string, of: number) => ({ batch, variety, runs: [{ tray: of, firstCell: 1, lastCell: 3 }] });
const list = {
  day: '2027-04-15',
  groups: [{ containerName: 'Module tray of 10', sowings: [sowing(214, 'Blue Lantern', 1042), sowing(215, 'Stonecap', 1043)] }],
  soak: [],
  company: [{ tray: 1042, fitting: [], against: { kind: 'Water', drier: 'Thyme', moister: 'Celery' } }],
};

function opened(more: Record<string, unknown> = {}) {
  const calls = fakeServer({ 'GET /api/sowing-list': list, 'GET /api/trays/1042': tray, 'GET /api/session': { signedIn: true, person: 2 }, ...more });
  show(<LayOutPage today="2027-04-15" />, '/trays/1042/layout', '/trays/:number/layout');
  return calls;
}

describe('laying out a tray', () => {
  it('sets as many cells aside as a sowing needs from the cell that was tapped', async () => {
    const calls = opened({ 'POST /api/batches/215/layouts': {} });
    fireEvent.click(await screen.findByRole('button', { name: 'B Stonecap, 3 cells' }));
    fireEvent.click(screen.getByRole('button', { name: /^Cell 4,/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Set 3 cells aside for Stonecap' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/batches/215/layouts')?.body).toMatchObject({ tray: 1042, firstCell: 4, lastCell: 6 }),
    );
    expect(screen.getByText(/Thyme is kept on the dry side/)).toBeTruthy();
  });

  it('says why a tray cannot be cut there, and the number of what was cut off', async () => {
    let refused = true;
    opened({
      'POST /api/trays/1042/cuts': () =>
        refused ? new Status(422, { detail: 'x', errors: [{ field: 'rows', message: 'T1042 has 2 rows: leave 1 or more.' }] }) : { number: 1099 },
    });
    const rows = await screen.findByLabelText('Rows that are left');
    expect((rows as HTMLInputElement).value).toBe('1');
    fireEvent.change(rows, { target: { value: '7' } });
    fireEvent.click(screen.getByRole('button', { name: 'Cut the tray' }));
    expect(await screen.findByText('T1042 has 2 rows: leave 1 or more.')).toBeTruthy();
    refused = false;
    fireEvent.change(rows, { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Cut the tray' }));
    expect(await screen.findByText('What was cut off is tray T1099: write its label.')).toBeTruthy();
  });
});
