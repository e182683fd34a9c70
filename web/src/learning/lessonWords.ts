import type { LessonsView } from '../api/client';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type Proposal = LessonsView['proposals'][number];
export type Lesson = Pick<Proposal, 'matter' | 'cropName' | 'beside' | 'name' | 'value'>;

/** A lesson as it is said; below one it went faster. */
export function lessonWords({ matter, cropName: crop, beside, name, value }: Lesson): string {
  const times = figures(value, 2);
  if (matter === 'SURVIVAL') return say('{crop}: of 100 plants that come up, {lived} reach their release.', { crop, lived: figures(100 * value) });
  if (matter === 'DRYING') return say('Trays of {crop} dry {times} times as fast as weather and leaves say.', { crop: crop.toLowerCase(), times });
  const coming = matter === 'EMERGENCE';
  switch (beside) {
    case 'CROP':
      return coming
        ? say('{crop} takes {times} times as long to come up as the library says.', { crop, times })
        : say('A leaf of {crop} takes {times} times as long as the library says.', { crop, times });
    case 'PLACE':
      return coming
        ? say('{crop} takes {times} times as long to come up in {place} as the library says.', { crop, times, place: name })
        : say('A leaf of {crop} takes {times} times as long in {place} as the library says.', { crop, times, place: name });
    case 'VARIETY':
      return coming
        ? say('{variety} takes {times} times as long to come up as other {crop}.', { variety: name, times, crop })
        : say('A leaf of {variety} takes {times} times as long as one of other {crop}.', { variety: name, times, crop });
    case 'LOT':
      return coming
        ? say('Lot {lot} of {crop} takes {times} times as long to come up as others.', { lot: name, times, crop })
        : say('A leaf of lot {lot} of {crop} takes {times} times as long as of others.', { lot: name, times, crop });
  }
}

/** What plans go by, or went by: the figures of the library where nothing else was in use. */
export function inUseWords(matter: Lesson['matter'], value: number): string {
  if (matter === 'SURVIVAL') return say('{lived} of 100', { lived: figures(100 * value) });
  return Math.abs(value - 1) < 0.005
    ? matter === 'DRYING'
      ? say('weather and leaves')
      : say('the library’s figures')
    : say('{times} times', { times: figures(value, 2) });
}
