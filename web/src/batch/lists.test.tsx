import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { OrdersPage } from '../order/OrdersPage';
import { BatchesPage } from './BatchesPage';

const dates = { sowDay: '2027-04-01', pottings: [], target: '2027-05-12', ready: { early: '2027-05-09', middle: '2027-05-14', late: '2027-05-20' } };
const batch = (number: number, more: object) => ({
  number,
  variety: `Variety ${number}`,
  crop: 'Leek',
  stage: 'GROWING_ON',
  verdict: 'ON_COURSE',
  place: 'Frame',
  trays: [1042],
  balance: { sown: 60, waiting: 0, empty: 0, alive: 50, lost: 10, released: 0 },
  dates,
  chance: 0.3,
  plants: 50,
  promises: [],
  shares: { promised: 0, reserved: 0, free: 5, missing: 0 },
  plantsAlive: 50,
  plantsMixed: 0,
  traysToSow: 0,
  boughtIn: false,
  ...more,
});
const order = (number: number, grower: string, chance: number) => ({
  number,
  grower,
  site: 'Terrace',
  altitude: 500,
  target: '2027-05-12',
  placedOn: '2027-03-01',
  standing: 'GROWING',
  chance,
  releases: [],
  changes: [],
  lines: [
    {
      line: 1,
      asked: { variety: 'Grey Anvil', crop: 'Curly kale', plants: 60, accepted: 58, target: '2027-05-12', countedIn: 'PLANTS' },
      released: 0,
      ready: 0,
      readyMixed: 0,
      promised: 60,
      standing: 'GROWING',
      chance,
      supplies: [{ plants: 60, chance, batch: batch(201, {}) }],
      planting: [],
    },
  ],
});
const years = { 'GET /api/growing-years': { present: 2027, earlier: [] } };
const rows = (name: string) => within(screen.getByRole('list', { name })).getAllByRole('listitem');

describe('the list of orders', () => {
  it('is sorted, grouped and searched, and says why an order is tight', async () => {
    fakeServer({ ...years, 'GET /api/orders': [order(101, 'Fennick', 0.9), order(102, 'Alder', 0.2)] });
    show(<OrdersPage mayTake />, '/orders?sort=tight');
    expect(await screen.findByText('2 orders, 1 tight')).toBeTruthy();
    expect(rows('Orders').map((row) => row.textContent?.slice(0, 3))).toEqual(['102', '101']);
    expect(screen.getAllByText('Grey Anvil most likely 2 days late')).toHaveLength(2);
    fireEvent.change(screen.getByLabelText('Together'), { target: { value: 'grower' } });
    expect(rows('Orders')[0]!.textContent).toBe('Alder 1');
    fireEvent.change(screen.getByLabelText('Find an order'), { target: { value: 'fenn' } });
    await waitFor(() => expect(rows('Orders')).toHaveLength(2));
    fireEvent.change(screen.getByLabelText('Find an order'), { target: { value: 'moon' } });
    expect(await screen.findByText('No order fits. Look for fewer words.')).toBeTruthy();
  });
});

describe('the list of batches', () => {
  it('goes stage by stage, or place by place', async () => {
    fakeServer({ ...years, 'GET /api/batches': [batch(301, { stage: 'READY' }), batch(302, { place: 'Bench' })] });
    show(<BatchesPage mayPlan />, '/batches');
    expect(await screen.findByText('2 batches, 2 tight')).toBeTruthy();
    expect(rows('Batches').map((row) => row.textContent?.slice(0, 3))).toEqual(['Gro', '302', 'Rea', '301']);
    fireEvent.change(screen.getByLabelText('Together'), { target: { value: 'place' } });
    expect(rows('Batches')[0]!.textContent).toBe('Bench1');
    expect(screen.getAllByText(/most likely 2 days late/)).toHaveLength(2);
  });
});
