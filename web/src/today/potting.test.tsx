import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { PottingDayPage } from './PottingDayPage';

const day = {
  today: '2027-04-15',
  hands: 1,
  pottable: [
    { batch: 214, variety: 'Tall Lantern', crop: 'Tomato', plants: 54, due: true, from: '2027-04-14', by: '2027-04-14' },
    { batch: 220, variety: 'Low Ember', crop: 'Pepper', plants: 20, due: false, from: '2027-04-18', by: '2027-04-24' },
  ],
  steps: [
    {
      batch: 214,
      variety: 'Tall Lantern',
      crop: 'Tomato',
      standsIn: 'Module tray of 60',
      into: 'Carrier of 18 pots',
      trays: [1031],
      plants: 54,
      carriers: 3,
      changesPots: true,
      fromMinute: 5,
      untilMinute: 41,
      litres: 20,
      slotsBefore: 1,
      slotsAfter: 3,
      place: 'Cool house',
    },
  ],
  minutes: 41,
  mixLitres: 20,
  mixThere: 12,
  labels: 3,
  pots: [{ container: 'pot-9', name: 'Carrier of 18 pots', pieces: 54, inShed: 40 }],
  rooms: [{ placeId: 2, place: 'Cool house', free: 1, more: 2, leaving: [{ batch: 203, variety: 'Grey Anvil', task: 'RELEASE', slots: 2 }] }],
};

const calls = () => fakeServer({ 'GET /api/potting-day': day });

describe('a morning of potting', () => {
  it('says what it takes, what is missing and what could make room', async () => {
    calls();
    show(<PottingDayPage />);
    expect(await screen.findByText(/54 plants of 1 batch: about 40 min|54 plants of 1 batch/)).toBeTruthy();
    expect(screen.getByText('Carrier of 18 pots: 54, of 40 in the shed').className).toContain('brick');
    expect(screen.getByText(/about 20 L of potting mix; 12 L made/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Make a mix' }).getAttribute('href')).toBe('/mix/barrow?litres=8');
    expect(screen.getByText('Cool house: 2 tray places more, 1 free').className).toContain('brick');
    expect(screen.getByText(/release it, 2 tray places/)).toBeTruthy();
    expect(screen.getByText('Fetch: Carrier of 18 pots')).toBeTruthy();
    expect(screen.getByText(/54 plants from T1031 into 3 carriers, 20 L of mix, to Cool house/)).toBeTruthy();
  });

  it('asks anew for other hands and other batches', async () => {
    const asked = calls();
    show(<PottingDayPage />);
    fireEvent.click(await screen.findByRole('button', { name: '3' }));
    await waitFor(() => expect(asked.some((call) => call.path.includes('hands=3'))).toBe(true));
    fireEvent.click(screen.getByRole('checkbox', { name: /Low Ember/ }));
    await waitFor(() => expect(asked.some((call) => /batches=214.*220/.test(call.path))).toBe(true));
  });
});
