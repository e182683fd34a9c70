import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { PracticeTrial } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { TrialsPage } from './TrialsPage';
import { toldWords, type WayShare } from './trialWords';

const share = (changed: Partial<WayShare>): WayShare => ({ well: 40, of: 60, ...changed });

describe('what a trial tells', () => {
  it('says better or worse only where chance is ruled out', () => {
    expect(toldWords(share({}))).toBe('');
    expect(toldWords(share({ difference: -0.2, low: -0.34, high: -0.05, byChance: 0.0107, moreToTell: 0 }))).toBe(
      'Worse than A by 20 points, surely −34 to −5 points.',
    );
    expect(toldWords(share({ difference: 0.13, low: -0.03, high: 0.29, byChance: 0.12, moreToTell: 140 }))).toBe(
      'Cannot tell yet: the difference lies anywhere from −3 to 29 points. Some 140 more of each would tell.',
    );
    expect(toldWords(share({ difference: 0.01, low: -0.04, high: 0.05, byChance: 0.8, moreToTell: 0 }))).toBe(
      'No difference that matters was found; it lies anywhere from −4 to 5 points.',
    );
  });

  const trial: PracticeTrial = {
    number: 3,
    name: 'Two mixes',
    practice: 'MIX',
    matters: 0.1,
    seed: 7,
    begunOn: '2027-04-01',
    ways: [
      {
        position: 1,
        name: 'Clean',
        cells: [{ batch: 201, tray: 1042, trayCode: 'T1042', firstCell: 11, lastCell: 20 }],
        waiting: 0,
        emerged: share({ well: 52 }),
        grown: share({ well: 50 }),
      },
      {
        position: 2,
        name: 'Alive',
        cells: [{ batch: 201, tray: 1042, trayCode: 'T1042', firstCell: 1, lastCell: 10 }],
        waiting: 4,
        emerged: share({ difference: -0.2, low: -0.34, high: -0.05, byChance: 0.0107, moreToTell: 0 }),
        grown: share({ well: 38, difference: -0.2, low: -0.34, high: -0.05, byChance: 0.0107, moreToTell: 0 }),
      },
    ],
  };

  it('draws each way with its cells, and takes down what was graded', async () => {
    const calls = fakeServer({ 'GET /api/trials': [trial], 'POST /api/trials/3/ways/2/findings': {} });
    show(<TrialsPage />);
    expect(await screen.findByText('52 of 60, 87 %')).toBeTruthy();
    expect(screen.getByText('In 4 cells something may yet come up.')).toBeTruthy();
    expect(screen.getByText('B cells 1–10 · A cells 11–20')).toBeTruthy();
    expect(screen.queryByText('Lay out a trial')).toBeNull();
    fireEvent.change(screen.getByLabelText('Way'), { target: { value: '2' } });
    fireEvent.change(screen.getByLabelText('Did well'), { target: { value: '18' } });
    fireEvent.change(screen.getByLabelText('Of plants'), { target: { value: '20' } });
    fireEvent.click(screen.getByText('Note it'));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/trials/3/ways/2/findings')?.body).toMatchObject({ toldBy: 'GRADE', well: 18, of: 20 }),
    );
  });
});
