import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LookingBackView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { LookingBackPage } from './LookingBackPage';
import { NotesOfEarlierYears } from './Notes';

const fall = { sown: 200, awaited: 10, emerged: 160, living: 150, hardened: 100, released: 90, stood: 81 };
const cost = { all: { seed: 4, mix: 10, labels: 1, room: 25, work: 60 }, gone: 45, handedOver: 90 };
const view: LookingBackView = {
  year: 2027,
  together: 'CROP',
  all: fall,
  cost,
  groups: [{ name: 'Lettuce', batches: 3, fall, cost }],
  kept: { lines: 10, inTime: 7, late: 2, missing: 1, daysLate: 3.5 },
  keptShare: 0.7,
};

describe('looking back', () => {
  it('says what came of what was sown, and what was kept of what was promised', async () => {
    const calls = fakeServer({ 'GET /api/looking-back': view, 'GET /api/growing-years': { present: 2027, earlier: [] } });
    show(<LookingBackPage />);
    expect(await screen.findByText('7 of 10 lines were whole by their day: 70 of 100.')).toBeTruthy();
    expect(screen.getByText(/2 were late, by 3.5 days in the mean. One is not whole./)).toBeTruthy();
    expect(screen.getAllByText('80 %').length).toBe(2);
    expect(screen.getAllByText('10 cells may still come up.').length).toBe(2);
    expect(screen.getAllByText('60 are still here.').length).toBe(2);
    fireEvent.click(screen.getByRole('button', { name: 'by mix' }));
    await waitFor(() => expect(calls.some((call) => call.path.includes('by=MIX'))).toBe(true));
  });

  it('says so when nothing was sown', async () => {
    fakeServer({ 'GET /api/looking-back': { ...view, all: { ...fall, sown: 0 } }, 'GET /api/growing-years': { present: 2027, earlier: [] } });
    show(<LookingBackPage />);
    expect(await screen.findByText('Nothing was sown in this growing year yet.')).toBeTruthy();
  });

  it('says what plants cost and whether forecasts held', async () => {
    fakeServer({
      'GET /api/looking-back': view,
      'GET /api/looking-back/honesty': {
        bands: [{ matter: 'EMERGENCE', lead: 'DAYS', told: 20, inside: 15, early: 2 }],
        chances: [{ from: 0.8, said: 0.86, told: 10, cameTrue: 9 }],
      },
      'GET /api/growing-years': { present: 2027, earlier: [] },
    });
    show(<LookingBackPage />);
    expect(await screen.findByText('0.50 for each plant handed over, of 90 plants whose batches are gone.')).toBeTruthy();
    expect(screen.getByText('100.00 so far, for')).toBeTruthy();
    expect(await screen.findByText('15 of 20')).toBeTruthy();
    expect(screen.getByText('2 sooner, 3 later')).toBeTruthy();
    expect(screen.getByText('9 of 10')).toBeTruthy();
  });

  it('lays another year beside it', async () => {
    const calls = fakeServer({
      'GET /api/looking-back': (call: { path: string }) =>
        call.path.includes('year=2026') ? { ...view, year: 2026, kept: { ...view.kept, inTime: 4 } } : view,
      'GET /api/looking-back/honesty': { bands: [], chances: [] },
      'GET /api/growing-years': { present: 2027, earlier: [2026] },
    });
    show(<LookingBackPage />);
    fireEvent.change(await screen.findByLabelText('beside'), { target: { value: '2026' } });
    expect((await screen.findAllByText('2026: of 200 sown 80 % came up, 45 % went out, 41 % stood.')).length).toBe(2);
    expect(screen.getByText('2026: 4 of 10.')).toBeTruthy();
    expect(calls.some((call) => call.path.includes('year=2026'))).toBe(true);
  });

  it('finds notes of the same week again', async () => {
    fakeServer({ 'GET /api/notes': [{ batch: 7, variety: 'Oak Hollow', day: '2026-04-14', text: 'Slugs under the mat', by: 'Pell' }] });
    show(<NotesOfEarlierYears around="2027-04-15" />);
    expect(await screen.findByText('Slugs under the mat')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Batch 7, Oak Hollow' })).toBeTruthy();
  });
});
