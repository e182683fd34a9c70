import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { LotOrPlace } from './LotOrPlace';

const count = (batch: number, up: number, tail: number) => ({
  batch,
  lotId: 9,
  lot: 'M26-1',
  place: 'Heat mat',
  sown: '2027-03-28',
  tried: 100,
  up,
  cells: false,
  tail,
  meanCelsius: 24.3,
});

/** Opens the judgement; jsdom does not tell that a fold was opened. */
function opened(view: object, role = 'PROPAGATOR') {
  fakeServer({
    'GET /api/session': { signedIn: true, person: 2, name: 'Maro', role, today: '2027-04-15' },
    'GET /api/batches/215/lot-or-place': view,
  });
  show(<LotOrPlace batch={215} />);
  const fold = screen.getByText('Is it the seed or the place?').parentElement as HTMLDetailsElement;
  fold.open = true;
  fireEvent(fold, new Event('toggle'));
}

describe('the seed or the place', () => {
  it('is judged with the counts that it rests on, and a letter where somebody may write one', async () => {
    opened({
      blame: 'LOT',
      here: count(215, 30, 0.000001),
      elsewhere: [],
      othersHere: [count(300, 90, 0.6), count(301, 60, 0.01)],
      tailOthers: 0.19,
    });
    expect(await screen.findByText(/^The lot\./)).toBeTruthy();
    expect(screen.getByText(/30 of 100 seeds, seldom: less than once in 10,000/)).toBeTruthy();
    expect(screen.getByText('It was counted in no other place.')).toBeTruthy();
    expect(screen.getByText(/1 of 2 did badly; as many by chance and mishap alone: about one time in 5/)).toBeTruthy();
    expect(screen.getByText('Letter to whom lot M26-1 came from').getAttribute('href')).toBe('/api/lots/9/claim.pdf');
  });

  it('waits for the last look', async () => {
    opened({ elsewhere: [], othersHere: [] });
    expect(await screen.findByText(/told after the last look/)).toBeTruthy();
  });
});
