import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { OfferView } from '../api/client';
import { show } from '../api/faked';
import { samplePlan } from '../plan/samples';
import { PromiseAnswer } from './PromiseAnswer';

const plan = samplePlan({
  sowing: {
    plantsToAimFor: 412,
    chosen: { seedsPerCell: 2, cells: 449, trays: 8, seeds: 898, chance: 0.95 },
    lot: { id: 1, code: 'M26-1', supplier: 'S', germination: 0.9, seedsLeft: 2000 },
    slots: 8,
  },
  dates: { target: '2027-06-12' },
  places: { growingOn: 'Cool house', stays: [{ place: 'Warm room', from: '2027-05-05', to: '2027-05-10', slots: 8 }] },
  outlay: { slotDays: 300, mostSlots: 8, mix: 23.5, seeds: 898, labels: 8, hours: 0.5, cost: 60 },
  containers: [{ code: 'module-60', name: 'Module tray of 60' }],
});
const offer: OfferView = {
  change: 'DAY',
  target: '2027-06-12',
  plants: 400,
  container: 'module-60',
  containerName: 'Module tray of 60',
  siteId: 7,
  chance: 0.85,
};
describe('the answer', () => {
  it('is a plain yes with its chance, its last day and what it takes', () => {
    show(<PromiseAnswer plan={plan} today="2027-04-15" choose={() => undefined} />);
    expect(screen.getByRole('heading', { name: 'Yes' })).toBeTruthy();
    expect(screen.getByText('9 times in 10')).toBeTruthy();
    expect(screen.getByText('Sat 8 May')).toBeTruthy();
    expect(screen.getByText(/898 seeds of lot M26-1, 24 L of mix, 8 labels/)).toBeTruthy();
    expect(screen.getByText('8 tray places')).toBeTruthy();
  });

  it('is a no with its reason, nothing of what it would take, and offers', () => {
    const chosen = vi.fn();
    show(
      <PromiseAnswer
        plan={{
          ...plan,
          promise: { ...plan.promise, answer: 'NO', reasons: [{ kind: 'InTheWay', obstacle: { kind: 'TooLateForSeason' } }], offers: [offer] },
        }}
        today="2027-04-15"
        choose={chosen}
      />,
    );
    expect(screen.getByRole('heading', { name: 'No' })).toBeTruthy();
    expect(screen.getByText(/It is too late to sow for Sat 12 Jun/)).toBeTruthy();
    expect(screen.queryByText('What it takes')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /on Sat 12 Jun instead/ }));
    expect(chosen).toHaveBeenCalledWith(offer);
  });

  it('is a yes if with every condition', () => {
    show(
      <PromiseAnswer
        plan={{
          ...plan,
          promise: {
            ...plan.promise,
            answer: 'YES_IF',
            conditions: [
              { kind: 'NoRoom', place: { number: 2 }, trayPlaces: 1, from: '2027-05-01', to: '2027-05-03' },
              { kind: 'InTheWay', obstacle: { kind: 'SeedToBuy', needed: 1200, left: 1, by: '2027-05-05' } },
            ],
          },
        }}
        today="2027-04-15"
        choose={() => undefined}
      />,
    );
    expect(screen.getByText('Room must be found: Lit shelf lacks 1 tray place from Sat 1 May to Mon 3 May.')).toBeTruthy();
    expect(
      screen.getByText('1,200 seeds are needed and 1 is left in the lot. Choose fewer seeds per cell, another lot, or buy seed by Wed 5 May.'),
    ).toBeTruthy();
  });
});
