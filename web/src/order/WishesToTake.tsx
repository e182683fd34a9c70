import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type Wish } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Refusal } from '../look/States';
import { usePlan } from '../plan/usePlan';
import { dayOfYear } from '../words/days';
import { say } from '../words/say';

type Seen = 'YES' | 'YES_IF' | 'NO';

const ANSWERS: Record<Seen, string> = { YES: say('yes'), YES_IF: say('yes, with conditions'), NO: say('no') };

/** Something wanted that is known already, and what is said of it and of the day on which it is sown. */
export interface KnownWish {
  variety: string;
  wish: Wish;
  note: string;
  sown: (sowDay: string) => string;
  /** Whether it is left out until somebody wants it. */
  leftOut?: boolean;
}

/** Wishes of one grower, each planned as things stand and taken together as one order on the answers that are shown. */
export function WishesToTake({
  growerId,
  siteId,
  lines,
  taken,
}: {
  growerId: number;
  siteId: number;
  lines: KnownWish[];
  taken: (order: number) => void;
}) {
  const [left, setLeft] = useState(() => lines.flatMap((line, index) => (line.leftOut ? [index] : [])));
  const [seen, setSeen] = useState<Record<number, Seen | undefined>>({});
  const take = useNumberedChange((entry: { lines: { wish: Wish; seen?: Seen }[] }, requestId) =>
    answered(api.POST('/api/orders', { body: { requestId, growerId, siteId, ...entry } })),
  );
  const chosen = lines.map((line, index) => ({ line, index })).filter(({ index }) => !left.includes(index));
  const ready = chosen.length > 0 && chosen.every(({ index }) => seen[index] !== undefined && seen[index] !== 'NO');
  return (
    <>
      <ul className="divide-y divide-rule">
        {lines.map((line, index) => (
          <Line
            key={index}
            line={line}
            wanted={!left.includes(index)}
            choose={(wanted) => setLeft(wanted ? left.filter((each) => each !== index) : [...left, index])}
            answer={(told) => setSeen((now) => (now[index] === told ? now : { ...now, [index]: told }))}
          />
        ))}
      </ul>
      <Refusal message={take.error?.message} />
      <button
        type="button"
        className="act act-main mt-2"
        disabled={!ready || take.isPending}
        onClick={() =>
          take.mutate(
            { lines: chosen.map(({ line, index }) => ({ wish: line.wish, ...(seen[index] ? { seen: seen[index] } : {}) })) },
            { onSuccess: ({ number }) => taken(number) },
          )
        }
      >
        {say('Take {lines, plural, one {# line} other {# lines}}', { lines: chosen.length })}
      </button>
    </>
  );
}

function Line({
  line,
  wanted,
  choose,
  answer,
}: {
  line: KnownWish;
  wanted: boolean;
  choose: (wanted: boolean) => void;
  answer: (told: Seen | undefined) => void;
}) {
  const plan = usePlan(line.wish);
  const told = plan.isOfThis && !plan.isError ? plan.data?.promise.answer : undefined;
  useEffect(() => answer(told), [told]); // eslint-disable-line react-hooks/exhaustive-deps
  const sowDay = plan.data?.dates.window?.best;
  return (
    <li className="grid gap-x-4 gap-y-1 py-2 md:grid-cols-[auto_1fr_1fr]">
      <label className="flex min-h-11 min-w-11 items-center">
        <input type="checkbox" className="size-5" checked={wanted} onChange={(event) => choose(event.target.checked)} aria-label={line.variety} />
      </label>
      <div>
        <p>{say('{plants} {variety} for {day}', { plants: line.wish.plants, variety: line.variety, day: dayOfYear(line.wish.target) })}</p>
        <p className="text-sm text-pencil">{line.note}</p>
      </div>
      <div>
        {plan.isError ? (
          <p>{plan.error.message}</p>
        ) : told === undefined ? (
          <p className="text-pencil">{say('Planning…')}</p>
        ) : (
          <>
            <p>{ANSWERS[told]}</p>
            {sowDay && <p className="text-sm text-pencil">{line.sown(sowDay)}</p>}
          </>
        )}
      </div>
    </li>
  );
}

/** That an order was taken, with the way to it. */
export function TakenAs({ order }: { order: number }) {
  return (
    <p role="status">
      {say('Taken.')}{' '}
      <Link className="trail" to={`/orders/${order}`}>
        {say('Order {order}', { order })}
      </Link>
    </p>
  );
}
