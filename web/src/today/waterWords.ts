import { dayWords, timeWords } from '../words/days';
import { trayWords } from '../words/phrases';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import type { WaterView } from '../api/client';

export type TrayWater = WaterView['stops'][number]['trays'][number];

const day = (moment: string) => moment.slice(0, 10);
const time = (moment: string) => moment.slice(11, 16);

const percent = (share: number) => figures(Math.round(share * 100));

/** What most likely is in a tray, and when it comes to its crop's mark. */
export function shareWords(tray: TrayWater): string {
  if (tray.lastSeen == null) return say('how wet it is nobody has noted');
  return say('{share} % of its water ({low} to {high})', { share: percent(tray.share), low: percent(tray.low), high: percent(tray.high) });
}

/** "wants water from today 15:40 on" */
export function markWords(tray: TrayWater, now: string): string {
  if (tray.untilUp) return UNTIL_UP[tray.untilUp];
  const words = { mark: percent(tray.mark) };
  if (tray.atMark == null) return say('not at its mark of {mark} % within days', words);
  if (tray.atMark <= now) return say('at its mark of {mark} %', words);
  const when = { ...words, day: dayWords(day(tray.atMark)), time: timeWords(time(tray.atMark)) };
  return day(tray.atMark) === day(now)
    ? say('at its mark of {mark} % today about {time}', when)
    : say('at its mark of {mark} % {day} about {time}', when);
}

/** "again today about 14:30, it will not last until tomorrow" */
export function againWords(again: string): string {
  return say('again today about {time}: it may not last until tomorrow', { time: timeWords(time(again)) });
}

/** Of more trays than these only the number is said; which they are is seen on the page of water. */
const NAMED = 6;

export const named = (trays: number[]): string => (trays.length > NAMED ? say('{trays} trays', { trays: trays.length }) : trayWords(trays));

/** Trays that somebody comes to once more, and from when on. */
export function againOf(trays: number[], from: string): string {
  return say('Once more today, from about {time} on: {trays} may not last until tomorrow.', { time: timeWords(time(from)), trays: named(trays) });
}

const UNTIL_UP: Record<NonNullable<TrayWater['untilUp']>, string> = {
  LEFT_UNTIL_UP: say('nothing up yet: soaked and covered, not again until it shows; look at the surface each day'),
  SPRAYED_DAILY: say('nothing up yet: lies open, a fine spray each day'),
  STOOD_IN_WATER: say('nothing up yet: on heat, water stands in the tray beneath'),
};

/** How the water is given: "from below, 20 minutes in 2 to 3 cm". */
export function howWords(tray: TrayWater): string {
  if (tray.how === 'SPRAY') return say('a fine spray');
  return tray.how === 'BELOW'
    ? say('from below, about {minutes} minutes', { minutes: tray.minutes })
    : say('gently from above until it runs through');
}

export const HEFTS = [
  { word: 'LIGHT', words: say('light') },
  { word: 'SOME', words: say('some heft') },
  { word: 'HEAVY', words: say('heavy') },
] as const;

export const SURFACES = [
  { word: 'PALE', words: say('surface dry') },
  { word: 'DARK', words: say('surface dark') },
] as const;
