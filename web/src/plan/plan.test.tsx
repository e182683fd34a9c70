import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { PathView, PlanView, Wish } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { Outdoors } from './Outdoors';
import { Paths } from './Paths';
import { PlanBeside } from './PlanBeside';
import { type OtherPlan, samplePlan } from './samples';

const spread = (early: string, middle: string, late: string) => ({ early, middle, late, certain: early === late });

const outdoors: NonNullable<PlanView['outdoors']> = {
  from: '2027-05-22',
  because: 'FROST',
  harmedAt: 1,
  lastFrost: spread('2027-04-26', '2027-05-08', '2027-05-21'),
  soilWait: 0,
  until: '2027-08-04',
  chanceOfHarm: 0.04,
  averageLastFrost: '2027-05-10',
  averageFirstFrost: '2027-10-02',
  ruleForSowing: '2027-04-26',
  ruleForPlanting: '2027-05-20',
  ruleForLastPlanting: '2027-07-20',
  sowFrom: '2027-04-24',
  sowUntil: '2027-07-02',
};

describe('at the site', () => {
  it('holds the dates counted back beside the rules of thumb', () => {
    render(<Outdoors plan={samplePlan({ outdoors })} />);
    expect(screen.getByText(/1 °C, which harms it, comes after that in one year of ten/)).toBeTruthy();
    const counted = screen.getByText('Counted back').nextElementSibling!;
    expect(counted.textContent).toContain('Sow from Sat 24 Apr; earlier, they would wait past their best to go out');
    expect(counted.textContent).toContain('Sow until Fri 2 Jul; later, frost and dark come before harvest');
    const rule = screen.getByText('Rule of thumb').nextElementSibling!;
    expect(rule.textContent).toContain('start from the average last frost, 10 May: sow 26 Apr, plant 20 May');
    expect(rule.textContent).toContain('from the first, 2 Oct: plant by 20 Jul');
  });

  it('says what sets the day, and leaves out what is not so', () => {
    const without = { ...outdoors, sowFrom: null };
    render(
      <Outdoors
        plan={samplePlan({ outdoors: { ...without, because: 'SOIL', soilWait: 18, soil: spread('2027-05-20', '2027-05-29', '2027-06-08') } })}
      />,
    );
    expect(screen.getByText(/the soil has 18 °C by then in every other year/)).toBeTruthy();
    expect(screen.getByText('Counted back').nextElementSibling!.textContent).toMatch(/^Sow until Fri 2 Jul/);
    cleanup();
    const bare = { ...without, sowUntil: null, ruleForSowing: null };
    render(<Outdoors plan={samplePlan({ outdoors: { ...bare, because: 'NOTHING' } })} />);
    expect(screen.getByText(/no frost here harms it/)).toBeTruthy();
    expect(screen.queryByText('Counted back')).toBeNull();
    expect(screen.queryByText('Rule of thumb')).toBeNull();
    cleanup();
    render(<Outdoors plan={samplePlan()} />);
    expect(screen.getByText(/Choose the site/)).toBeTruthy();
  });
});

describe('the path drawn', () => {
  it('shows every potting and says when light sets the first day', () => {
    const pottings = [spread('2027-05-20', '2027-05-22', '2027-05-24'), spread('2027-06-01', '2027-06-03', '2027-06-06')];
    render(<PlanBeside plan={samplePlan({ dates: { pottings } })} today="2027-04-15" container="Carrier of 28 pots" choose={() => undefined} />);
    expect(screen.getByText('Pot on, first')).toBeTruthy();
    expect(screen.getByText('1 Jun – 6 Jun, most likely 3 Jun')).toBeTruthy();
    expect(screen.getByText(/earlier too little light/)).toBeTruthy();
  });
});

describe('paths through containers', () => {
  const path = (kind: PathView['kind'], more: OtherPlan = {}): PathView => ({ kind, plan: samplePlan({ path: kind, ...more }) });
  const wish = { varietyId: 1, container: 'pot-9', plants: 40, leavesFrom: 5, leavesTo: 7, target: '2027-06-19' } as Wish;
  const four = [
    path('STRAIGHT'),
    path('POTTED_ONCE', { promise: { chance: 0.6 } }),
    path('BLOCKS', { promise: { possible: false } }),
    path('PRICKED_OUT', { promise: { conditions: [{ kind: 'NoRoom', place: { number: 2 }, trayPlaces: 3, from: '2027-05-01', to: '2027-05-03' }] } }),
  ];

  async function opened(choose: (kind: PathView['kind']) => void = () => undefined) {
    show(<Paths wish={wish} today="2027-04-15" choose={choose} />);
    const details = screen.getByText('Compare paths through containers').closest('details')!;
    details.open = true;
    fireEvent(details, new Event('toggle'));
  }

  it('are followed only when asked for, and stand side by side with what each takes', async () => {
    const calls = fakeServer({ 'POST /api/paths': four });
    show(<Paths wish={wish} today="2027-04-15" choose={() => undefined} />);
    expect(calls).toHaveLength(0);
    cleanup();
    await opened();
    expect(await screen.findByRole('columnheader', { name: /Straight/ })).toBeTruthy();
    expect(screen.getAllByRole('columnheader').filter((each) => each.textContent)).toHaveLength(3);
    expect(screen.getByRole('row', { name: /Room, trays × days/ }).textContent).toContain('84, at most 2');
    expect(screen.getByRole('row', { name: /^In time/ }).textContent).toContain('no');
    expect(screen.getByRole('row', { name: /^Mix/ }).textContent).toContain('10 L');
  });

  it('are chosen three at a time, and one is taken', async () => {
    fakeServer({ 'POST /api/paths': four });
    const chosen: string[] = [];
    await opened((kind) => chosen.push(kind));
    fireEvent.click(await screen.findByLabelText('Pricked out'));
    expect(screen.queryByRole('columnheader', { name: /Straight/ })).toBeNull();
    expect(screen.getByText('Room must be found: Lit shelf lacks 3 tray places from Sat 1 May to Mon 3 May.')).toBeTruthy();
    const take = screen.getAllByRole('button', { name: 'Take this path' }) as HTMLButtonElement[];
    expect(take.map((button) => button.disabled)).toEqual([false, true, false]);
    fireEvent.click(take[0]!);
    expect(chosen).toEqual(['POTTED_ONCE']);
  });

  it('say why when they cannot be followed', async () => {
    fakeServer({ 'POST /api/paths': new Status(422, { detail: 'This day has passed; today is 2027-04-15.', errors: [] }) });
    await opened();
    await waitFor(() => expect(screen.getByText(/This day has passed/)).toBeTruthy());
  });
});
