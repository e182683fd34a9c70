import { Link } from 'react-router';
import type { StopView } from '../api/client';
import { degrees, figures } from '../words/quantity';
import { say } from '../words/say';

type Light = StopView['light'];

/** What so much light a day is like; below each figure, mol m⁻² d⁻¹. */
const LIKE: [below: number, words: () => string][] = [
  [3, () => say('dark, as in the middle of a room')],
  [6, () => say('dull, as on a windowsill in winter')],
  [10, () => say('fair: lamps or a window to the sun')],
  [20, () => say('good, as under glass in spring')],
  [35, () => say('bright')],
  [Infinity, () => say('full sun: shade what is young at midday')],
];

/** "9.3 mol of light a day, fair" of the last week. */
export const lightWords = (light: number): string =>
  say('{light} mol of light a day last week: {like}', {
    light: figures(light, light < 10 ? 1 : 0),
    like: LIKE.find(([below]) => light < below)![1](),
  });

/** Which batches stretch in the light of a place and its warmth, and what would help. */
export function TooDark({ light }: { light: Light }) {
  const { dark } = light;
  if (!dark) return null;
  return (
    <p className="my-1 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
      {say(
        'Stems stretch here: {light} mol of light a day at {celsius}, and {wanted} are wanted in that warmth. Lower the lamps or light longer, move to more light, or keep it at about {coolEnough}; air and a hand over the tops each day help:',
        {
          light: figures(light.light, 1),
          celsius: degrees(dark.celsius, 0),
          wanted: figures(dark.wanted, 1),
          coolEnough: degrees(dark.coolEnough, 0),
        },
      )}{' '}
      {dark.batches.map((batch) => (
        <Link key={batch} className="trail mr-2 inline-flex min-h-11 items-center" to={`/batches/${batch}`}>
          {say('batch {batch}', { batch })}
        </Link>
      ))}
    </p>
  );
}
