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

const Batches = ({ batches }: { batches: number[] }) =>
  batches.map((batch) => (
    <Link key={batch} className="trail mr-2 inline-flex min-h-11 items-center" to={`/batches/${batch}`}>
      {say('batch {batch}', { batch })}
    </Link>
  ));

/** Which batches stretch in the light of a place and its warmth, and where it is told what would help. */
export function TooDark({ light, place }: { light: Light; place?: number }) {
  const { dark } = light;
  if (!dark) return null;
  return (
    <p className="my-1 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
      {say(
        'Stems stretch here: {light} mol of light a day at {celsius}, and {wanted} are wanted in that warmth. More light, or about {coolEnough}, would do; air and a hand over the tops each day help:',
        {
          light: figures(light.light, 1),
          celsius: degrees(dark.celsius, 0),
          wanted: figures(dark.wanted, 1),
          coolEnough: degrees(dark.coolEnough, 0),
        },
      )}{' '}
      <Batches batches={dark.batches} />
      {place !== undefined && (
        <Link className="trail inline-flex min-h-11 items-center font-semibold" to={`/light/${place}`}>
          {say('Lamps and moves that would help')}
        </Link>
      )}
    </p>
  );
}

/** What today's sun does at a place, and what to do before noon. */
export function TooFierce({ light }: { light: Light }) {
  const { fierce } = light;
  if (!fierce) return null;
  const expected = { daylight: figures(fierce.daylight, 0), hottest: degrees(fierce.hottest, 0) };
  return (
    <p className="my-1 border-l-4 border-brick bg-brick-wash px-3 py-1.5 text-sm">
      {fierce.danger === 'HEAT'
        ? say('Too hot today: {hottest} expected. Open all vents, water before ten.', expected)
        : say('Fierce sun today: {daylight} mol of light and {hottest} expected, and these have few leaves or were just moved.', expected)}{' '}
      {fierce.under != null
        ? say('Draw the shade before noon: {under} mol are left under it.', { under: figures(fierce.under, 0) })
        : say('Shade them from eleven to four: a cloth, fleece or paper.')}{' '}
      <Batches batches={fierce.batches} />
    </p>
  );
}
