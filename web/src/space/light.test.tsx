import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LightOfPlace } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { LightPage } from './LightPage';

const dark = { celsius: 19, wanted: 7.2, coolEnough: 14, batches: [212] };

const shelf: LightOfPlace = {
  placeId: 4,
  place: 'Lit shelf',
  madeBy: { daylightShare: 0.1, aspect: 'OVERHEAD', sunFrom: 0, sunUntil: 24, clothTakes: 0, lampFlux: 60, lampHours: 14, lampDistance: 300 },
  lampLight: 3.02,
  lampFluxThere: 60,
  weeks: [
    { from: '2027-01-01', low: 3, middle: 3.5, high: 4 },
    { from: '2027-06-18', low: 5, middle: 6, high: 7 },
  ],
  state: { light: 5, dark },
  lampsCould: { distance: 210 },
  growing: [
    {
      batch: 212,
      crop: 'Curly kale',
      wanted: 7.2,
      plenty: 12,
      ready: '2027-05-10',
      chance: 0.6,
      moves: [
        { placeId: 7, place: 'North house', light: 14, ready: '2027-05-04', chance: 0.9, takes: 2, free: 11, fits: true },
        { placeId: 9, place: 'Cool house', light: 15, ready: '2027-05-12', chance: 0.7, takes: 2, free: 0.4, fits: false },
      ],
    },
  ],
};

const places = [
  { placeId: 1, place: 'Heat mat', readings: [], warnings: [], light: { light: 9 } },
  { placeId: 4, place: 'Lit shelf', readings: [], warnings: [], light: { light: 5, dark } },
];

const server = (trial: unknown = { ...shelf, lampLight: 8.64, lampFluxThere: 90, state: { light: 11 }, growing: [] }) =>
  fakeServer({
    'GET /api/warmth': { from: '2027-04-12T08:00:00', until: '2027-04-15T08:00:00', places },
    'GET /api/places/4/light': shelf,
    'POST /api/places/4/light/trials': trial,
    'PUT /api/places/4/light': shelf,
    'POST /api/batches/212/moves': {},
  });

const page = (mayChange = true) => show(<LightPage mayChange={mayChange} />);

describe('the light of places', () => {
  it('opens where something stretches, and says what lamps and moves would do', async () => {
    const calls = server();
    page();
    expect(await screen.findByText(/Hang the lamps 21 cm above/)).toBeTruthy();
    expect(screen.queryByText(/h a day instead of/)).toBeNull();
    expect(screen.getByText(/ready Tue 4 May instead of Mon 10 May; in time 9 times in 10/)).toBeTruthy();
    expect(screen.getByText('needs 2 tray places, 0.4 are free').className).toContain('brick');
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((heard) => setTimeout(heard));
    fireEvent.click(screen.getByRole('button', { name: 'Move to North house' }));
    expect(await screen.findByText('Moved')).toBeTruthy();
    const sent = calls.find((call) => call.path === '/api/batches/212/moves');
    expect(sent?.body).toMatchObject({ placeId: 7, trays: [] });
  });

  it('tries what is typed, and keeps it by a press', async () => {
    const calls = server();
    page();
    const hours = await screen.findByLabelText('Hours a day');
    fireEvent.change(hours, { target: { value: '18' } });
    expect(await screen.findByText('As tried; nothing is kept yet.')).toBeTruthy();
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ lampHours: 18, lampFlux: 60 }));
    expect(await screen.findByText('Nothing that is up grows here.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Above the leaves, mm'), { target: { value: '200' } });
    fireEvent.click(await screen.findByRole('button', { name: 'From that height about 90 µmol' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep it like this' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({ lampFlux: 90, lampHours: 18, lampDistance: 200 }));
  });

  it('leaves a figure that cannot be read where it is, and says what the server says of one that cannot be', async () => {
    const calls = server(new Status(422, { title: 'x', errors: [{ field: 'lampHours', message: 'A day has 24 hours.' }] }));
    page(false);
    const hours = await screen.findByLabelText('Hours a day');
    fireEvent.change(hours, { target: { value: '' } });
    expect(screen.getByText('Enter a figure.')).toBeTruthy();
    expect(calls.some((call) => call.method === 'POST')).toBe(false);
    fireEvent.change(hours, { target: { value: '30' } });
    expect(await screen.findByText('A day has 24 hours.')).toBeTruthy();
    expect(screen.getByText('Try what you like; only a propagator can keep it.')).toBeTruthy();
  });
});
