import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { FailingView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { FailingPage } from './FailingPage';
import { ADVICE, CAUSES, SIGNS } from './failingWords';

const yellow: FailingView = {
  sign: 'YELLOW',
  clear: true,
  suspects: [
    { cause: 'TOO_WET', share: 0.84, evidence: 'FOR', noted: 'It was watered three times before it wanted any.' },
    { cause: 'CROWDED_ROOTS', share: 0.13, evidence: 'NONE', noted: 'Nobody has looked at its roots.' },
  ],
};

describe('why plants are failing', () => {
  it('goes from a sign to the likeliest cause, with what the record says and what to do', async () => {
    fakeServer({
      'GET /api/batches/201': { summary: { number: 201, variety: 'Blue Lantern' } },
      'GET /api/batches/201/failing?sign=YELLOW': yellow,
      'GET /api/batches/201/failing?sign=DROOPING': { ...yellow, sign: 'DROOPING', clear: false },
    });
    show(<FailingPage />, '/batches/201/failing', '/batches/:number/failing');
    fireEvent.click(await screen.findByRole('button', { name: 'yellow' }));
    expect(await screen.findByText('Most likely: too much water.')).toBeTruthy();
    const causes = within(screen.getByRole('region', { name: 'What may lie behind it' })).getAllByRole('listitem');
    expect(causes[0]!.textContent).toContain('It was watered three times before it wanted any. That speaks for it.');
    expect(causes[0]!.textContent).toContain('about 8 in 10');
    expect(causes[1]!.textContent).toContain('Nobody has looked at its roots. That cannot tell.');
    fireEvent.click(screen.getByRole('button', { name: 'drooping' }));
    expect(await screen.findByText(/The record cannot tell/)).toBeTruthy();
  });

  it('has a word for each sign and advice for each cause', () => {
    expect(Object.keys(SIGNS)).toHaveLength(7);
    expect(Object.keys(ADVICE).sort()).toEqual(Object.keys(CAUSES).sort());
  });
});
