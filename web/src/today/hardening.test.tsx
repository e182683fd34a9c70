import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { HardeningDaysView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { HardeningPage } from './HardeningPage';

type Day = HardeningDaysView['batches'][number]['days'][number];

const day = (more: Partial<Day> & { day: string }): Day => ({
  ofProgramme: 2,
  hours: 5,
  hoursOut: 5,
  inSun: true,
  inWind: false,
  night: 'IN',
  byDay: 'OUT',
  atNight: 'IN',
  because: [],
  counts: true,
  ...more,
});

const view: HardeningDaysView = {
  sky: [
    { day: '2027-04-15', minimum: 4, maximum: 15, gust: 12, rain: 0, hail: 0, sun: 0.5 },
    { day: '2027-04-16', minimum: 4, maximum: 15 },
  ],
  batches: [
    {
      batch: 264,
      variety: 'Copper Bell',
      crop: 'Tomato',
      place: 'Hardening ground',
      inside: 'North house',
      trays: [1299, 1300],
      plants: 70,
      programme: 'BY_DAY',
      programmeName: '',
      daysDone: 1,
      ofDays: 5,
      hadToday: false,
      missed: 1,
      lastDay: '2027-04-20',
      target: '2027-04-17',
      tooLate: true,
      days: [
        day({ day: '2027-04-15', byDay: 'SHELTERED', because: ['WIND'] }),
        day({ day: '2027-04-16', byDay: 'IN', hoursOut: 0, because: ['STORM'], counts: false }),
      ],
    },
  ],
  out: [{ batch: 264, variety: 'Copper Bell', trays: [1299, 1300], from: 'North house', to: 'Hardening ground', night: 'IN', minutes: 2 }],
  in: [],
  cover: [{ batch: 264, variety: 'Copper Bell', trays: [1299, 1300], from: 'Hardening ground', to: 'Hardening ground', night: 'FLEECE', minutes: 2 }],
  outMinutes: 2,
  inMinutes: 2,
};

describe('the days of hardening', () => {
  it('say what becomes of each, what is carried and covered, and that the end moves', async () => {
    fakeServer({ 'GET /api/hardening': view });
    show(<HardeningPage />);
    expect(await screen.findByText(/gusts 43 km\/h, sun 50 %/)).toBeTruthy();
    expect(screen.getByText('North house → Hardening ground')).toBeTruthy();
    expect(screen.getByText('fleece, in Hardening ground')).toBeTruthy();
    expect(screen.getByText(/1 of 5 days had; hardened on Tue 20 Apr, wanted on Sat 17 Apr/).className).toContain('brick');
    expect(screen.getByText(/out for 5 hours in the lee, under a roof, in for the night \(gusts they are not used to\)/)).toBeTruthy();
    expect(screen.getByText(/in all day; had later \(a storm\)/)).toBeTruthy();
    expect(screen.getByText(/Tell the propagator/)).toBeTruthy();
  });

  it('are noted with one press, for as many hours as the weather leaves', async () => {
    const calls = fakeServer({ 'GET /api/hardening': view, 'POST /api/batches/264/hardening-days': {} });
    show(<HardeningPage />);
    const note = await screen.findByRole('button', { name: 'Out today: note 5 hours' });
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((heard) => setTimeout(heard));
    fireEvent.click(note);
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ hours: 5 }));
  });

  it('are carried by as many as one says', async () => {
    const calls = fakeServer({ 'GET /api/hardening': view });
    show(<HardeningPage />);
    fireEvent.click(within(await screen.findByRole('group', { name: 'People who carry' })).getByText('3'));
    await waitFor(() => expect(calls.at(-1)?.path).toBe('/api/hardening?people=3'));
  });

  it('have an empty page that says where hardening begins', async () => {
    fakeServer({ 'GET /api/hardening': { ...view, batches: [], out: [], cover: [] } });
    show(<HardeningPage />);
    expect(await screen.findByText(/Nothing hardens off today/)).toBeTruthy();
  });
});
