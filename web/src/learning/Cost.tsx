import type { LookingBackView } from '../api/client';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type Costs = LookingBackView['cost'];

const PARTS: { part: keyof Costs['all']; words: string }[] = [
  { part: 'seed', words: say('seed') },
  { part: 'mix', words: say('mix') },
  { part: 'labels', words: say('labels') },
  { part: 'room', words: say('bench room') },
  { part: 'work', words: say('hours') },
];

/** All that was spent. */
export const sum = (costs: Costs): number => PARTS.reduce((total, { part }) => total + costs.all[part], 0);

/** What plants cost, by what it went for, and for each that went to a grower; nothing where the nursery keeps no costs. */
export function Cost({ costs }: { costs: Costs }) {
  const total = sum(costs);
  if (total === 0) return <p className="text-pencil">{say('Set what things cost under Nursery, and it is worked out here.')}</p>;
  return (
    <>
      {costs.handedOver > 0 && (
        <p className="text-lg">
          {say('{each} for each plant handed over, of {handedOver, plural, one {# plant} other {# plants}} whose batches are gone.', {
            each: figures(costs.gone / costs.handedOver, 2),
            handedOver: costs.handedOver,
          })}
        </p>
      )}
      <p className="mb-2">{say('{total} so far, for', { total: figures(total, 2) })}</p>
      <ul className="flex flex-col gap-1">
        {PARTS.map(({ part, words }) => (
          <li key={part} className="grid grid-cols-[6.5rem_1fr_5rem] items-center gap-2 text-sm">
            <span>{words}</span>
            <span aria-hidden className="block h-3 bg-wall">
              <span className="block h-3 bg-dusk" style={{ width: `${(100 * costs.all[part]) / total}%` }} />
            </span>
            <span className="text-right tabular-nums">{figures(costs.all[part], 2)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
