import type { PracticeTrial } from '../api/client';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { signOf, toldWords, type WayShare } from './trialWords';

type Respect = 'emerged' | 'grown' | 'graded' | 'reported';

const Z = 1.96;

/** The shares that did well, way by way, with where each truly lies nineteen times in twenty; and what that comes to. */
export function TrialChart({ trial, respect, title }: { trial: PracticeTrial; respect: Respect; title: string }) {
  const ways = trial.ways.flatMap((way) => {
    const share = way[respect];
    return share && share.of > 0 ? [{ way, share }] : [];
  });
  if (ways.length === 0) return null;
  const waiting = respect === 'emerged' ? trial.ways.reduce((sum, way) => sum + way.waiting, 0) : 0;
  return (
    <figure className="min-w-0">
      <figcaption className="mb-1 text-sm font-semibold">{title}</figcaption>
      <ul>
        {ways.map(({ way, share }) => (
          <li key={way.position} className="border-t border-rule py-1.5">
            <span className="flex flex-wrap justify-between gap-x-3">
              <span>
                <strong>{signOf(way.position)}</strong> {way.name}
              </span>
              <span className="tabular-nums">
                {say('{well} of {of}, {percent} %', {
                  well: figures(share.well),
                  of: figures(share.of),
                  percent: Math.round((100 * share.well) / share.of),
                })}
              </span>
            </span>
            <Bar share={share} />
            <span className="text-sm">{toldWords(share)}</span>
          </li>
        ))}
      </ul>
      {waiting > 0 && <p className="text-sm text-pencil">{say('In {waiting} cells something may yet come up.', { waiting: figures(waiting) })}</p>}
    </figure>
  );
}

function Bar({ share }: { share: WayShare }) {
  const { low, high } = wilson(share);
  const at = (part: number) => `${part * 100}%`;
  return (
    <svg className="my-1 h-5 w-full" aria-hidden>
      <rect x="0" y="4" width="100%" height="12" className="fill-none stroke-rule" />
      <rect x="0" y="4" width={at(share.well / share.of)} height="12" className="fill-dusk/60" />
      <line x1={at(low)} x2={at(high)} y1="10" y2="10" className="stroke-ink" strokeWidth="2" />
      <line x1={at(low)} x2={at(low)} y1="5" y2="15" className="stroke-ink" strokeWidth="2" />
      <line x1={at(high)} x2={at(high)} y1="5" y2="15" className="stroke-ink" strokeWidth="2" />
    </svg>
  );
}

/** Wilson's interval of one share; only drawn, what is told comes from the server. */
function wilson({ well, of }: WayShare): { low: number; high: number } {
  const middle = well / of + (Z * Z) / (2 * of);
  const half = Z * Math.sqrt(((well / of) * (1 - well / of)) / of + (Z * Z) / (4 * of * of));
  const scale = 1 + (Z * Z) / of;
  return { low: (middle - half) / scale, high: (middle + half) / scale };
}
