import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { LineView, OrderView, RoutesView, RouteView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { answer } from './MyPlantsPage';
import { changeWords } from './OrderHistory';
import { Notes } from './OrderPage';
import { ReleaseForm } from './ReleaseForm';
import { SownInPlace } from './SownInPlace';
import { WaysSheet } from './WaysSheet';

const inPlace = {
  plants: 40,
  seeds: 120,
  lot: 'K-12',
  sowFrom: '2027-05-01',
  sowUntil: '2027-05-20',
  chance: 0.8,
  due: true,
  how: ['Sow 60 spots.'],
} as NonNullable<LineView['inPlace']>;

const line = {
  line: 1,
  asked: {
    variety: 'Blue Lantern',
    crop: 'Curly kale',
    containerCode: 'module-60',
    container: 'Module tray of 60',
    plants: 40,
    target: '2027-06-10',
  },
  released: 0,
  ready: 0,
  supplies: [],
  standing: 'READY',
} as unknown as LineView;
const order = { number: 114, lines: [{ ...line, inPlace }] } as unknown as OrderView;

const way = (route: RouteView['route'], more: Partial<RouteView>): RouteView => ({
  route,
  current: false,
  possible: true,
  begins: '2027-05-01',
  ready: { early: '2027-06-01', middle: '2027-06-04', late: '2027-06-08', certain: false },
  chance: 0.9,
  slots: 0,
  seeds: 0,
  reasons: [],
  hindrances: [],
  how: [],
  ...more,
});

const routes: RoutesView = {
  plants: 40,
  routes: [
    way('RAISED', { current: true, slots: 1.2, cost: 4.4 }),
    way('IN_PLACE', { until: '2027-05-20', seeds: 120, cost: 1, how: ['Sow 60 spots.'] }),
    way('BOUGHT_IN', { cost: 12.6, price: 0.3 }),
  ],
  frees: [{ batch: 231, plants: 40, withdrawn: true }],
};

const choices = { places: [], containers: [], varieties: [], growers: [] };

describe('the three ways', () => {
  it('stand side by side, and what becomes of the batch is said before it is done', async () => {
    const close = vi.fn();
    const calls = fakeServer({ 'GET /api/routes/114/1': routes, 'GET /api/choices': choices, 'POST /api/orders/114/lines/1/route': {} });
    show(<WaysSheet line={line} order={order} close={close} />);
    expect(await screen.findByText('as it is now')).toBeTruthy();
    expect(screen.getByText('2 trays at most')).toBeTruthy();
    expect(screen.getByText('13, at 0.30 a plant')).toBeTruthy();
    expect(screen.getAllByRole('img', { name: /wanted on Thu 10 Jun/ })).toHaveLength(3);
    expect(screen.getByRole('link', { name: 'Buy them in' }).getAttribute('href')).toContain('over=yes');
    fireEvent.click(screen.getByRole('button', { name: 'Have it sown in place' }));
    expect(screen.getByText('Batch 231 is not sown and for nobody else; it leaves the plan.')).toBeTruthy();
    expect(calls.some((call) => call.method === 'POST')).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Go over to this' }));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(calls.find((call) => call.path.endsWith('/route'))?.body).toMatchObject({ route: 'IN_PLACE' });
  });

  it('say why one cannot be gone, and what the server refused', async () => {
    fakeServer({
      'GET /api/routes/114/1': {
        ...routes,
        routes: [
          way('RAISED', {}),
          way('IN_PLACE', { possible: false, hindrances: [{ kind: 'NoSeedInStore' }] }),
          way('BOUGHT_IN', { possible: false }),
        ],
      },
      'GET /api/choices': choices,
      'POST /api/orders/114/lines/1/route': new Status(422, {
        detail: 'The seed has gone.',
        errors: [{ field: 'route', message: 'The seed has gone.' }],
      }),
    });
    show(<WaysSheet line={line} order={order} close={() => undefined} />);
    expect(await screen.findByText('There is no seed of it in the store.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Have it sown in place' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Raise it here' }));
    fireEvent.click(screen.getByRole('button', { name: 'Go over to this' }));
    expect(await screen.findByText('The seed has gone.')).toBeTruthy();
  });
});

describe('seed that is sown in place', () => {
  it('goes with the release once it is due', async () => {
    const calls = fakeServer({ 'POST /api/releases': { number: 510 } });
    show(<ReleaseForm order={{ order, picks: [] }} />);
    fireEvent.click(screen.getByRole('button', { name: 'Release the seed' }));
    await waitFor(() => expect(calls.find((call) => call.path === '/api/releases')?.body).toMatchObject({ lines: [], seedOf: [1] }));
  });

  it('is told on the order, and that it did not go is asked twice', async () => {
    const calls = fakeServer({ 'POST /api/orders/114/lines/1/seed-returns': {} });
    show(<SownInPlace line={{ ...line, inPlace: { ...inPlace, note: 510 } }} order={order} mayTakeBack />);
    expect(screen.getByText(/120 seeds of K-12, from 1 May to Thu 20 May/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'It did not go' }));
    expect(calls).toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: 'Yes, it did not go' }));
    await waitFor(() => expect(calls).toHaveLength(1));
  });

  it('is not called plants on its note', () => {
    const releases = [
      { number: 509, day: '2027-04-10', plants: 30 },
      { number: 510, day: '2027-04-15', plants: 40 },
      { number: 511, day: '2027-04-16', plants: 0 },
    ];
    show(<Notes order={{ ...order, lines: [{ ...line, inPlace: { ...inPlace, note: 510 } }], releases }} />);
    expect(screen.getByRole('link', { name: 'Delivery note 509, Sat 10 Apr, 30 plants (PDF)' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Delivery note 510, Thu 15 Apr, seed for 40 (PDF)' })).toBeTruthy();
    expect(screen.getByText('Delivery note 511, Fri 16 Apr: taken back')).toBeTruthy();
  });

  it('is told to the grower with its days', () => {
    expect(answer({ ...line, inPlace })).toBe('To be sown at your place from Sat 1 May to Thu 20 May; the seed is ready for you.');
  });

  it('is told as what became of the order', () => {
    const change = { position: 1, day: '2027-04-15', by: 'Maro', kind: 'ROUTE_CHANGED' as const, before: 'RAISED BOUGHT_IN', after: 'IN_PLACE' };
    expect(changeWords(change, order)).toBe('Blue Lantern: sown in place instead of raised here, bought in.');
  });
});
