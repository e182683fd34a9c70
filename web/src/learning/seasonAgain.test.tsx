import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { SeasonAgain } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { samplePlan } from '../plan/samples';
import { SeasonAgainPage } from './SeasonAgainPage';

const line: SeasonAgain['orders'][number]['lines'][number] = {
  variety: 'Oak Hollow',
  crop: 'Lettuce',
  containerName: 'Module tray of 60',
  wish: { varietyId: 1, container: 'module-60', plants: 60, leavesFrom: 3, leavesTo: 5, target: '2027-05-12' },
  wantedThen: '2026-05-13',
  sownThen: '2026-04-01',
  wholeThen: '2026-05-15',
  standing: 'OPEN',
};
const again: SeasonAgain = {
  year: 2026,
  lastDay: '2027-12-10',
  orders: [
    {
      number: 101,
      growerId: 3,
      grower: 'Lower Mead',
      siteId: 4,
      site: 'Meadow',
      lines: [line, { ...line, variety: 'Grey Wether', standing: 'TOO_FAR' }, { ...line, variety: 'Red Reed', standing: 'ORDERED' }],
    },
  ],
};
/** The same once the server knows of the order that was taken. */
const takenAgain: SeasonAgain = {
  ...again,
  orders: again.orders.map((order) => ({ ...order, lines: order.lines.map((each) => ({ ...each, standing: 'ORDERED' as const })) })),
};

describe('a season again', () => {
  it('plans an order anew and takes it on what was seen', async () => {
    let ordered = false;
    const calls = fakeServer({
      'GET /api/season-again': () => (ordered ? takenAgain : again),
      'GET /api/growing-years': { present: 2027, earlier: [2026] },
      'POST /api/plans': samplePlan(),
      'POST /api/orders': () => {
        ordered = true;
        return { number: 205 };
      },
    });
    show(<SeasonAgainPage />);
    expect(await screen.findByText(/One line lies beyond .* One is ordered again already./)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Plan it anew' }));
    expect(screen.getByText('Then sown Wed 1 Apr, whole 2 days late')).toBeTruthy();
    expect(await screen.findByText('yes')).toBeTruthy();
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take 1 line' })).toHaveProperty('disabled', false));
    fireEvent.click(screen.getByRole('button', { name: 'Take 1 line' }));
    expect(await screen.findByRole('link', { name: 'Order 205' })).toBeTruthy();
    expect(await screen.findByText(/3 are ordered again already./)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Order 205' }).getAttribute('href')).toBe('/orders/205');
    expect(screen.queryByRole('button', { name: 'Plan it anew' })).toBeNull();
    expect(calls.find((call) => call.path === '/api/orders')?.body).toMatchObject({
      growerId: 3,
      siteId: 4,
      lines: [{ seen: 'YES', wish: { plants: 60, target: '2027-05-12' } }],
    });
  });

  it('says so when there is nothing to take', async () => {
    fakeServer({ 'GET /api/season-again': { ...again, orders: [] }, 'GET /api/growing-years': { present: 2027, earlier: [] } });
    show(<SeasonAgainPage />);
    expect(await screen.findByText('Nothing of this year can be taken again today.')).toBeTruthy();
  });
});
