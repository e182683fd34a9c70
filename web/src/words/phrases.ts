import type { Verdict } from '../api/client';
import { say } from './say';
import { locale, speech } from './speech';

/** A chance as growers say it; never "certain", never "impossible". */
export function chanceWords(chance: number): string {
  if (chance >= 0.975) return say('as good as sure');
  if (chance <= 0.025) return say('hardly any chance');
  const inTwenty = Math.min(19, Math.max(1, Math.round(chance * 20)));
  if (inTwenty === 1) return say('1 time in 20');
  if (inTwenty % 2 === 0) return say('{times} times in 10', { times: inTwenty / 2 });
  return say('{times} times in 20', { times: inTwenty });
}

/** Minutes of one pair of hands, about: "4 min", "2 h 15 min". */
export function minutesWords(minutes: number): string {
  const whole = minutes < 10 ? Math.max(1, Math.round(minutes)) : Math.round(minutes / 5) * 5;
  if (whole < 60) return say('{whole} min', { whole });
  return whole % 60 === 0
    ? say('{hours} h', { hours: whole / 60 })
    : say('{hours} h {whole} min', { hours: Math.floor(whole / 60), whole: whole % 60 });
}

export const VERDICT_WORDS: Record<Verdict, string> = {
  TOO_SOON_TO_TELL: say('Too soon to tell'),
  EARLY: say('Early'),
  ON_COURSE: say('On course'),
  LATE: say('Late'),
  FAILING: say('Failing'),
};

/** Trays by their numbers, those that follow one another as a run: trays T1030 to T1033, T1302. */
export function trayWords(numbers: number[]): string {
  const runs: [number, number][] = [];
  for (const number of [...numbers].sort((one, other) => one - other)) {
    const last = runs.at(-1);
    if (last?.[1] === number - 1) last[1] = number;
    else runs.push([number, number]);
  }
  const names = runs.map(([first, last]) => (first === last ? `T${first}` : say('T{first} to T{last}', { first, last })));
  return say('{count, plural, one {tray} other {trays}} {names}', { count: numbers.length, names: names.join(', ') });
}

/** "Alder Field, Low Farm and Fennick" */
export function listWords(names: string[]): string {
  const list = new Intl.ListFormat(locale(), { type: 'conjunction' }).format(names);
  return speech.language === 'STRETCHED' ? `⟦${list}⟧` : list;
}

/** What plants stand under, or will. */
export function coverWords(protection: 'OPEN_GROUND' | 'LOW_COVER' | 'UNHEATED_TUNNEL'): string {
  return say('{protection, select, LOW_COVER {under a low cover} UNHEATED_TUNNEL {under an unheated tunnel} other {in the open}}', { protection });
}
