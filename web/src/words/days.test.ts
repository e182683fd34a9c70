import { describe, expect, it } from 'vitest';
import { wishIn } from '../order/typedLine';
import { addDays, beginsWeek, dayOfYear, dayWords, daysBetween, longDay, spreadWords, standOn, weekOf } from './days';
import { chanceWords, trayWords } from './phrases';
import { METRIC, speech } from './speech';

describe('dates', () => {
  it('carry their weekday', () => {
    expect(dayWords('2027-04-29')).toBe('Thu 29 Apr');
    expect(longDay('2027-04-29')).toBe('Thursday 29 April 2027');
    expect(dayOfYear('2027-04-29')).toBe('29 Apr 2027');
  });

  it('carry their year where another day of that name lies nearer', () => {
    standOn('2027-04-15');
    expect(dayWords('2027-10-29')).toBe('Fri 29 Oct');
    expect(dayWords('2028-04-12')).toBe('Wed 12 Apr 2028');
    expect(dayWords('2026-04-16')).toBe('Thu 16 Apr 2026');
  });

  it('begin their week where the reader does', () => {
    expect(weekOf('2027-04-29')).toBe('2027-04-26');
    expect(weekOf('2027-05-02')).toBe('2027-04-26');
    expect(beginsWeek('2027-05-03')).toBe(true);
    Object.assign(speech, METRIC, { language: 'AMERICAN' });
    expect(weekOf('2027-04-29')).toBe('2027-04-25');
    expect(weekOf('2027-05-02')).toBe('2027-05-02');
    expect(beginsWeek('2027-05-03')).toBe(false);
    Object.assign(speech, METRIC);
  });

  it('are counted over the change of clocks and of years', () => {
    expect(daysBetween('2027-03-27', '2027-03-29')).toBe(2);
    expect(addDays('2027-12-31', 1)).toBe('2028-01-01');
  });
});

describe('a spread', () => {
  it('is a range with its likeliest day', () => {
    expect(spreadWords({ early: '2027-04-27', middle: '2027-04-30', late: '2027-05-03', certain: false })).toBe('27 Apr – 3 May, most likely 30 Apr');
  });

  it('is one day when it is certain, and says when there is none', () => {
    expect(spreadWords({ early: '2027-04-30', middle: '2027-04-30', late: '2027-04-30', certain: true })).toBe('Fri 30 Apr');
    expect(spreadWords(undefined)).toBe('not this season');
  });
});

describe('a chance', () => {
  it.each([
    [1, 'as good as sure'],
    [0.95, '19 times in 20'],
    [0.8, '8 times in 10'],
    [0.5, '5 times in 10'],
    [0.04, '1 times in 20'],
    [0.01, 'hardly any chance'],
  ])('of %s is "%s"', (chance, words) => {
    expect(chanceWords(chance)).toBe(words.replace('1 times', '1 time'));
  });
});

describe('trays', () => {
  it('are told as the runs they make', () => {
    expect(trayWords([1030])).toBe('tray T1030');
    expect(trayWords([1302, 1030, 1031, 1032])).toBe('trays T1030 to T1032, T1302');
  });
});

describe('a typed order', () => {
  const typed = {
    varietyId: '3',
    plants: '120',
    leavesFrom: '4',
    leavesTo: '6',
    container: 'module-60',
    target: '2027-06-10',
    seedsPerCell: '',
    containerPath: 'STRAIGHT' as const,
    under: '3',
    countedIn: 'PLANTS' as const,
    overWinter: false,
  };

  it('is a wish once it is whole, grower or not', () => {
    expect(wishIn(typed, '')).toEqual({
      varietyId: 3,
      plants: 120,
      leavesFrom: 4,
      leavesTo: 6,
      container: 'module-60',
      target: '2027-06-10',
      under: 0.03,
    });
    expect(wishIn({ ...typed, seedsPerCell: '2' }, '')?.seedsPerCell).toBe(2);
    expect(wishIn({ ...typed, overWinter: true }, '')?.overWinter).toBe(true);
  });

  it.each(['', ' ', 'many', '1.5'])('is not one with %s plants', (plants) => {
    expect(wishIn({ ...typed, plants }, '')).toBeUndefined();
  });
});
