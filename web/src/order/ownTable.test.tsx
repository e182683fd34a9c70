import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { OwnSeason, Want } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { OwnTablePage } from './OwnTablePage';
import { wantIn } from './ownWant';

const wish = (target: string) => ({ varietyId: 1, container: 'module-60', plants: 30, leavesFrom: 4, leavesTo: 6, target, siteId: 7 });

const season: OwnSeason = {
  sowings: [
    { want: 0, wish: wish('2027-06-01'), pickOn: '2027-07-31', answer: 'YES', chance: 0.95, sowDay: '2027-04-20', seeds: 70, trays: 1, why: '' },
    {
      want: 0,
      wish: wish('2027-04-01'),
      pickOn: '2027-05-31',
      answer: 'NO',
      chance: 0,
      seeds: 0,
      trays: 0,
      why: 'It would have had to be planted by 1 Apr.',
      couldPickFrom: '2027-06-20',
    },
  ],
  seeds: [{ varietyId: 1, variety: 'Blue Lantern', needed: 70, inStore: 40 }],
  weeks: [
    {
      monday: '2027-04-19',
      tasks: [{ day: '2027-04-20', step: 'SOW', sowing: 0, place: 'Heat mat' }],
      rooms: [{ placeId: 1, place: 'Heat mat', needed: 2, free: 1 }],
    },
    { monday: '2027-07-26', tasks: [{ day: '2027-07-31', step: 'PICK', sowing: 0 }], rooms: [] },
  ],
};

const propagator = {
  signedIn: true,
  person: 1,
  name: 'Maro',
  role: 'PROPAGATOR',
  needsFirstAccount: false,
  nursery: 'N',
  today: '2027-04-15',
  demo: false,
};

function page(more: Record<string, unknown> = {}) {
  const calls = fakeServer({ 'GET /api/session': propagator, 'GET /api/choices': sampleChoices, 'POST /api/own-table/plan': season, ...more });
  show(<OwnTablePage today="2027-04-15" />);
  return calls;
}

async function choose(label: string, value: string) {
  fireEvent.change(await screen.findByLabelText(label), { target: { value } });
}

async function chooseVariety() {
  const variety = await screen.findByLabelText('Variety');
  fireEvent.change(variety, { target: { value: 'Blue' } });
  await screen.findByRole('option', { name: /Blue Lantern/ });
  fireEvent.keyDown(variety, { key: 'Enter' });
}

describe('for our own table', () => {
  beforeEach(() => localStorage.clear());

  it('turns what one would like to eat into sowings, seed, room and days, and plans what can be sown', async () => {
    const calls = page({ 'POST /api/orders': { number: 12 } });
    await chooseVariety();
    await choose('Plants', '60');
    await choose('In so many sowings', '2');
    fireEvent.click(await screen.findByRole('button', { name: 'Put it on the table' }));
    expect(await screen.findByRole('img', { name: /In trays from .*20 Apr.*, planted .*1 Jun.*, picked from .*31 Jul/ })).toBeTruthy();
    expect(screen.getByText('It would have had to be planted by 1 Apr.')).toBeTruthy();
    expect(screen.getByText('It could be picked from Sun 20 Jun on.')).toBeTruthy();
    expect(screen.getByText('Blue Lantern: 70 seeds, 40 there; buy 30 more.')).toBeTruthy();
    expect(screen.getByText(/Room runs out at Heat mat/)).toBeTruthy();
    expect(screen.getByText(/Sow Blue Lantern, 70 seeds, at Heat mat./)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Plan this sowing' }));
    await waitFor(() => {
      const body = calls.find((call) => call.path === '/api/orders')?.body as { growerId: number; lines: { seen: string }[] };
      expect(body).toMatchObject({ growerId: 1, siteId: 7, lines: [{ seen: 'YES', wish: { target: '2027-06-01' } }] });
    });
    await waitFor(() => expect(screen.getByText(/Nothing is on the table yet/)).toBeTruthy());
  });

  it('counts what a bed holds, and keeps what is on the table when the page is left', async () => {
    page({ 'POST /api/own-table/beds': { plants: 132, spacing: 30 } });
    await chooseVariety();
    await choose('How many', 'BED');
    await choose('Length, m', '10');
    await choose('Breadth, m', '1.2');
    expect(await screen.findByText('132 plants stand in it, 30 cm apart.')).toBeTruthy();
    fireEvent.click(await screen.findByRole('button', { name: 'Put it on the table' }));
    const table = await screen.findByRole('list', { name: 'On the table' });
    expect(within(table).getByText(/a bed of 10 × 1.2/)).toBeTruthy();
    expect(JSON.parse(localStorage.getItem('own table of 1') ?? '[]')).toHaveLength(1);
    fireEvent.click(within(table).getByRole('button', { name: /Take it off/ }));
    await waitFor(() => expect(JSON.parse(localStorage.getItem('own table of 1') ?? '[]')).toHaveLength(0));
  });

  it('says why nothing could be counted back, and leads to beds where there are none', async () => {
    page({ 'POST /api/own-table/plan': new Status(422, { detail: 'These would be 60 sowings.', errors: [] }) });
    await chooseVariety();
    await choose('Plants', '60');
    fireEvent.click(await screen.findByRole('button', { name: 'Put it on the table' }));
    expect(await screen.findByText('These would be 60 sowings.')).toBeTruthy();
  });

  it('leads to one’s own beds where there are none', async () => {
    page({ 'GET /api/choices': { ...sampleChoices, sites: [] } });
    expect(await screen.findByRole('link', { name: 'Add our own beds' })).toBeTruthy();
  });
});

describe('a want', () => {
  const typed = {
    varietyId: '1',
    by: 'BED' as const,
    plants: '',
    length: '2,5',
    breadth: '1.2',
    spacing: '',
    rows: 'OFFSET' as const,
    from: '2027-07-01',
    until: '2027-07-20',
    sowings: '2',
    bedFree: '2027-05-20',
  };

  it('is whole only with a variety, an amount and days', () => {
    const whole: Want = {
      varietyId: 1,
      from: '2027-07-01',
      until: '2027-07-20',
      sowings: 2,
      bedFree: '2027-05-20',
      bed: { length: 2.5, breadth: 1.2, rows: 'OFFSET' },
    };
    expect(wantIn(typed)).toEqual(whole);
    for (const lacking of [{ varietyId: '' }, { length: '' }, { from: '' }, { sowings: '0' }, { spacing: 'wide' }]) {
      expect(wantIn({ ...typed, ...lacking })).toBeUndefined();
    }
    expect(wantIn({ ...typed, by: 'PLANTS', plants: '-3' })).toBeUndefined();
  });
});
