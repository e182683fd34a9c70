import type { RoomRisk } from '../api/client';
import { shortDay } from '../words/days';
import { say } from '../words/say';

/** "in 3 of 10 years". */
const inYears = (share: number) =>
  share > 0.95 ? say('in nearly every year') : say('in {years} of 10 years', { years: Math.min(9, Math.max(1, Math.round(share * 10))) });

/** In how many years a place lacks room, by how much and when. */
export function riskWords(risk: RoomRisk): string {
  const half = Math.ceil(risk.overInHalf);
  const most = Math.ceil(risk.overInNineOfTen);
  return say('{years} lacks {over}, {from}{more}', {
    years: inYears(risk.share),
    over: most > half ? `${half} – ${most}` : half,
    from: shortDay(risk.from),
    more: risk.to !== risk.from ? ` – ${shortDay(risk.to)}` : '',
  });
}
