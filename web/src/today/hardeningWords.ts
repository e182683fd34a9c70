import type { HardeningDaysView } from '../api/client';
import { say } from '../words/say';

type Day = HardeningDaysView['batches'][number]['days'][number];

const CAUSES: Record<Day['because'][number], string> = {
  STORM: say('a storm'),
  HAIL: say('hail'),
  COLD_DAY: say('too cold by day'),
  HEAT: say('heat'),
  AFTERNOON_SUN: say('fierce sun after noon'),
  WIND: say('gusts they are not used to'),
  DOWNPOUR: say('a downpour'),
  COLD_NIGHT: say('a night too cold'),
};

export const causeWords = (cause: Day['because'][number]): string => CAUSES[cause];

const NIGHTS: Record<Day['atNight'], string> = {
  IN: say('in for the night'),
  FLEECE: say('fleece at night'),
  FROST_BLANKET: say('frost blanket at night'),
  OUT: say('out at night'),
};

/** "out for 3 hours in the shade, in for the night" */
export function dayOutWords(day: Day): string {
  if (day.byDay === 'IN') return say('in all day; had later');
  const where = day.byDay === 'SHELTERED' ? say(' in the lee, under a roof') : day.inSun ? '' : say(' in the shade');
  return day.byDay === 'UNTIL_ONE'
    ? say('out until one o’clock, {night}', { night: NIGHTS[day.atNight] })
    : say('out {hours, plural, =24 {all day} one {for # hour} other {for # hours}}{where}, {night}', {
        hours: day.hoursOut,
        where,
        night: NIGHTS[day.atNight],
      });
}
