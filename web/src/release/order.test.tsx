import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchSummary, Consequences, LineView, OrderView, OrderWithPicks } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { forWhom } from '../look/forWhom';
import { samplePromise } from '../board/samples';
import { ChangeOrder } from './ChangeOrder';
import { LineBoard } from './LineBoard';
import { changeWords } from './OrderHistory';
import { ReleaseForm } from './ReleaseForm';

const batch = {
  number: 214,
  variety: 'Blue Lantern',
  stage: 'READY',
  trays: [1001, 1002],
  traysToSow: 0,
  dates: { sowDay: '2027-04-01', pottings: [], target: '2027-06-10' },
  plants: 100,
  promises: [samplePromise('Field one', 114), samplePromise('Field two', 115)],
} as unknown as BatchSummary;

const line = ({ asked, ...more }: Partial<Omit<LineView, 'asked'>> & { asked?: Partial<LineView['asked']> } = {}): LineView => ({
  line: 1,
  asked: {
    varietyId: 1,
    variety: 'Blue Lantern',
    crop: 'Curly kale',
    containerCode: 'module-60',
    container: 'Module tray of 60',
    plants: 60,
    leavesFrom: 4,
    leavesTo: 6,
    target: '2027-06-10',
    under: 0.03,
    accepted: 59,
    countedIn: 'PLANTS',
    ...asked,
  },
  released: 0,
  ready: 60,
  readyMixed: 0,
  promised: 60,
  standing: 'READY',
  chance: 0.9,
  supplies: [{ plants: 60, chance: 0.9, counted: true, batch }],
  planting: ['Plant it deep.'],
  before: [],
  after: [],
  ...more,
});

const order = (lines: LineView[]): OrderView => ({
  number: 114,
  growerId: 1,
  grower: 'Field one',
  siteId: 7,
  site: 'Near',
  altitude: 480,
  target: '2027-06-10',
  placedOn: '2027-03-01',
  standing: 'READY',
  chance: 0.9,
  lines,
  releases: [],
  changes: [],
});

describe('whose plants they are', () => {
  it('is said in a few words', () => {
    expect(forWhom([])).toBe('nobody yet');
    expect(forWhom([samplePromise('Field one', 114), samplePromise('Field one', 118)])).toBe('Field one');
    expect(forWhom([samplePromise('Field one', 114), samplePromise('Field two', 115)])).toBe('Field one and Field two');
    expect(forWhom(['A', 'B', 'C'].map((grower, index) => samplePromise(grower, index)))).toBe('A and 2 more');
  });
});

describe('a line', () => {
  it('shows what grows it and with how many it is shared', () => {
    show(
      <LineBoard
        line={line({ asked: { plants: 80, accepted: 78 }, supplies: [{ plants: 60, chance: 0.9, counted: true, batch }] })}
        order={order([])}
        mayGrow
      />,
    );
    expect(screen.getByRole('link', { name: /60 from batch 214, trays T1001 to T1002, ready/ })).toBeTruthy();
    expect(screen.getByText(/shared with 1 other line/)).toBeTruthy();
    expect(screen.getByText('Nothing grows for 20 of them.')).toBeTruthy();
  });

  it('opens its chance to what it rests on, and says what is not needed', () => {
    const other = { ...batch, number: 215 };
    show(
      <LineBoard
        line={line({
          chance: 0.9,
          supplies: [
            { plants: 60, chance: 0.9, counted: true, batch },
            { plants: 12, chance: 0.4, counted: false, batch: other },
          ],
        })}
        order={order([])}
        mayGrow
      />,
    );
    expect(screen.getByText('In time 9 times in 10: how this came about')).toBeTruthy();
    expect(screen.getByRole('row', { name: /60 from batch 214/ }).textContent).toContain('90 %');
    expect(screen.getByText('Not needed for that: 12 from batch 215.')).toBeTruthy();
    expect(screen.getByRole('row', { name: /All of these whole and in time/ }).textContent).toContain('= 90 %');
  });

  it('is sown for where nothing grows for it, once', async () => {
    const calls = fakeServer({ 'POST /api/orders/114/lines/1/supplies': {} });
    show(<LineBoard line={line({ promised: 0, supplies: [], standing: 'OPEN', ready: 0, chance: 0 })} order={order([])} mayGrow />);
    fireEvent.click(screen.getByRole('button', { name: 'Sow 60 plants for this line' }));
    await waitFor(() => expect(calls.filter((call) => call.path === '/api/orders/114/lines/1/supplies')).toHaveLength(1));
  });

  it('stays readable when it is cancelled', () => {
    show(<LineBoard line={line({ cancelledOn: '2027-05-01', standing: 'CANCELLED' })} order={order([])} mayGrow />);
    expect(screen.getByText(/cancelled Sat 1 May/)).toBeTruthy();
    expect(screen.queryByText('How to plant')).toBeNull();
  });
});

describe('a release', () => {
  const picks: OrderWithPicks = {
    order: order([line(), line({ line: 2, asked: { variety: 'Stonecap', plants: 20 }, ready: 18 }), line({ line: 3, ready: 0 })]),
    picks: [
      {
        line: 1,
        picks: [{ batch: 214, tray: 'T1001', plants: 60, wholeTray: true }],
        advice: [{ kind: 'FrostAhead', night: '2027-05-14', minimumCelsius: -0.6, harmedAtCelsius: 1, fleeceEnough: true }],
        leavesNow: 4.6,
      },
      { line: 2, picks: [], advice: [{ kind: 'GoodDay' }] },
    ],
  };

  it('lets what is ready of all lines go with one note', async () => {
    const calls = fakeServer({ 'POST /api/releases': { number: 501 } });
    show(<ReleaseForm order={picks} />);
    expect(screen.getByText('all 60 from T1001, batch 214')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Plants, Stonecap'), { target: { value: '12' } });
    fireEvent.click(screen.getByRole('button', { name: 'Release 72 plants of 2 lines' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/releases')?.body).toMatchObject({
        order: 114,
        lines: [
          { line: 1, plants: 60 },
          { line: 2, plants: 12 },
        ],
      }),
    );
  });

  it('says what the site asks today, and keeps what was seen on a sample', async () => {
    const calls = fakeServer({ 'POST /api/releases': { number: 503 } });
    show(<ReleaseForm order={{ ...picks, order: order([line()]) }} />);
    expect(screen.getByText(/night of Fri 14 May may go down to −1 °C there.*Lay fleece that evening/)).toBeTruthy();
    expect(screen.getByText(/by what is known they have about 4.6/)).toBeTruthy();
    fireEvent.click(screen.getByLabelText('stood in water for 20 minutes'));
    fireEvent.click(screen.getByLabelText('clean'));
    fireEvent.click(screen.getByLabelText('clean'));
    expect((screen.getByLabelText('Plants looked at') as HTMLInputElement).value).toBe('5');
    fireEvent.click(screen.getByRole('button', { name: 'Release 60 plants' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/releases')?.body).toMatchObject({
        lines: [{ line: 1, plants: 60, sample: { plants: 5, held: ['SOAKED'] } }],
      }),
    );
  });

  it('lets mixed plants go beside the others, when somebody says so', async () => {
    const calls = fakeServer({ 'POST /api/releases': { number: 502 } });
    show(<ReleaseForm order={{ ...picks, order: order([line({ ready: 50, readyMixed: 8 })]) }} />);
    expect(screen.getByText(/8 plants are ready whose name is in doubt/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Besides, as mixed'), { target: { value: '6' } });
    fireEvent.click(screen.getByRole('button', { name: 'Release 56 plants' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/releases')?.body).toMatchObject({ lines: [{ line: 1, plants: 50, mixed: 6 }] }),
    );
  });

  it('leaves out a line whose field is empty, and waits for whole numbers', () => {
    show(<ReleaseForm order={picks} />);
    fireEvent.change(screen.getByLabelText('Plants, Stonecap'), { target: { value: '' } });
    expect(screen.getByRole('button', { name: 'Release 60 plants' })).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Plants, Stonecap'), { target: { value: 'some' } });
    expect((screen.getByRole('button', { name: 'Release plants' }) as HTMLButtonElement).disabled).toBe(true);
  });
});

describe('a change of an order', () => {
  const consequences: Consequences = {
    lines: [
      {
        line: 1,
        variety: 'Blue Lantern',
        plantsBefore: 60,
        plantsAfter: 90,
        targetBefore: '2027-06-10',
        targetAfter: '2027-06-10',
        chanceBefore: 0.9,
        chanceAfter: 0.8,
        growing: { plants: 30, withBatch: 214, answer: 'YES', chance: 0.8, sowDay: '2027-04-20' },
      },
    ],
    batches: [
      {
        batch: 214,
        stage: 'PLANNED',
        promisedBefore: 60,
        promisedAfter: 65,
        freeBefore: 5,
        freeAfter: 0,
        sowDayBefore: '2027-04-18',
        sowDayAfter: '2027-04-20',
        canBeWithdrawn: false,
      },
    ],
  };

  it('shows what follows before it is made', async () => {
    const calls = fakeServer({ 'POST /api/orders/114/consequences': consequences, 'POST /api/orders/114/changes': {} });
    show(<ChangeOrder order={order([line({ ready: 0 })])} />);
    fireEvent.change(screen.getByLabelText('Plants wanted now'), { target: { value: '90' } });
    fireEvent.click(screen.getByRole('button', { name: 'What follows from it?' }));
    expect(await screen.findByText(/30 plants more would be sown with batch 214 on Tue 20 Apr: 8 times in 10/)).toBeTruthy();
    expect(screen.getByText(/Batch 214: 65 promised, 60 before; 0 free, 5 before. Sown on Tue 20 Apr instead of Sun 18 Apr/)).toBeTruthy();
    expect(calls.some((call) => call.path === '/api/orders/114/changes')).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Change it to 90 plants' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/orders/114/changes')?.body).toMatchObject({ edit: { line: 1, kind: 'PLANTS', plants: 90 } }),
    );
  });

  it('is not made from what was shown for another one, nor where it cannot be grown', async () => {
    fakeServer({
      'POST /api/orders/114/consequences': {
        ...consequences,
        lines: [{ ...consequences.lines[0]!, growing: { plants: 30, answer: 'NO', chance: 0 } }],
      },
    });
    show(<ChangeOrder order={order([line({ ready: 0 })])} />);
    fireEvent.change(screen.getByLabelText('Plants wanted now'), { target: { value: '900' } });
    fireEvent.click(screen.getByRole('button', { name: 'What follows from it?' }));
    expect(await screen.findByText('30 plants more cannot be grown for that day.')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Change it to 900 plants' }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Plants wanted now'), { target: { value: '70' } });
    expect(screen.queryByRole('button', { name: /Change it to/ })).toBeNull();
  });

  it.each([
    ['LINE_ADDED', undefined, '12', 'Blue Lantern: 12 plants added.'],
    ['PLANTS_CHANGED', '60', '90', 'Blue Lantern: 90 plants instead of 60.'],
    ['DAY_MOVED', '2027-06-10', '2027-06-17', 'Blue Lantern: wanted on Thu 17 Jun instead of Thu 10 Jun.'],
    ['LINE_CANCELLED', '60', undefined, 'Blue Lantern: 60 plants cancelled.'],
  ] as const)('%s can be read afterwards', (kind, before, after, words) => {
    expect(
      changeWords({ position: 1, day: '2027-05-01', by: 'Maro', kind, ...(before ? { before } : {}), ...(after ? { after } : {}) }, order([line()])),
    ).toBe(words);
  });
});
