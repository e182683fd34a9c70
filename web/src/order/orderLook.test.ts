import { describe, expect, it } from 'vitest';
import { holds } from '../look/useAddressed';
import { timeScale } from '../look/timeScale';
import type { LineView, OrderView } from '../api/client';
import { arranged, whyTight, wordsOf } from './orderLook';

type Ready = { early: string; middle: string; late: string };

const line = (more: Partial<LineView> = {}, ready?: Ready, plants = 100): LineView =>
  ({
    line: 1,
    asked: { variety: 'Grey Anvil', crop: 'Curly kale', plants, accepted: 97, target: '2027-05-12' },
    released: 0,
    ready: 0,
    readyMixed: 0,
    promised: 100,
    standing: 'GROWING',
    chance: 0.8,
    supplies: ready ? [{ plants, chance: 0.8, batch: { dates: { sowDay: '2027-04-01', ready, target: '2027-05-12' } } }] : [],
    planting: [],
    ...more,
  }) as unknown as LineView;
const order = (number: number, lines: LineView[], more: Partial<OrderView> = {}): OrderView =>
  ({ number, grower: 'Fennick', site: 'Löwenfeld', target: '2027-05-12', standing: 'GROWING', chance: 0.8, lines, ...more }) as OrderView;

describe('why an order is tight', () => {
  it.each<[string, LineView, string | undefined]>([
    ['nothing grows', line(), 'nothing grows for Grey Anvil'],
    ['short', line({ promised: 60 }, { early: '2027-05-01', middle: '2027-05-04', late: '2027-05-08' }), '37 Grey Anvil short'],
    ['late', line({}, { early: '2027-05-10', middle: '2027-05-15', late: '2027-05-20' }), 'Grey Anvil most likely 3 days late'],
    ['perhaps late', line({}, { early: '2027-05-05', middle: '2027-05-10', late: '2027-05-13' }), 'Grey Anvil perhaps 1 day late'],
    ['neither', line({}, { early: '2027-05-01', middle: '2027-05-04', late: '2027-05-08' }), undefined],
    ['too few', line({ chance: 0.3 }, { early: '2027-05-01', middle: '2027-05-04', late: '2027-05-08' }), 'likely too few Grey Anvil'],
    ['no such stage', line({ chance: 0.1, promised: 100, released: 1 }), 'Grey Anvil may not come to its stage'],
  ])('%s', (_, made, why) => {
    expect(whyTight(order(101, [made]))).toBe(why);
  });

  it('says nothing of what is over', () => {
    expect(whyTight(order(101, [line()], { standing: 'RELEASED' }))).toBeUndefined();
  });
});

describe('orders arranged', () => {
  const orders = [
    order(103, [], { chance: 0.2, target: '2027-05-20' }),
    order(101, [], { chance: 0.9, grower: 'Alder' }),
    order(102, [], { standing: 'RELEASED', chance: 0 }),
  ];
  const numbers = (sort: string, group = '') => arranged(orders, sort, group).map(([name, here]) => [name, here.map((each) => each.number)]);

  it('by the day wanted, the tightest first, by number', () => {
    expect(numbers('target')).toEqual([['', [101, 102, 103]]]);
    expect(numbers('tight')).toEqual([['', [103, 101, 102]]]);
    expect(numbers('moon', 'dust')).toEqual(numbers('target'));
  });

  it('grower by grower, week by week', () => {
    expect(numbers('number', 'grower')).toEqual([
      ['Alder', [101]],
      ['Fennick', [102, 103]],
    ]);
    expect(numbers('number', 'week').map(([week]) => week)).toEqual(['2027-05-10', '2027-05-17']);
  });
});

describe('what is looked for', () => {
  it('is found whatever its accents and the order of its words', () => {
    expect(holds(wordsOf(order(101, [line()])), 'kale lowen 101')).toBe(true);
    expect(holds(wordsOf(order(101, [line()])), 'kale moon')).toBe(false);
  });
});

describe('a scale of days', () => {
  it('is a month at least and never leaves its drawing', () => {
    const scale = timeScale('2027-05-03', '2027-05-04');
    expect(scale.days).toBe(30);
    expect(scale.at('2027-05-18')).toBe(50);
    expect([scale.at('2026-01-01'), scale.at('2030-01-01')]).toEqual([0, 100]);
    expect(scale.weeks).toEqual(['2027-05-03', '2027-05-10', '2027-05-17', '2027-05-24', '2027-05-31']);
  });
});
