import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type BatchView } from '../api/client';
import { useNumberedChange, useSession } from '../api/queries';
import { Refusal } from '../look/States';
import { announce } from '../look/announce';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type WaysOutView = NonNullable<Awaited<ReturnType<typeof fetchWays>>>;

const fetchWays = (number: number) => answered(api.GET('/api/batches/{number}/ways-out', { params: { path: { number } } }));

const WHEN: Record<WaysOutView['resowings'][number]['on'], (day: string) => string> = {
  TODAY: () => say('Sow more today'),
  BEST_DAY: (day) => say('Sow more on {day}, the best day', { day }),
  LAST_DAY: (day) => say('Sow more on {day}, the last useful day', { day }),
};

/** Wait, sow more today, or sow more on the last useful day: the chance of each, what it takes, and one press that does it. */
export function WaysOut({ batch }: { batch: BatchView }) {
  const number = batch.summary.number;
  const mayDecide = useSession().data?.role === 'PROPAGATOR';
  const ways = useQuery({ queryKey: ['batches', number, 'ways-out'], queryFn: () => fetchWays(number) });
  const resow = useNumberedChange((entry: { plants: number; giveUp: boolean }, requestId) =>
    answered(api.POST('/api/batches/{number}/resowings', { params: { path: { number } }, body: { requestId, ...entry } })),
  );
  const [giveUp, setGiveUp] = useState(batch.summary.verdict === 'FAILING');
  if (!ways.data || ways.data.wanted === 0) return null;
  const { waiting, resowings, missing, living, wanted, lot, seedsLeft } = ways.data;
  const orders = [...new Set(batch.summary.promises.map((promise) => promise.order))];
  return (
    <section aria-label={say('Wait or resow')} className="board mt-3 p-3">
      <h3>{say('Wait, or sow more?')}</h3>
      <p className="text-sm text-pencil">
        {say('{living} of the {wanted} wanted may be counted on, as likely as not; {missing} are missing.', { living, wanted, missing })}
      </p>
      <ul className="mt-1">
        <Way name={say('Wait')} chance={waiting} />
        {resowings.map((way) => (
          <Way
            key={way.day}
            name={WHEN[way.on](dayWords(way.day))}
            chance={way.chance}
            takes={say(
              '{cells, plural, one {# cell} other {# cells}} in {trays, plural, one {# tray} other {# trays}}, {seeds, plural, one {# seed} other {# seeds}} of {lot}, about {cost}',
              { cells: way.cells, trays: way.trays, seeds: way.seeds, lot, cost: figures(way.cost, 2) },
            )}
            problem={way.seeds > seedsLeft ? say('Only {seedsLeft} seeds are left of it.', { seedsLeft: figures(seedsLeft) }) : undefined}
          />
        ))}
      </ul>
      {ways.data.lastDay == null && <p className="text-sm text-ochre">{say('The last day on which a sowing is surely in time has gone by.')}</p>}
      {mayDecide && missing > 0 && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <button
            className="act act-main"
            disabled={resow.isPending || resow.isSuccess}
            onClick={() =>
              resow.mutate(
                { plants: missing, giveUp },
                {
                  onSuccess: () =>
                    announce(say('A new sowing for {plants, plural, one {# plant} other {# plants}} is planned.', { plants: missing })),
                },
              )
            }
          >
            {say('Resow for {plants, plural, one {# plant} other {# plants}}', { plants: missing })}
          </button>
          {batch.summary.balance.waiting > 0 && (
            <label className="flex min-h-11 items-center gap-2 text-sm">
              <input type="checkbox" className="size-5" checked={giveUp} onChange={(event) => setGiveUp(event.target.checked)} />
              {say('Give up the {cells, plural, one {# cell} other {# cells}} in which nothing has come up', {
                cells: batch.summary.balance.waiting,
              })}
            </label>
          )}
          {orders.map((order) => (
            <Link key={order} className="trail flex min-h-11 items-center text-sm" to={`/orders/${order}`}>
              {say('Order {order}: buy in, or tell the grower', { order })}
            </Link>
          ))}
        </div>
      )}
      {resow.isSuccess && <p role="status">{say('Planned. The new sowing has taken over those plants of the line.')}</p>}
      <Refusal message={resow.error?.message} />
    </section>
  );
}

function Way({ name, chance, takes, problem }: { name: string; chance: number; takes?: string; problem?: string | undefined }) {
  return (
    <li className="grid grid-cols-[1fr_8rem] items-center gap-x-3 border-t border-rule py-1.5">
      <span>
        <strong>{name}</strong>: {chanceWords(chance)}
        {takes && <span className="block text-sm text-pencil">{takes}</span>}
        {problem && <span className="block text-sm font-semibold text-brick">{problem}</span>}
      </span>
      <svg viewBox="0 0 100 12" className="h-3 w-full" preserveAspectRatio="none" aria-hidden>
        <rect x="0" y="0" width="100" height="12" className="fill-none stroke-pencil" strokeWidth="1" vectorEffect="non-scaling-stroke" />
        <rect x="0" y="0" width={chance * 100} height="12" className="fill-dusk" />
      </svg>
    </li>
  );
}
