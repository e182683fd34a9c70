import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { BatchView, CellView, TrayView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { CountWork } from './CountWork';

const cell = (number: number): CellView => ({ number, batch: 201, condition: 'ALIVE', seeds: 2, seedlings: 0, onlySeen: false, mixed: false });
const tray: TrayView = {
  number: 1042,
  code: 'T1042',
  container: 'Module tray of 4',
  rows: 2,
  columns: 2,
  cellVolume: 50,
  batches: [201],
  cells: [1, 2, 3, 4].map(cell),
};
const batch = { summary: { number: 201, variety: 'Blue Lantern' }, plan: { countsSeedlings: false } } as unknown as BatchView;

const counted = (number: number) => screen.getByRole('button', { name: new RegExp(`^Cell ${number},`) });

beforeEach(() => localStorage.clear());

describe('counting by tapping', () => {
  it('answers a tap before the rest of the page is drawn, and taps that follow add up', async () => {
    const calls = fakeServer({ 'POST /api/batches/201/counts': {} });
    outbox.open(2);
    show(<CountWork tray={tray} batch={batch} />);
    fireEvent.click(counted(2));
    expect(counted(2).textContent).toBe('1');
    expect(counted(2).getAttribute('aria-label')).toBe('Cell 2, row 1, column 2, 1 up');
    fireEvent.click(counted(2));
    expect(counted(2).textContent).toBe('2');
    fireEvent.click(await screen.findByRole('button', { name: 'Save count of 1 cell' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ tray: 1042, cells: [{ cell: 2, seedlings: 2 }] }));
  });

  it('shows a tap that was taken back at once as it was before', async () => {
    fakeServer({});
    show(<CountWork tray={tray} batch={batch} />);
    fireEvent.click(counted(1));
    const undo = await screen.findByRole('button', { name: 'Undo tap' });
    await waitFor(() => expect(undo.hasAttribute('disabled')).toBe(false));
    fireEvent.click(counted(3));
    expect(counted(3).textContent).toBe('1');
    fireEvent.click(undo);
    expect(counted(3).textContent).toBe('·');
    expect(counted(1).textContent).toBe('1');
  });

  it('keeps a tap of which nothing else has been drawn yet when the page is put away', () => {
    fakeServer({});
    show(<CountWork tray={tray} batch={batch} />);
    fireEvent.click(counted(4));
    window.dispatchEvent(new Event('pagehide'));
    expect(JSON.parse(localStorage.getItem('kiver.count.1042.201')!).found).toEqual({ 4: 1 });
  });
});
