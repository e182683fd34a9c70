import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LookingBackView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { LookingBackPage } from './LookingBackPage';

const fall = { sown: 200, awaited: 10, emerged: 160, living: 150, hardened: 100, released: 90, stood: 81 };
const view: LookingBackView = {
  year: 2027,
  together: 'CROP',
  all: fall,
  groups: [{ name: 'Lettuce', batches: 3, fall }],
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
});
