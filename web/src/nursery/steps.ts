import type { Founding } from '../api/client';
import { degreesWords } from '../weather/Position';
import { altitude } from '../words/quantity';
import { say } from '../words/say';

/** A step of founding a nursery, in the order in which one needs the other. */
export interface Step {
  at: string;
  name: string;
  /** What there is of it. */
  there: (founding: Founding) => string;
  done: (founding: Founding) => boolean;
}

const WEATHER: Record<Founding['weather'], string> = {
  GUESSED: say('guessed from latitude and height'),
  TOLD: say('estimated from what you know of it'),
  MEASURED: say('measured by a station'),
};

export const STEPS: Step[] = [
  {
    at: 'where',
    name: say('Where it lies'),
    there: (founding) =>
      say('{latitude}, {altitude}, days of {timeZone}', {
        latitude: degreesWords(founding.latitude),
        altitude: altitude(founding.altitude),
        timeZone: founding.timeZone,
      }),
    done: () => true,
  },
  { at: 'climate', name: say('Its climate'), there: (founding) => WEATHER[founding.weather], done: (founding) => founding.weather !== 'GUESSED' },
  {
    at: 'places',
    name: say('Places for trays'),
    there: (founding) =>
      say('{places, plural, =0 {none yet} one {# place} other {# places}}{slots, plural, =0 {} one { for # tray} other { for # trays}}', {
        places: founding.places,
        slots: founding.slots,
      }),
    done: (founding) => founding.places > 0 && !founding.next?.startsWith('PLACE'),
  },
  {
    at: 'crops',
    name: say('What one grows'),
    there: (founding) => say('{crops, plural, one {# crop} other {# crops}}', { crops: founding.crops }),
    done: () => true,
  },
  {
    at: 'packets',
    name: say('Seed packets'),
    there: (founding) =>
      say(
        '{lots, plural, =0 {none yet} one {# lot of {varieties, plural, one {# variety} other {# varieties}}} other {# lots of {varieties, plural, one {# variety} other {# varieties}}}}',
        { lots: founding.lots, varieties: founding.varieties },
      ),
    done: (founding) => founding.lots > 0,
  },
  {
    at: 'sites',
    name: say('Growers and sites'),
    there: (founding) =>
      say(
        '{sites, plural, =0 {none yet} one {# site of {growers, plural, one {# grower} other {# growers}}} other {# sites of {growers, plural, one {# grower} other {# growers}}}}',
        { sites: founding.sites, growers: founding.growers },
      ),
    done: (founding) => founding.sites > 0,
  },
  { at: 'people', name: say('People'), there: () => say('you, and whom you add'), done: () => true },
];
