import { Link } from 'react-router';
import type { RoundView } from '../api/client';
import { dayWords, shortDay } from '../words/days';
import { say } from '../words/say';

/** Seed that is to be with growers soon, to be sown where their plants are to stand. */
export function SeedToGo({ seed }: { seed: RoundView['seedToGo'] }) {
  if (seed.length === 0) return null;
  return (
    <section aria-label={say('Seed to go out')} className="mb-5 border-l-4 border-dusk pl-3">
      <strong>{say('Seed to go out')}</strong>
      <ul>
        {seed.map((each) => (
          <li key={`${each.order} ${each.variety}`}>
            <Link className="trail inline-flex min-h-11 items-center" to={`/orders/${each.order}`}>
              {say('{seeds, number} seeds of {variety} to {grower}', { seeds: each.seeds, variety: each.variety, grower: each.grower })}
            </Link>{' '}
            <span className="text-pencil">
              {say('to be sown {from} to {until}', { from: shortDay(each.sowFrom), until: dayWords(each.sowUntil) })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
