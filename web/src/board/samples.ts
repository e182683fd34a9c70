import type { BoardBatch, BoardView, Choices, PromiseView } from '../api/client';

const spread = (early: string, middle: string, late: string) => ({ early, middle, late, certain: early === late });

/** For tests: plants promised to a grower. */
export const samplePromise = (grower: string, order: number): PromiseView => ({
  order,
  line: 1,
  grower,
  outstanding: 120,
  plants: 120,
  target: '2027-06-10',
  chance: 0.9,
});

/** What of a batch on the board a test has otherwise. */
type Otherwise = Partial<Omit<BoardBatch, 'dates' | 'plan'>> & { dates?: Partial<BoardBatch['dates']>; plan?: Partial<BoardBatch['plan']> };

/** For tests: a planned batch of kale. */
export function sampleBatch({ dates, plan, ...more }: Otherwise = {}): BoardBatch {
  return {
    number: 214,
    variety: 'Blue Lantern',
    crop: 'Curly kale',
    promises: [samplePromise('Field one', 114)],
    plants: 120,
    container: 'Module tray of 60',
    stage: 'PLANNED',
    boughtIn: false,
    sown: false,
    chance: 0.9,
    dates: {
      sowDay: '2027-05-03',
      target: '2027-06-10',
      pottings: [],
      overWinter: false,
      emerged: spread('2027-05-07', '2027-05-08', '2027-05-09'),
      stageReached: spread('2027-05-28', '2027-06-01', '2027-06-05'),
      ready: spread('2027-06-02', '2027-06-06', '2027-06-10'),
      pastLimit: spread('2027-06-14', '2027-06-18', '2027-06-24'),
      ...dates,
    },
    plan: {
      version: 0,
      pinned: false,
      pottedLate: false,
      emergencePlaceId: 1,
      growingPlaceId: 2,
      hardeningPlaceId: 3,
      window: {
        earliest: '2027-04-30',
        earliestBecause: 'LEAVES',
        best: '2027-05-03',
        latest: '2027-05-06',
        evenOdds: '2027-05-09',
        chance: 0.9,
        open: true,
      },
      ...plan,
    },
    stays: [{ placeId: 1, from: '2027-05-03', to: '2027-05-09', slots: 3 }],
    ...more,
  };
}

/** For tests: a season of three batches at three places. */
export function sampleSeason(more: Partial<BoardView> = {}): BoardView {
  return {
    today: '2027-04-15',
    batches: [
      sampleBatch(),
      sampleBatch({
        number: 215,
        variety: 'Stonecap',
        crop: 'Cabbage',
        promises: [samplePromise('Field two', 115)],
        stage: 'GROWING_ON',
        sown: true,
        dates: { sowDay: '2027-03-20' },
        chance: 0.3,
      }),
      sampleBatch({ number: 216, variety: 'Copper Bell', crop: 'Tomato', stays: [{ placeId: 2, from: '2027-05-03', to: '2027-05-09', slots: 3 }] }),
    ],
    places: [
      { id: 1, name: 'Heat mat', slots: 8, forEmergence: true, forGrowingOn: false, forHardeningOff: false },
      { id: 2, name: 'North house', slots: 40, forEmergence: false, forGrowingOn: true, forHardeningOff: false },
      { id: 4, name: 'Cool house', slots: 40, forEmergence: false, forGrowingOn: true, forHardeningOff: false },
      { id: 3, name: 'Frames', slots: 40, forEmergence: false, forGrowingOn: false, forHardeningOff: true },
    ],
    overflows: [{ placeId: 1, place: 'Heat mat', from: '2027-05-03', to: '2027-05-05', over: 2.5, batches: [214, 216] }],
    drafts: [],
    ...more,
  };
}

/** For tests: what forms offer. */
export const sampleChoices: Choices = {
  growers: [{ id: 1, name: 'Field one' }],
  sites: [{ id: 7, growerId: 1, name: 'Near', altitude: 400, protection: 'OPEN_GROUND' }],
  crops: [{ code: 'curly-kale', name: 'Curly kale' }],
  varieties: [{ id: 1, name: 'Blue Lantern', crop: 'Curly kale', hardy: true }],
  containers: [
    { code: 'module-60', name: 'Module tray of 60', cells: 60, kind: 'CELLS', cellVolume: 50 },
    { code: 'pot-7', name: 'Carrier of 28 pots', cells: 28, kind: 'POTS', cellVolume: 180 },
    { code: 'open-tray', name: 'Open seed tray', cells: 240, kind: 'OPEN', cellVolume: 15 },
  ],
  lots: [],
  places: [{ id: 1, name: 'Heat mat', forEmergence: true, forGrowingOn: false, forHardeningOff: false }],
  programmes: [],
  lossReasons: [],
  nameDoubts: [],
};
