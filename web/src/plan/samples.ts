import type { PlanView } from '../api/client';

const spread = (early: string, middle: string, late: string) => ({ early, middle, late, certain: early === late });

type Parts = 'promise' | 'sowing' | 'dates' | 'places';

/** What of a plan a test has otherwise. */
export type OtherPlan = Partial<Omit<PlanView, Parts>> & { [part in Parts]?: Partial<PlanView[part]> };

/** For tests: a plan for kale that is promised. */
export function samplePlan({ promise, sowing, dates, places, ...more }: OtherPlan = {}): PlanView {
  return {
    promise: { answer: 'YES', conditions: [], reasons: [], offers: [], possible: true, chance: 0.9, sources: [], ...promise },
    sowing: { plantsToAimFor: 42, options: [], chosen: { seedsPerCell: 2, cells: 50, trays: 1, seeds: 100, chance: 0.97 }, slots: 2, ...sowing },
    dates: {
      window: {
        earliest: '2027-05-01',
        earliestBecause: 'LIGHT',
        best: '2027-05-05',
        latest: '2027-05-08',
        evenOdds: '2027-05-10',
        chance: 0.95,
        open: true,
      },
      windowOpen: true,
      pottings: [],
      target: '2027-06-19',
      emerged: spread('2027-05-11', '2027-05-12', '2027-05-13'),
      stageReached: spread('2027-06-10', '2027-06-12', '2027-06-15'),
      ready: spread('2027-06-15', '2027-06-17', '2027-06-20'),
      ...dates,
    },
    obstacles: [],
    places: {
      emergence: 'Warm room',
      growingOn: 'Lit shelf',
      hardening: 'Frames',
      hardeningDays: 5,
      stays: [],
      all: [{ id: 2, name: 'Lit shelf' }],
      ...places,
    },
    path: 'STRAIGHT',
    containers: [{ code: 'pot-7', name: 'Carrier of 28 pots' }],
    outlay: { slotDays: 84.4, mostSlots: 2, seeds: 100, mix: 9.2, labels: 2, hours: 0.62, cost: 18.4 },
    crop: 'Curly kale',
    ...more,
  };
}
