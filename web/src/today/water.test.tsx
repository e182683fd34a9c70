import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { WaterView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { StopWater } from './StopWater';
import { WaterPage } from './WaterPage';
import { markWords, type TrayWater } from './waterWords';

const tray = (number: number, changed: Partial<TrayWater> = {}): TrayWater => ({
  tray: number,
  code: `T${number}`,
  batch: 201,
  variety: 'Blue Lantern',
  crop: 'Kale',
  advice: 'WATER',
  share: 0.42,
  low: 0.35,
  high: 0.5,
  mark: 0.45,
  atMark: '2027-04-15T08:00:00',
  how: 'BELOW',
  minutes: 20,
  neverDries: false,
  held: 1.2,
  lastSeen: '2027-04-14T08:00:00',
  ...changed,
});
const view: WaterView = {
  now: '2027-04-15T08:00:00',
  hasScale: true,
  stops: [
    {
      placeId: 3,
      place: 'Cool bench',
      trays: [
        tray(1042, { again: '2027-04-15T14:30:00' }),
        tray(1043),
        tray(1050, { advice: 'LOOK', share: 0.5, low: 0, high: 1, lastSeen: null }),
        tray(1070, { advice: 'LOOK', untilUp: 'LEFT_UNTIL_UP' }),
        tray(1060, { advice: 'LEAVE', share: 0.9, low: 0.85, high: 0.95, atMark: '2027-04-17T15:40:00', neverDries: true }),
      ],
    },
  ],
  weights: [{ container: 'module-60', name: 'Module tray of 60', dry: 900, soaked: 1900, isWeighed: false }],
};

beforeEach(() => {
  localStorage.clear();
  outbox.open(2);
});

describe('water by need', () => {
  it('says which trays want water, which a look, and why the rest is left alone', async () => {
    fakeServer({ 'GET /api/water': view });
    show(<WaterPage />);
    expect(await screen.findByText(/Water 2, look at 2, leave 1\./)).toBeTruthy();
    expect(screen.getAllByText('from below, about 20 minutes')).toHaveLength(2);
    expect(screen.getByText(/how wet it is nobody has noted/)).toBeTruthy();
    expect(screen.getByText(/It never dries/)).toBeTruthy();
    expect(screen.getByText('again today about 14:30: it may not last until tomorrow')).toBeTruthy();
    expect(screen.getByText('Once more today, from about 14:30 on: tray T1042 may not last until tomorrow.')).toBeTruthy();
    expect(markWords(tray(1, { atMark: '2027-04-15T15:40:00' }), view.now)).toBe('at its mark of 45 % today about 15:40');
    expect(markWords(tray(1, { atMark: '2027-04-17T15:40:00' }), view.now)).toBe('at its mark of 45 % Sat 17 Apr about 15:40');
  });

  it('notes water for all at a stop, a lifted tray and one on the scale', async () => {
    const calls = fakeServer({ 'GET /api/water': view, 'POST /api/water': {}, 'GET /api/scale/trays/1050': { grams: 1302.4 } });
    show(<WaterPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'All 2 watered from below' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ trays: [1042, 1043], kind: 'WATERED', word: 'BELOW' }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Say how T1050 is' }));
    const look = within(screen.getByRole('group', { name: 'How T1050 is' }));
    fireEvent.click(look.getByRole('button', { name: 'On the scale' }));
    await waitFor(() => expect(look.getByRole<HTMLInputElement>('textbox', { name: 'Weight of T1050, g' }).value).toBe('1302'));
    fireEvent.click(look.getByRole('button', { name: 'Weighed' }));
    await waitFor(() =>
      expect(calls.findLast((call) => call.method === 'POST')?.body).toMatchObject({ trays: [1050], kind: 'WEIGHED', grams: 1302 }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Say how T1060 is' }));
    fireEvent.click(within(screen.getByRole('group', { name: 'Lift T1060' })).getByRole('button', { name: 'heavy' }));
    await waitFor(() =>
      expect(calls.findLast((call) => call.method === 'POST')?.body).toMatchObject({ trays: [1060], kind: 'LIFTED', word: 'HEAVY' }),
    );
  });

  it('asks of what is not up yet only how its surface is', async () => {
    const calls = fakeServer({ 'GET /api/water': view, 'POST /api/water': {} });
    show(<WaterPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'T1070: surface dry' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ trays: [1070], kind: 'SURFACE', word: 'PALE' }));
  });

  it('says at a stop what wants water, and no more once it was watered without a signal', async () => {
    const calls = fakeServer({ 'POST /api/water': new Status(503, {}) });
    show(
      <StopWater
        placeId={3}
        water={{ below: [1042, 1043], above: [], spray: [1051], look: [1050], leave: 4, again: [1042, 1060], againFrom: '2027-04-15T14:30:00' }}
      />,
    );
    expect(screen.getByRole('link', { name: 'Water: look at tray T1050 and leave 4 trays' }).getAttribute('href')).toBe('/water#place-3');
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((told) => setTimeout(told, 50));
    fireEvent.click(screen.getByRole('button', { name: /^Watered: trays T1042/ }));
    await waitFor(() => expect(screen.queryByText(/Water trays T1042/)).toBeNull());
    expect(screen.getByText(/Once more today, from about 14:30 on: trays T1042/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Sprayed: tray T1051' })).toBeTruthy();
  });

  it('takes what a filled container weighs', async () => {
    const calls = fakeServer({ 'GET /api/water': view, 'PUT /api/water/containers/module-60': {} });
    show(<WaterPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Weigh Module tray of 60' }));
    fireEvent.change(screen.getByRole('textbox', { name: 'soaked, g' }), { target: { value: '2050' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ dry: 900, soaked: 2050 }));
  });
});
