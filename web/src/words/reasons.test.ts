import { describe, expect, it } from 'vitest';
import type { WhyNow } from '../api/client';
import { MESSAGES, nameWords, partsOf, reason, whyWords } from './reasons';

const TODAY = '2027-04-15';

describe('a reason in words', () => {
  it.each<[WhyNow, string]>([
    [{ kind: 'ToBeSown', planned: TODAY, lastUseful: '2027-04-18' }, 'To be sown today. Last safe day: Sun 18 Apr.'],
    [
      { kind: 'ToBeSown', planned: '2027-04-13', lastUseful: '2027-04-14' },
      'Was to be sown on Tue 13 Apr. The last safe day, Wed 14 Apr, has passed.',
    ],
    [{ kind: 'ToBeSown', planned: TODAY }, 'To be sown today.'],
    [{ kind: 'NightWasCold', minimumCelsius: -8.2 }, 'The night fell to −8 °C where it stands. Look for losses and note them.'],
    [
      { kind: 'Short', alive: 2, moreMayCome: true, needed: 8, resowBy: '2027-04-18' },
      'Short: 2 alive so far, 8 needed. Resow by Sun 18 Apr, or tell the grower.',
    ],
    [
      { kind: 'Short', alive: 2, moreMayCome: false, needed: 8 },
      'Short: 2 alive, 8 needed. A resowing would be late: offer fewer plants or a later day.',
    ],
    [{ kind: 'DueToBeCounted', expected: 1 }, 'A first cell should be up; none counted yet.'],
    [{ kind: 'DueToBeCounted', expected: 4, lastCounted: '2027-04-13' }, 'About 4 cells should be up; counted last on Tue 13 Apr.'],
    [
      { kind: 'ReadyForPotting', plants: 9, container: 'Carrier of 28 pots', by: '2027-04-18' },
      'Has the leaves for it: 9 plants into the carrier of 28 pots by Sun 18 Apr, before their roots circle. Look at the roots of a few first.',
    ],
    [
      { kind: 'HardeningGoesOn', day: 2, ofDays: 9, hours: 2, inSun: false, inWind: false, byDay: 'OUT', tooColdAtNight: false, atNight: 'IN' },
      'Day 2 of 9. Out for 2 hours, in the shade, out of the wind.',
    ],
    [{ kind: 'NotReadyInTime', target: '2027-04-18' }, 'Not likely ready this season; wanted on Sun 18 Apr. Bring it on warmer or tell the grower.'],
  ])('%o', (why, words) => {
    expect(whyWords(why, TODAY)).toBe(words);
  });

  it('has figures with their units and spreads of days', () => {
    const spread = { early: '2027-05-10', middle: '2027-05-14', late: '2027-05-20', certain: false };
    expect(reason('obstacle.ColdSoil', partsOf({ waitCelsius: 18, warm: spread }, { today: TODAY, crop: 'Squash' }))).toBe(
      'Squash waits for soil of 18 °C. At this site that is most likely on Fri 14 May (Mon 10 May to Thu 20 May).',
    );
    expect(reason('obstacle.CellTooShallow', partsOf({ seedMillimetres: 25, cellMillimetres: 40 }, { today: TODAY }))).toBe(
      'The seed lies 25 mm deep in a cell of 40 mm. A deeper cell gives its roots room.',
    );
    expect(reason('proviso.TooUnlikely', partsOf({ chance: 0.336 }, { today: TODAY }))).toBe('Whole and in time it would be only 34 times in 100.');
  });

  it('names what has a code', () => {
    expect(nameWords('DAMPING_OFF')).toBe('Damping off');
  });

  it('can be made of every message, with nothing but its parts', () => {
    for (const key of Object.keys(MESSAGES) as (keyof typeof MESSAGES)[]) {
      expect(reason(key, {}).length, key).toBeGreaterThan(2);
    }
  });
});
