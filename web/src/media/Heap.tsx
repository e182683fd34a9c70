import { Link } from 'react-router';
import type { MixLotView, RecipeView } from '../api/client';
import { dayWords, shortDay } from '../words/days';
import { volume } from '../words/quantity';
import { say } from '../words/say';
import { CountLeft } from './CountLeft';

/** A mix that was made: how much of it is left, what it was blended of, what was filled from it. */
export function Heap({ mix, recipe }: { mix: MixLotView; recipe: RecipeView | undefined }) {
  const share = mix.made > 0 ? Math.max(0, Math.min(1, mix.litres / mix.made)) : 0;
  return (
    <li className="border-t border-rule">
      <details>
        <summary className="grid min-h-12 grid-cols-[3rem_1fr_auto] items-center gap-x-3">
          <svg viewBox="0 0 48 28" className="h-7 w-12" aria-hidden>
            <path d="M2 26 Q24 -6 46 26 Z" className="fill-none stroke-ink" strokeWidth="1.500" />
            <clipPath id={`heap-${mix.number}`}>
              <rect x="0" y={26 - 22 * share} width="48" height={22 * share} />
            </clipPath>
            <path d="M2 26 Q24 -6 46 26 Z" className="fill-dusk/60" clipPath={`url(#heap-${mix.number})`} />
          </svg>
          <span>
            <strong>{say('Mix {number}', { number: mix.number })}</strong> {mix.name}
            <span className="block text-sm text-pencil">
              {say('made {day}, {made}', { day: dayWords(mix.madeOn), made: volume(mix.made) })}
              {recipe && recipe.says.life === 'ALIVE' && say(', alive')}
            </span>
          </span>
          <span className={`text-right font-semibold ${mix.litres < 0 ? 'text-brick' : ''}`}>
            {mix.litres < 0 ? say('more filled than made: look') : say('{volume} left', { volume: volume(mix.litres) })}
          </span>
        </summary>
        <div className="pb-3 text-sm">
          <div className="flex flex-wrap items-center gap-x-4">
            <Link className="trail flex min-h-11 items-center" to={`/trace/mix?of=${encodeURIComponent(mix.words)}`}>
              {say('Everything that came of it')}
            </Link>
            <CountLeft mix={mix.number} what={say('mix {number}', { number: mix.number })} left={mix.litres} />
          </div>
          <ul>
            {mix.parts.map((part) => (
              <li key={`${part.ingredient} ${part.lot}`} className="flex gap-2">
                <span className="grow">
                  {part.ingredient}
                  <span className="text-pencil">
                    {part.lot === '?' ? say(', delivery not known') : say(', {lot} {supplier}', { lot: part.lot, supplier: part.supplier })}
                  </span>
                </span>
                <span>{volume(part.litres)}</span>
              </li>
            ))}
          </ul>
          {mix.filled.length > 0 && (
            <p className="mt-1 text-pencil">
              {say('Filled:')}{' '}
              {mix.filled.map((filled, place) => (
                <span key={`${filled.batch} ${filled.day} ${place}`}>
                  {place > 0 && ', '}
                  <Link className="trail" to={`/batches/${filled.batch}`}>
                    {filled.batch}
                  </Link>{' '}
                  {say('{day} {volume}', { day: shortDay(filled.day), volume: volume(filled.litres) })}
                </span>
              ))}
            </p>
          )}
        </div>
      </details>
    </li>
  );
}
