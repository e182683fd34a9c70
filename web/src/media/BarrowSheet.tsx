import { useState } from 'react';
import type { BarrowSheetView, RecipeView } from '../api/client';
import { figures, volume, weight } from '../words/quantity';
import { worthWords } from '../words/reasons';
import { say } from '../words/say';
import { squeezeWords } from './mixWords';

/** The sheet itself: part by part in the order in which it goes in, ticked off by thumb; printed with empty squares. */
export function BarrowSheet({ sheet, recipe }: { sheet: BarrowSheetView; recipe: RecipeView }) {
  const [done, setDone] = useState<string[]>([]);
  const tick = (part: string) => setDone(done.includes(part) ? done.filter((each) => each !== part) : [...done, part]);
  return (
    <section aria-label={say('{volume} of {recipe}', { volume: volume(sheet.litres), recipe: sheet.name })} className="board p-4">
      <h2>{say('{volume} of {recipe}', { volume: volume(sheet.litres), recipe: sheet.name })}</h2>
      <p className="mb-2 text-pencil">
        {say('{dry} dry, {loads, plural, one {# barrow} other {# barrows}}, {mass} with its water; the heaviest lift {heaviest}.', {
          dry: volume(sheet.dry),
          loads: sheet.loads,
          mass: weight(sheet.mass),
          heaviest: weight(sheet.heaviest),
        })}
      </p>
      <ol>
        {sheet.lines.map((line) => (
          <Part
            key={line.ingredient}
            name={line.ingredient}
            amount={volume(line.litres)}
            more={[
              say('{buckets} buckets of {size}', { buckets: figures(line.buckets, 1), size: volume(sheet.bucket) }),
              line.bags > 0 &&
                say('{bags, plural, one {open # bag} other {open # bags}} of {size}', { bags: line.bags, size: volume(line.bagLitres) }),
              line.bags === 0 && say('from the open bag'),
              weight(line.mass),
            ]
              .filter(Boolean)
              .join(', ')}
            done={done.includes(line.ingredient)}
            tick={() => tick(line.ingredient)}
          />
        ))}
        {recipe.says.sieve != null && (
          <Part
            name={say('Sieve it')}
            amount=""
            more={say('what is coarser goes into pots or back on the heap')}
            done={done.includes('sieve')}
            tick={() => tick('sieve')}
          />
        )}
        <Part
          name={say('Water')}
          amount={volume(sheet.water)}
          more={say('bit by bit. {squeeze}', { squeeze: squeezeWords(recipe) })}
          done={done.includes('water')}
          tick={() => tick('water')}
        />
      </ol>
      {sheet.fills.length > 0 && (
        <ul className="mt-3 text-sm">
          {sheet.fills.map((fill) => (
            <li key={fill.container}>
              {say('{count} × {container}: {volume} each', {
                count: fill.count,
                container: fill.container.toLowerCase(),
                volume: volume(fill.litres),
              })}
              {sheet.priced && say(', {cost} each', { cost: figures(fill.cost, 2) })}
            </li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-sm">
        {sheet.priced
          ? say('Its ingredients cost {cost}.', { cost: figures(sheet.cost, 2) })
          : say('Not every ingredient has a price: what it costs is not known.')}{' '}
        {worthWords(sheet.worth)}
      </p>
    </section>
  );
}

function Part({ name, amount, more, done, tick }: { name: string; amount: string; more: string; done: boolean; tick: () => void }) {
  return (
    <li className="border-t border-rule">
      <button
        type="button"
        aria-pressed={done}
        className="grid min-h-14 w-full grid-cols-[2rem_6rem_1fr] items-center gap-x-3 py-1 text-left"
        onClick={tick}
      >
        <svg viewBox="0 0 24 24" className="size-7" aria-hidden>
          <rect x="2" y="2" width="20" height="20" className="fill-none stroke-ink" strokeWidth="1.500" />
          {done && <path d="M5 13 L10 18 L19 6" className="fill-none stroke-dusk" strokeWidth="3" />}
        </svg>
        <span className="text-lg font-semibold">{amount}</span>
        <span className={done ? 'text-pencil' : ''}>
          <strong>{name}</strong> <span className="block text-sm text-pencil">{more}</span>
        </span>
      </button>
    </li>
  );
}
