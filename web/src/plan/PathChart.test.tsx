import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LineView, PlanView } from '../api/client';
import { answer } from '../release/MyPlantsPage';
import { PathChart } from './PathChart';
import { PlanBeside } from './PlanBeside';
import { samplePlan } from './samples';

const spread = (early: string, middle: string, late: string) => ({ early, middle, late, certain: early === late });
const ready = spread('2027-05-30', '2027-06-03', '2027-06-08');

const plan = samplePlan({
  promise: { chance: 0.93 },
  sowing: {
    options: [
      { seedsPerCell: 1, cells: 213, trays: 4, seeds: 213, chance: 0.97 },
      { seedsPerCell: 2, cells: 175, trays: 3, seeds: 350, chance: 0.98 },
    ],
    chosen: { seedsPerCell: 2, cells: 175, trays: 3, seeds: 350, chance: 0.98 },
  },
  dates: {
    target: '2027-06-10',
    window: {
      earliest: '2027-05-02',
      earliestBecause: 'LEAVES',
      best: '2027-05-05',
      latest: '2027-05-06',
      evenOdds: '2027-05-09',
      chance: 0.95,
      open: true,
    },
    stageReached: ready,
    ready,
    pastLimit: spread('2027-06-13', '2027-06-18', '2027-06-26'),
  },
});

describe('the path', () => {
  it('says every date in words beside its bar', () => {
    render(
      <PathChart
        target="2027-06-10"
        today="2027-04-15"
        rows={[
          { name: 'Ready', stage: 'READY', spread: ready },
          { name: 'Past its best', stage: 'PAST_BEST' },
        ]}
      />,
    );
    expect(screen.getByText('30 May – 8 Jun, most likely 3 Jun')).toBeTruthy();
    expect(screen.getByText('not this season')).toBeTruthy();
    expect(screen.getByText('wanted Thu 10 Jun')).toBeTruthy();
  });
});

describe('the plan beside an order', () => {
  it('says when plants that stand over winter go out, and how often they must be covered', () => {
    const winter = {
      restsFrom: '2027-11-08',
      growsFrom: '2028-02-20',
      spring: { from: '2028-03-10', until: '2028-04-15' },
      coldWinters: 0.4,
      floorCelsius: -6,
    };
    render(<PlanBeside plan={{ ...plan, winter }} today="2027-07-15" container="Module tray of 60" choose={() => undefined} />);
    expect(screen.getByText('not sown early enough for that')).toBeTruthy();
    expect(screen.getByText('Fri 10 Mar to Sat 15 Apr')).toBeTruthy();
    expect(screen.getByText(/In 40 of 100 winters some night on the .* falls below .6/)).toBeTruthy();
  });

  it('leads with what to sow and how sure it is', () => {
    render(<PlanBeside plan={plan} today="2027-04-15" container="Module tray of 60" choose={() => undefined} />);
    expect(screen.getByRole('heading', { name: 'Sow 175 cells on Wed 5 May' })).toBeTruthy();
    expect(screen.getByText('19 times in 20')).toBeTruthy();
    expect(screen.getByText('2 May – 6 May, best 5 May; earlier too many leaves, later too late; even odds 9 May')).toBeTruthy();
  });

  it('offers the other numbers of seeds and passes the choice on', () => {
    const chosen: number[] = [];
    render(<PlanBeside plan={plan} today="2027-04-15" container="Module tray of 60" choose={(seeds) => chosen.push(seeds)} />);
    screen.getByRole('button', { name: 'Take 1' }).click();
    expect(chosen).toEqual([1]);
    expect(screen.queryByRole('button', { name: 'Take 2' })).toBeNull();
  });

  it('says why when it cannot be, and draws no path then', () => {
    const refused: PlanView = {
      ...plan,
      promise: { ...plan.promise, possible: false, reasons: [{ kind: 'InTheWay', obstacle: { kind: 'TooLateForSeason' } }] },
      obstacles: [{ kind: 'TooLateForSeason' }],
    };
    render(<PlanBeside plan={refused} today="2027-04-15" container="Module tray of 60" choose={() => undefined} />);
    expect(screen.getByRole('heading', { name: 'Not for this date' })).toBeTruthy();
    expect(screen.getByText('It is too late to sow for Thu 10 Jun. Sown today it would not be ready this season.')).toBeTruthy();
    expect(screen.queryByRole('figure')).toBeNull();
  });
});

describe("the grower's answer", () => {
  const order = (more: Partial<LineView>): LineView => ({
    line: 1,
    asked: {
      varietyId: 1,
      variety: 'V',
      crop: 'C',
      containerCode: 't',
      container: 'T',
      plants: 100,
      leavesFrom: 4,
      leavesTo: 6,
      target: '2027-06-10',
      under: 0.03,
      accepted: 97,
      countedIn: 'PLANTS',
    },
    released: 0,
    ready: 0,
    readyMixed: 0,
    promised: 100,
    standing: 'GROWING',
    chance: 0.95,
    planting: [],
    before: [],
    after: [],
    supplies: [],
    ...more,
  });
  const batch = (spreadOfReady: typeof ready) =>
    ({ plants: 100, chance: 0.95, batch: { dates: { ready: spreadOfReady } } }) as LineView['supplies'][number];

  it('is plain at every stage', () => {
    expect(answer(order({ supplies: [batch(ready)] }))).toBe('Ready 30 May – 8 Jun, most likely 3 Jun, in time: 19 times in 20.');
    expect(answer(order({ supplies: [batch(spread('2027-06-12', '2027-06-15', '2027-06-20'))] }))).toContain('Likely late: ready 12');
    expect(answer(order({ supplies: [batch(ready)], promised: 60 }))).toBe('Ready 30 May – 8 Jun, most likely 3 Jun, but likely 40 plants short.');
    expect(answer(order({ supplies: [batch(ready)], chance: 0.6 }))).toContain('it is tight for');
    expect(answer(order({ supplies: [batch(ready)], chance: 0.02 }))).toContain('most likely not all of them');
    expect(answer(order({ ready: 100, standing: 'READY' }))).toContain('ready and waiting');
    expect(answer(order({ ready: 42, standing: 'READY' }))).toBe('42 of 100 are ready.');
    expect(answer(order({ released: 60, standing: 'PART_RELEASED' }))).toContain('60 of 100 have gone');
    expect(answer(order({ standing: 'FAILED' }))).toContain('failed');
    expect(answer(order({}))).toContain('not likely');
  });
});
