import { Link, useNavigate } from 'react-router';
import type { BatchSummary } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Refusal } from '../look/States';
import { shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';

/** Whom a batch is for, and how its plants are shared out. */
export function Promises({ summary }: { summary: BatchSummary }) {
  const { shares } = summary;
  return (
    <>
      {summary.promises.length === 0 && (
        <p>{say('nobody yet, {plants, plural, one {# plant} other {# plants}} planned', { plants: summary.plants })}</p>
      )}
      {summary.promises.map((promise) => (
        <p key={`${promise.order} ${promise.line}`}>
          <Link className="trail" to={`/orders/${promise.order}`}>
            {say('order {order}', { order: promise.order })}
          </Link>
          {say(', {plants} plants, {grower}', { plants: promise.plants, grower: promise.grower })}
          {summary.promises.length > 1 && (
            <span className="block text-sm text-pencil">
              {say('for {target}, {chance}', { target: shortDay(promise.target), chance: chanceWords(promise.chance) })}
            </span>
          )}
        </p>
      ))}
      {(shares.free > 0 || shares.reserved > 0 || shares.missing > 0) && (
        <p className="text-sm">
          {shares.missing > 0 ? (
            <strong className="text-brick">
              {say('{plants, plural, one {# plant} other {# plants}} short of what is promised', { plants: shares.missing })}
            </strong>
          ) : (
            <>
              {say('{promised} promised, {reserved} kept as spares,', { promised: shares.promised, reserved: shares.reserved })}{' '}
              <strong>{say('{free} free', { free: shares.free })}</strong>
            </>
          )}
        </p>
      )}
    </>
  );
}

/** Takes a batch that is for nobody out of the plan. */
export function Withdraw({ batch }: { batch: number }) {
  const navigate = useNavigate();
  const withdraw = useNumberedChange((entry: { batch: number }, requestId) =>
    answered(api.POST('/api/batches/{number}/withdrawals', { params: { path: { number: entry.batch } }, body: { requestId } })),
  );
  return (
    <div>
      <button
        className="act w-full"
        disabled={withdraw.isPending}
        onClick={() => withdraw.mutate({ batch }, { onSuccess: () => void navigate('/batches') })}
      >
        {say('Take it out of the plan')}
      </button>
      <Refusal message={withdraw.error?.message} />
    </div>
  );
}
