import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import type { ClimateView, Founding, PlacePattern } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { FoundingPage } from './FoundingPage';
import { NurseryPage } from './NurseryPage';

const founding: Founding = {
  latitude: -38,
  altitude: 40,
  timeZone: 'Pacific/Auckland',
  weather: 'GUESSED',
  daysFromFile: 0,
  places: 0,
  slots: 0,
  crops: 60,
  varieties: 0,
  lots: 0,
  growers: 0,
  sites: 0,
  batches: 0,
  next: 'CLIMATE',
};

const climate: ClimateView = {
  entry: {
    coldestMinimum: 4,
    coldestMaximum: 13,
    warmestMinimum: 13,
    warmestMaximum: 27,
    lastFrost: '09-05',
    lastFrostAtWorst: '10-02',
    firstFrost: '06-01',
    firstFrostAtWorst: '05-08',
  },
  guessed: true,
  northern: false,
  year: [
    { day: '2027-01-01', minimum: 12, maximum: 26 },
    { day: '2027-07-05', minimum: 4, maximum: 13 },
  ],
  spring: { certain: false, early: '2026-08-10', middle: '2026-09-05', late: '2026-10-02' },
  autumn: { certain: false, early: '2027-05-08', middle: '2027-06-01', late: '2027-07-01' },
  curve: [
    { day: '2026-07-20', chance: 1 },
    { day: '2026-09-20', chance: 0.2 },
  ],
  daysOff: 1,
};

const shelf: PlacePattern = {
  kind: 'LIT_SHELF',
  name: 'Lit shelf',
  day: 21,
  night: 17,
  daylightShare: 0.1,
  aspect: 'OVERHEAD',
  lampFlux: 180,
  lampHours: 16,
  keepsMiceOut: true,
  uses: ['EMERGENCE', 'GROWING_ON'],
  length: 120,
  breadth: 60,
  slots: 4,
};

const server = (more: Record<string, unknown> = {}) =>
  fakeServer({
    'GET /api/session': { signedIn: true, role: 'PROPAGATOR', person: 1, name: 'P', today: '2027-04-15', demo: false, needsFirstAccount: false },
    'GET /api/founding': founding,
    'GET /api/weather': { estimated: true },
    'GET /api/weather/climate': climate,
    'GET /api/choices': { ...sampleChoices, places: [] },
    'GET /api/people': [],
    'GET /api/devices': { simulatedStation: false, estimated: true, places: [], devices: [] },
    'GET /api/nursery': { name: 'Long Paddock', telephone: '' },
    'GET /api/places/patterns': [shelf],
    'GET /api/places/surfaces': { slots: 4 },
    ...more,
  });

const at = (step: string) =>
  show(
    <Routes>
      <Route path="/founding/:step" element={<FoundingPage />} />
      <Route path="*" element={<p>elsewhere</p>} />
    </Routes>,
    `/founding/${step}`,
  );

describe('founding a nursery', () => {
  it('says what is guessed, and sends what is corrected', async () => {
    const calls = server({ 'POST /api/weather/climate/trial': { ...climate, guessed: false }, 'PUT /api/weather/climate': {} });
    at('climate');
    expect(await screen.findByText(/Guessed from latitude and height alone/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Last frost, usually'), { target: { value: 'soon' } });
    expect(screen.getByText('Enter a day and its month, like 14 May.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Last frost, usually'), { target: { value: '10 Sep' } });
    fireEvent.change(screen.getByLabelText('Coldest month: nights'), { target: { value: '3,5' } });
    fireEvent.click(screen.getByText('Go by this climate'));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({ coldestMinimum: 3.5, lastFrost: '09-10', firstFrost: '06-01' }),
    );
  });

  it('tells at its place what cannot be', async () => {
    server({
      'POST /api/weather/climate/trial': new Status(422, {
        errors: [{ field: 'lastFrost', message: 'These are dates of the other half of the earth.' }],
      }),
    });
    at('climate');
    fireEvent.change(await screen.findByLabelText('Last frost, usually'), { target: { value: '20 Apr' } });
    expect(await screen.findByText('These are dates of the other half of the earth.')).toBeTruthy();
  });

  it('adds a place from a pattern with its thermometer dragged by keys', async () => {
    const calls = server({ 'POST /api/places': {} });
    at('places');
    fireEvent.click(await screen.findByText('Lit shelf'));
    const night = screen.getByRole('slider', { name: 'night' });
    fireEvent.keyDown(night, { key: 'ArrowUp' });
    expect(night.getAttribute('aria-valuetext')).toBe('17.5 °C');
    // Nights are never warmer than days.
    for (let steps = 0; steps < 10; steps++) fireEvent.keyDown(night, { key: 'ArrowUp' });
    expect(screen.getByRole('slider', { name: 'day' }).getAttribute('aria-valuenow')).toBe('22.5');
    expect(await screen.findByText('holds 4 trays')).toBeTruthy();
    fireEvent.click(screen.getByText('Add this place'));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/places')?.body).toMatchObject({
        kind: 'LIT_SHELF',
        slots: 4,
        daySetPoint: 22.5,
        nightSetPoint: 22.5,
      }),
    );
  });

  it('says on the nursery’s page what is missing next', async () => {
    server({ 'GET /api/founding': { ...founding, weather: 'TOLD', next: 'PLACE_TO_COME_UP' } });
    show(<NurseryPage />, '/nursery');
    const next = await screen.findByRole('region', { name: 'Next' });
    expect(within(next).getByText(/nothing can be sown/)).toBeTruthy();
    expect(within(next).getByRole('link').getAttribute('href')).toBe('/founding/places');
  });
});
