import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchView, TrayView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { TrayPage } from './TrayPage';

const tray = (number: number): TrayView => ({
  number,
  code: `T${number}`,
  container: 'Module tray of 2',
  rows: 1,
  columns: 2,
  cellVolume: 50,
  batches: [201],
  cells: [1, 2].map((cell) => ({ number: cell, batch: 201, condition: 'ALIVE' as const, seeds: 1, seedlings: 1, onlySeen: false, mixed: false })),
});
const batch = {
  summary: {
    number: 201,
    variety: 'Blue Lantern',
    crop: 'Kale',
    place: 'Cool house',
    stage: 'GROWING_ON',
    boughtIn: true,
    dates: { sowDay: '2027-04-01' },
  },
  from: { boughtIn: true, lot: 'from Ashmere' },
  growth: { leavesNow: 3, leggy: false, pottingsDone: 0 },
  layout: { runs: [{ tray: 1042 }, { tray: 1043 }], toSow: [] },
  emergence: { curve: [] },
} as unknown as BatchView;

describe('a tray of a batch that lies in several', () => {
  it('does not take over what was picked in the tray looked at before', async () => {
    fakeServer({
      'GET /api/trays/1042': tray(1042),
      'GET /api/trays/1043': tray(1043),
      'GET /api/batches/201': batch,
      'GET /api/choices': { lossReasons: ['SLUGS'], lots: [], places: [], containers: [] },
    });
    show(<TrayPage today="2027-04-15" />, '/trays/1042', '/trays/:number');
    fireEvent.click(await screen.findByRole('link', { name: 'T1043' }));
    await screen.findByRole('heading', { name: 'Tray T1043' });
    fireEvent.click(await screen.findByRole('button', { name: /^Cell 1,/ }));
    await screen.findByRole('button', { name: 'Mark 1 cell as lost' });
    fireEvent.click(screen.getByRole('link', { name: 'T1042' }));
    await screen.findByRole('heading', { name: 'Tray T1042' });
    await waitFor(() => expect(screen.getByRole('button', { name: 'Mark as lost' }).hasAttribute('disabled')).toBe(true));
  });
});
