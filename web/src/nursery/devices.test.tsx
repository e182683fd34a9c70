import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { DeviceView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { DevicesPage } from './DevicesPage';

const probe: DeviceView = {
  id: 1,
  name: 'Probe A',
  feeds: 'PLACE',
  placeId: 4,
  simulated: false,
  lastHeard: '2027-04-15T06:30:00',
  sign: 'LATELY',
  celsius: 21.44,
  humidity: 58,
};

const known = (devices: DeviceView[], more = {}) => ({
  simulatedStation: false,
  estimated: true,
  forecastSaidOn: null,
  places: [
    { id: 4, name: 'Mat' },
    { id: 5, name: 'Frame', readByHandOn: '2027-04-14' },
    { id: 6, name: 'Yard' },
  ],
  devices,
  ...more,
});

const part = (name: string) => within(screen.getByRole('region', { name }));

describe('what measures here', () => {
  it('says of everything how it is known', async () => {
    fakeServer({ 'GET /api/devices': known([probe]) });
    show(<DevicesPage />);
    expect(await screen.findByText('One device sends, and it does.')).toBeTruthy();
    expect(part('Mat').getByText('21.4 °C, 58 %')).toBeTruthy();
    expect(part('Mat').getByText(/last heard of 15 Apr, 0?6:30/)).toBeTruthy();
    expect(part('Frame').getByText('Read by hand, last for Wed 14 Apr.')).toBeTruthy();
    expect(part('Yard').getByText(/the figures said of it are believed/)).toBeTruthy();
    expect(part('Outdoors').getByText(/days are estimated/)).toBeTruthy();
    expect(part('The days to come').getByText(/Nothing is forecast/)).toBeTruthy();
  });

  it('names what is silent first, and what to look at', async () => {
    const mast: DeviceView = { ...probe, id: 2, name: 'Mast', feeds: 'STATION', placeId: null, sign: 'SILENT', celsius: -3.4, humidity: null };
    fakeServer({ 'GET /api/devices': known([probe, mast, { ...probe, id: 3, name: 'Old', withdrawnOn: '2027-04-01', sign: null }]) });
    show(<DevicesPage />);
    expect(await screen.findByText('One device is silent: Mast.')).toBeTruthy();
    expect(part('Outdoors').getByText(/Silent since 15 Apr, 0?6:30. Look at its battery/)).toBeTruthy();
    expect(screen.getByText('One whose token was withdrawn')).toBeTruthy();
  });

  it('adds what feeds the weather without a place, and shows its token once with where to send', async () => {
    const calls = fakeServer({ 'GET /api/devices': known([]), 'POST /api/devices': { id: 9, token: 'abc123' } });
    show(<DevicesPage />);
    fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'Mast' } });
    fireEvent.change(screen.getByLabelText('What it feeds'), { target: { value: 'STATION' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add the device' }));
    expect(await screen.findByText('abc123')).toBeTruthy();
    expect(screen.getByText(/or a line a day: day, minimum, maximum/)).toBeTruthy();
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ name: 'Mast', feeds: 'STATION' }));
  });

  it('says what is missing where nothing is chosen', async () => {
    fakeServer({
      'GET /api/devices': known([]),
      'POST /api/devices': new Status(422, { detail: 'Choose a place.', errors: [{ field: 'placeId', message: 'Choose a place.' }] }),
    });
    show(<DevicesPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Add the device' }));
    expect(await screen.findByText('Choose a place.')).toBeTruthy();
  });
});
