import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Forward, OfNote } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { TraceBackPage } from './TraceBackPage';
import { LotTracePage, MixTracePage } from './TraceForwardPage';

const lot = { id: 3, code: 'K-11', supplier: 'Hollow Seed' };
const forward: Forward = {
  lot,
  variety: 'Grey Anvil',
  medium: '',
  seeds: 240,
  batches: [{ batch: 214, variety: 'Grey Anvil', day: '2027-03-02', seeds: 240, lot }],
  standing: [{ batch: 214, variety: 'Grey Anvil', tray: 1042, place: 'Frame', plants: 12, mixed: true }],
  gone: [
    {
      grower: 'Fennick',
      site: 'Terrace',
      order: 103,
      line: 1,
      note: 501,
      day: '2027-04-10',
      batch: 214,
      variety: 'Grey Anvil',
      plants: 60,
      mixed: false,
    },
    {
      grower: 'Low Farm',
      site: 'Strip',
      order: 104,
      line: 2,
      note: 502,
      day: '2027-04-11',
      batch: 214,
      variety: 'Grey Anvil',
      plants: 40,
      mixed: false,
    },
  ],
  seedGone: [],
  promised: [{ grower: 'Low Farm', order: 104, line: 2, batch: 214, variety: 'Grey Anvil', plants: 10, target: '2027-04-20' }],
};
const note: OfNote = {
  note: 501,
  order: 103,
  grower: 'Fennick',
  site: 'Terrace',
  day: '2027-04-10',
  takenBack: false,
  lines: [
    {
      line: 1,
      variety: 'Grey Anvil',
      crop: 'Curly kale',
      plants: 60,
      seed: [],
      origins: [
        {
          plants: 60,
          mixed: false,
          batch: 214,
          tray: 1050,
          startedIn: 1042,
          day: '2027-03-02',
          lot,
          medium: 'Fine mix',
          stays: [
            { place: 'Warm shelf', from: '2027-03-02', until: '2027-03-12', mean: 19.6 },
            { place: 'Frame', from: '2027-03-12' },
          ],
          counts: [{ day: '2027-03-14', kind: 'COUNTED', cells: 66, by: 'Pell' }],
          hands: ['Pell'],
        },
      ],
    },
  ],
};

describe('a lot followed forward', () => {
  it('says who has plants of it, what is here and who waits', async () => {
    fakeServer({ 'GET /api/traces/lots/3': forward });
    show(<LotTracePage />, '/trace/lots/3', '/trace/lots/:id');
    expect(await screen.findByText('100 plants with 2 growers, 12 still here, 10 promised.')).toBeTruthy();
    const growers = within(screen.getByRole('region', { name: 'With growers' }));
    expect(growers.getByText('Fennick')).toBeTruthy();
    expect(growers.getByRole('link', { name: 'note 502' }).getAttribute('href')).toBe('/trace/notes/502');
    expect(within(screen.getByRole('region', { name: 'Still here' })).getByRole('link', { name: 'T1042' })).toBeTruthy();
  });

  it('says so of a mix in which nothing was sown', async () => {
    fakeServer({});
    show(<MixTracePage />, '/trace/mix?of=moon', '/trace/mix');
    expect(await screen.findByRole('alert')).toBeTruthy();
  });
});

describe('a note followed back', () => {
  it('goes from the tray that left to seed, mix, places, counts and hands', async () => {
    fakeServer({ 'GET /api/traces/notes/501': note });
    show(<TraceBackPage />, '/trace/notes/501', '/trace/notes/:number');
    expect(await screen.findByText('60 plants from tray T1050')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'lot K-11' }).getAttribute('href')).toBe('/trace/lots/3');
    expect(screen.getByRole('link', { name: 'Fine mix' }).getAttribute('href')).toBe('/trace/mix?of=Fine%20mix');
    expect(screen.getByText('at Warm shelf until 12 Mar')).toBeTruthy();
    expect(screen.getByText('66 cells with something up')).toBeTruthy();
    expect(screen.getByText('Potted on from tray T1042 into tray T1050.')).toBeTruthy();
    expect(screen.getByText('Hands: Pell')).toBeTruthy();
  });

  it('says when all of it was taken back', async () => {
    fakeServer({ 'GET /api/traces/notes/501': { ...note, takenBack: true, lines: [] } });
    show(<TraceBackPage />, '/trace/notes/501', '/trace/notes/:number');
    expect(await screen.findByText(/All of it was taken back/)).toBeTruthy();
  });
});
