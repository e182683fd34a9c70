import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { refusal, type BatchView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { EmergenceChart } from '../emerge/EmergenceChart';
import { VerdictWords } from '../emerge/VerdictWords';
import { BalanceBar } from './BalanceBar';
import { HowItCameAbout } from './HowItCameAbout';
import { ChangeList } from './ChangeList';

const change = (sequence: number, more: Partial<BatchView['changes'][number]> = {}) => ({
  sequence,
  day: '2027-04-10',
  words: `Did thing ${sequence}`,
  by: 'Pell',
  corrected: false,
  isCorrection: false,
  ...more,
});

const batch = {
  summary: {
    number: 242,
    stage: 'EMERGING',
    verdict: 'LATE',
    dates: { target: '2027-05-04' },
    promises: [{ grower: 'Upper Tarrow Farm' }],
    balance: { sown: 100, waiting: 80, empty: 0, alive: 20, lost: 0, released: 0 },
  },
  changes: [1, 2, 3, 4, 5, 6, 7, 8].map((sequence) => change(sequence)),
  plan: { accepted: 78, cellsNeeded: 80, latestSowDay: '2027-04-20' },
  chances: { enough: 0.4, inTime: 0.5, nightShare: 1, wanted: 100, pace: 1.2, longerHere: 1 },
  emergence: {
    up: 20,
    expectedUp: 61.4,
    expectedAtCount: 31.2,
    completelyCounted: false,
    curve: [
      { day: '2027-04-06', low: 0, middle: 0, high: 0 },
      { day: '2027-04-07', low: 0, middle: 30, high: 60 },
      { day: '2027-04-08', low: 40, middle: 70, high: 90 },
    ],
    counts: [
      { day: '2027-04-07', cells: 12 },
      { day: '2027-04-08', cells: 20 },
    ],
  },
} as unknown as BatchView;

const inClient = (child: ReactNode) => render(<QueryClientProvider client={new QueryClient()}>{child}</QueryClientProvider>);

describe('the record of a batch', () => {
  it('shows the newest first and the rest on wish', () => {
    inClient(<ChangeList batch={batch} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
    expect(screen.getAllByRole('listitem')[0]!.textContent).toContain('Did thing 8');
    fireEvent.click(screen.getByRole('button', { name: 'Show all 8' }));
    expect(screen.getAllByRole('listitem')).toHaveLength(8);
  });

  it('offers to undo only what still counts', () => {
    const changes = [change(1), change(2, { corrected: true }), change(3, { isCorrection: true })];
    inClient(<ChangeList batch={{ ...batch, changes }} />);
    expect(screen.getAllByRole('button').map((button) => button.getAttribute('aria-label'))).toEqual([
      'Undo entry 3: Did thing 3',
      'Undo entry 1: Did thing 1',
    ]);
    expect(screen.getByText('undone')).toBeTruthy();
  });

  it('says what comes first when it is empty', () => {
    inClient(<ChangeList batch={{ ...batch, changes: [] }} />);
    expect(screen.getByText(/first entry will be its sowing/)).toBeTruthy();
  });
});

describe('the verdict', () => {
  it('says what to do while a resowing would still help', () => {
    fakeServer({});
    show(<VerdictWords batch={batch} today="2027-04-15" />);
    expect(screen.getByText('Late')).toBeTruthy();
    expect(screen.getByText(/20 of 100 cells up on Thu 8 Apr, 7 days ago; about 31 were expected then, 61 by today/)).toBeTruthy();
    expect(screen.getByText(/resowing would still make the order until Tue 20 Apr/)).toBeTruthy();
  });

  it('sets waiting beside sowing more, and one press sows for what is missing', async () => {
    const calls = fakeServer({
      'GET /api/session': { person: 1, role: 'PROPAGATOR', today: '2027-04-15', signedIn: true },
      'GET /api/batches/242/ways-out': {
        wanted: 60,
        living: 41,
        missing: 19,
        waiting: 0.05,
        lot: 'M26-107',
        seedsLeft: 30,
        lastDay: '2027-04-20',
        resowings: [
          { on: 'TODAY', day: '2027-04-15', cells: 26, trays: 1, seeds: 52, cost: 3.4, chance: 0.8 },
          { on: 'LAST_DAY', day: '2027-04-20', cells: 26, trays: 1, seeds: 52, cost: 3.4, chance: 0.6 },
        ],
      },
      'POST /api/batches/242/resowings': {},
    });
    show(<VerdictWords batch={batch} today="2027-04-15" />);
    expect(await screen.findByText(/41 of the 60 wanted may be counted on/)).toBeTruthy();
    expect(screen.getByText('Sow more on Tue 20 Apr, the last useful day')).toBeTruthy();
    expect(screen.getAllByText('Only 30 seeds are left of it.')).toHaveLength(2);
    fireEvent.click(await screen.findByRole('button', { name: 'Resow for 19 plants' }));
    expect(await screen.findByText(/Planned. The new sowing/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ plants: 19 });
  });

  it('says whom to tell once it would not', () => {
    fakeServer({});
    show(<VerdictWords batch={batch} today="2027-04-25" />);
    expect(screen.getByText(/tell Upper Tarrow Farm/)).toBeTruthy();
  });
});

describe('the account', () => {
  it('adds up in words', () => {
    render(<BalanceBar balance={{ sown: 100, waiting: 0, empty: 8, alive: 60, lost: 2, released: 30 }} needed={90} promised />);
    expect(screen.getByText(/100 sown = 30 released \+ 60 alive \+ 2 lost \+ 8 empty/)).toBeTruthy();
  });
});

describe('the emergence chart', () => {
  it('says in words what it shows, and rings every count', () => {
    const { container } = render(<EmergenceChart batch={batch} today="2027-04-08" />);
    expect(screen.getByRole('img', { name: 'Emergence: 20 of 100 cells up; about 61 expected by today' })).toBeTruthy();
    expect(container.querySelectorAll('circle')).toHaveLength(2);
    expect(screen.getByText('80 needed')).toBeTruthy();
  });
});

describe('a refusal', () => {
  it('finds its field, also inside a larger entry', () => {
    const refused = refusal(422, { detail: 'x', errors: [{ field: 'wish.plants', message: 'Order at least 1 plant.' }] });
    expect(refused.problemAt('plants')).toBe('Order at least 1 plant.');
    expect(refused.problemAt('target')).toBeUndefined();
    expect(refused.mayPassLater).toBe(false);
  });

  it('may pass later when the connection or the sign-in was at fault', () => {
    expect([0, 401, 403, 500, 503].every((status) => refusal(status, {}).mayPassLater)).toBe(true);
    expect(refusal(401, undefined).message).toContain('Sign in again');
  });
});

describe('how a chance came about', () => {
  it('shows the parts and their product', () => {
    const known = { ...batch, summary: { ...batch.summary, chance: 0.18, plantsAlive: 20 }, chances: { ...batch.chances, nightShare: 0.9 } };
    inClient(<HowItCameAbout batch={known} />);
    const rows = screen.getAllByRole('row').map((row) => row.textContent);
    expect(rows[0]).toContain('100 wanted; 20 alive, 80 cells still waiting');
    expect(rows[0]).toContain('40 %');
    expect(rows[1]).toContain('at 1.20 times its crop’s pace');
    expect(rows[2]).toContain('× 90 %');
    expect(rows[3]).toContain('= 18 %');
  });
});
