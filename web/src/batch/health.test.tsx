import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { addDays } from '../words/days';
import { HealthPage } from './HealthPage';

const health = {
  variety: 'Tall Lantern',
  crop: 'Celery',
  began: '2027-03-01',
  today: '2027-04-15',
  target: '2027-05-10',
  days: Array.from({ length: 45 }, (_, index) => ({
    day: addDays('2027-03-01', index),
    minimum: index === 30 ? 3.5 : 9,
    maximum: 18,
    light: index < 20 ? 2 : 8,
    ...(index >= 10 && { leaves: (index - 10) / 8 }),
  })),
  lines: { nightFloor: 6, heatFrom: 28, light: 5, leaves: 5, water: 0.6 },
  leavesNow: 4.1,
  reserveEnds: '2027-03-28',
  care: {
    water: [
      { at: '2027-04-10T08:00:00', share: 1 },
      { at: '2027-04-12T08:00:00', share: 0.62 },
    ],
    watered: [{ day: '2027-04-10', how: 'BELOW' }],
    fed: [{ day: '2027-04-05', strength: 100 }],
    looked: [{ day: '2027-04-10', leaves: 3.8, roots: 'AT_EDGE' }],
    done: [
      { day: '2027-03-01', doing: 'SOWN' },
      { day: '2027-03-02', doing: 'COUNTED' },
      { day: '2027-04-12', doing: 'POTTED' },
    ],
  },
  cold: { nights: 1, coldest: 3.5, daysLost: 0.42, bolts: true, bolting: 0.11 },
};

it('draws all that bears on their health, and says the same in words', async () => {
  fakeServer({ 'GET /api/batches/220/health': health });
  show(<HealthPage />, '/batches/220/health', '/batches/:number/health');
  expect(await screen.findByText(/1 night below 6 °C since they are up, the coldest 3.5 °C: they cost about 0.4 days of growth/)).toBeTruthy();
  expect(screen.getByText(/makes a plant run to seed/)).toBeTruthy();
  expect(screen.getByText(/10 days of 35 darker than 5.0 mol a day/)).toBeTruthy();
  expect(screen.getByText(/Their mix fed them until Sun 28 Mar; fed once by hand/)).toBeTruthy();
  expect(screen.getByRole('img', { name: '1 nights below 6 °C, 0 days from 28 °C on' })).toBeTruthy();
  expect(screen.getByRole('img', { name: '4.1 true leaves by now, 5 wanted for hardening' })).toBeTruthy();
  expect(screen.getByText('roots at the edge')).toBeTruthy();
  expect(screen.getByText('sown')).toBeTruthy();
  expect(screen.queryByText('counted')).toBeNull();
});

it('says of what is not up that nothing is', async () => {
  fakeServer({ 'GET /api/batches/220/health': { ...health, days: health.days.slice(0, 5), care: { ...health.care, water: [] } } });
  show(<HealthPage />, '/batches/220/health', '/batches/:number/health');
  expect(await screen.findByText('Nothing is up yet.')).toBeTruthy();
});
