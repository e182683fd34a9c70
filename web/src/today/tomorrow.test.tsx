import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { TomorrowPage } from './TomorrowPage';

const work = (more: object) => ({
  day: '2027-04-16',
  kind: 'SOW' as const,
  batch: 214,
  variety: 'Blue Lantern',
  words: 'Sow 60 cells of Blue Lantern (curly kale), 2 a cell',
  place: 'Warm room',
  placeId: 2,
  trays: [1042, 1043],
  lot: 'M26-1',
  ...more,
});

describe('tomorrow', () => {
  it('is told place by place in walking order, with trays and lots', async () => {
    const calls = fakeServer({
      'GET /api/work': [work({}), work({ batch: 230, placeId: 1, place: 'Heat mat', words: 'Count Copper Bell (tomato)', kind: 'COUNT' })],
    });
    show(<TomorrowPage today="2027-04-15" />);
    expect(await screen.findByRole('heading', { name: 'Tomorrow, Fri 16 Apr' })).toBeTruthy();
    expect(screen.getAllByRole('heading', { level: 2 }).map((each) => each.textContent)).toEqual(['Heat mat', 'Warm room']);
    expect(screen.getByText('batch 214, lot M26-1: T1042 T1043')).toBeTruthy();
    expect(calls.some((call) => call.path.startsWith('/api/work'))).toBe(true);
  });

  it('says so when nothing is foreseen', async () => {
    fakeServer({ 'GET /api/work': [] });
    show(<TomorrowPage today="2027-04-15" />);
    expect(await screen.findByText('Nothing is foreseen but the usual look round.')).toBeTruthy();
  });
});
