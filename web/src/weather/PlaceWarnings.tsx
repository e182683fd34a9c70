import { Link } from 'react-router';
import type { PlaceWarning } from '../api/client';
import { shortDay, timeWords } from '../words/days';
import { degrees } from '../words/quantity';
import { say } from '../words/say';

const WORDS: Record<PlaceWarning['kind'], (about: { celsius: string; limit: string; since: string; until: string }) => string> = {
  SILENT: (about) => say('Nothing was heard of the probe since {since}. Look at its battery; until then go by a thermometer.', about),
  HEAT_OFF: (about) =>
    say('{celsius}, and heated to {limit} at least: cold since {since}. Is the heat on? Each cold hour is lost to what comes up here.', about),
  TOO_COLD: (about) =>
    about.until
      ? say(
          'Down to {celsius} at {since}, and what stands here bears {limit}. Look for losses; below that again from about {until}, so move or cover before:',
          about,
        )
      : say(
          'Down to {celsius} at {since}, and what stands here bears {limit}. Look for losses; the coming night is expected to stay above that:',
          about,
        ),
  TOO_HOT: (about) =>
    about.until
      ? say('Up to {celsius} at {since}, and from {limit} on this stops growing and scorches. Vent, shade or move, until about {until}:', about)
      : say(
          'Up to {celsius} at {since}, and from {limit} on this stops growing and scorches. Today is expected to stay below that; look for scorch:',
          about,
        ),
};

/** What thermometers showed and somebody should see to, for which batches. */
export function PlaceWarnings({ warnings }: { warnings: PlaceWarning[] }) {
  if (warnings.length === 0) return null;
  return (
    <ul className="my-1">
      {warnings.map((warning) => (
        <li key={warning.kind} className="border-l-4 border-brick bg-brick-wash px-3 py-1.5 text-sm">
          {WORDS[warning.kind]({
            celsius: degrees(warning.celsius),
            limit: degrees(warning.limit),
            since: momentWords(warning.since),
            until: warning.until ? momentWords(warning.until) : '',
          })}{' '}
          {warning.batches.map((batch) => (
            <Link key={batch} className="trail mr-2 inline-flex min-h-11 items-center" to={`/batches/${batch}`}>
              {say('batch {batch}', { batch })}
            </Link>
          ))}
        </li>
      ))}
    </ul>
  );
}

/** "Thu 15 Apr, 02:30" of a moment in the nursery's own time. */
function momentWords(moment: string): string {
  return say('{day}, {time}', { day: shortDay(moment.slice(0, 10)), time: timeWords(moment.slice(11, 16)) });
}
