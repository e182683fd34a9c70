import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { OfferView, Understood, Wish } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { samplePlan } from '../plan/samples';
import { PromiseAnswer } from './PromiseAnswer';
import { PromiseSheet, changedBy } from './PromiseSheet';

const plan = samplePlan({
  sowing: {
    plantsToAimFor: 412,
    chosen: { seedsPerCell: 2, cells: 449, trays: 8, seeds: 898, chance: 0.95 },
    lot: { id: 1, code: 'M26-1', supplier: 'S', germination: 0.9, seedsLeft: 2000 },
    slots: 8,
  },
  dates: { target: '2027-06-12' },
  places: { growingOn: 'Cool house', stays: [{ place: 'Warm room', from: '2027-05-05', to: '2027-05-10', slots: 8 }] },
  outlay: { slotDays: 300, mostSlots: 8, mix: 23.5, seeds: 898, labels: 8, hours: 0.5, cost: 60 },
  containers: [{ code: 'module-60', name: 'Module tray of 60' }],
});
const offer: OfferView = {
  change: 'DAY',
  target: '2027-06-12',
  plants: 400,
  container: 'module-60',
  containerName: 'Module tray of 60',
  siteId: 7,
  chance: 0.85,
};
const understood: Understood = {
  wish: { varietyId: 1, container: 'module-60', plants: 400, leavesFrom: 4, leavesTo: 5, target: '2027-06-12', siteId: 7 },
  growerId: 1,
  missing: [],
  notUnderstood: ['maybe'],
  plan,
  words: {
    plants: 400,
    variety: 'Blue Lantern',
    crop: 'Curly kale',
    container: 'Module tray of 60',
    leavesFrom: 4,
    leavesTo: 5,
    target: '2027-06-12',
    site: 'Near',
    grower: 'Field one',
  },
};

describe('the answer', () => {
  it('is a plain yes with its chance, its last day and what it takes', () => {
    show(<PromiseAnswer plan={plan} today="2027-04-15" choose={() => undefined} />);
    expect(screen.getByRole('heading', { name: 'Yes' })).toBeTruthy();
    expect(screen.getByText('9 times in 10')).toBeTruthy();
    expect(screen.getByText('Sat 8 May')).toBeTruthy();
    expect(screen.getByText(/898 seeds of lot M26-1, 24 L of mix, 8 labels/)).toBeTruthy();
    expect(screen.getByText('8 tray places')).toBeTruthy();
  });

  it('is a no with its reason, nothing of what it would take, and offers', () => {
    const chosen = vi.fn();
    show(
      <PromiseAnswer
        plan={{
          ...plan,
          promise: { ...plan.promise, answer: 'NO', reasons: [{ kind: 'InTheWay', obstacle: { kind: 'TooLateForSeason' } }], offers: [offer] },
        }}
        today="2027-04-15"
        choose={chosen}
      />,
    );
    expect(screen.getByRole('heading', { name: 'No' })).toBeTruthy();
    expect(screen.getByText(/It is too late to sow for Sat 12 Jun/)).toBeTruthy();
    expect(screen.queryByText('What it takes')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /on Sat 12 Jun instead/ }));
    expect(chosen).toHaveBeenCalledWith(offer);
  });

  it('is a yes if with every condition', () => {
    show(
      <PromiseAnswer
        plan={{
          ...plan,
          promise: {
            ...plan.promise,
            answer: 'YES_IF',
            conditions: [
              { kind: 'NoRoom', place: { number: 2 }, trayPlaces: 1, from: '2027-05-01', to: '2027-05-03' },
              { kind: 'InTheWay', obstacle: { kind: 'SeedToBuy', needed: 1200, left: 1, by: '2027-05-05' } },
            ],
          },
        }}
        today="2027-04-15"
        choose={() => undefined}
      />,
    );
    expect(screen.getByText('Room must be found: Lit shelf lacks 1 tray place from Sat 1 May to Mon 3 May.')).toBeTruthy();
    expect(
      screen.getByText('1,200 seeds are needed and 1 is left in the lot. Choose fewer seeds per cell, another lot, or buy seed by Wed 5 May.'),
    ).toBeTruthy();
  });
});

describe('an offer taken', () => {
  it.each<[Partial<OfferView>, Partial<Wish>]>([
    [{ target: '2027-06-20' }, { target: '2027-06-20' }],
    [{ change: 'QUANTITY', plants: 250 }, { plants: 250 }],
    [
      { change: 'CONTAINER', container: 'pot-7' },
      { container: 'pot-7', containerPath: null },
    ],
    [{ change: 'SITE', siteId: 9, site: 'Far' }, { siteId: 9 }],
  ])('%o changes the wish', (more, changed) => {
    expect(changedBy(understood.wish!, { ...offer, ...more })).toEqual({ ...understood.wish, ...changed });
  });
});

describe('the question', () => {
  it('is opened with a key, read back, answered and turned into an order', async () => {
    const calls = fakeServer({ 'POST /api/promises': understood, 'GET /api/choices': sampleChoices, 'POST /api/orders': { number: 321 } });
    show(<PromiseSheet today="2027-04-15" />);
    fireEvent.keyDown(window, { key: 'p' });
    fireEvent.change(await screen.findByLabelText('Asked on the telephone'), { target: { value: '400 blue lantern 12 june near' } });
    expect(await screen.findByText(/400 Blue Lantern/)).toBeTruthy();
    expect(screen.getByText(/Not understood: “maybe”/)).toBeTruthy();
    await waitFor(() => expect((screen.getByRole('button', { name: 'Promise it: take the order' }) as HTMLButtonElement).disabled).toBe(false));
    fireEvent.click(screen.getByRole('button', { name: 'Promise it: take the order' }));
    await waitFor(() => expect(calls.at(-1)?.path === '/api/orders' || calls.some((call) => call.path === '/api/orders')).toBe(true));
    expect(calls.find((call) => call.path === '/api/orders')?.body).toMatchObject({
      growerId: 1,
      siteId: 7,
      lines: [{ wish: understood.wish, seen: 'YES' }],
    });
  });

  it('says what is still missing, and what cannot be', async () => {
    fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/promises': ({ body }: { body: unknown }) =>
        JSON.stringify(body).includes('many')
          ? new Status(422, { detail: 'x', errors: [{ field: 'text', message: 'Ask for 1 to 100000 plants.' }] })
          : { missing: ['DAY'], notUnderstood: [] },
    });
    show(<PromiseSheet today="2027-04-15" />);
    fireEvent.click(screen.getByRole('button', { name: /Can we/ }));
    fireEvent.change(await screen.findByLabelText('Asked on the telephone'), { target: { value: '400 kale' } });
    expect(await screen.findByText('Still to say: for which day.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Asked on the telephone'), { target: { value: 'far too many kale' } });
    expect(await screen.findByText('Ask for 1 to 100000 plants.')).toBeTruthy();
  });
});
