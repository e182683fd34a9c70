import { Link, useNavigate } from 'react-router';
import type { BatchSummary } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Refusal } from '../look/States';
import { chanceWords, counted, shortDay } from '../look/words';

/** Whom a batch is for, and how its plants are shared out. */
export function Promises({ summary }: { summary: BatchSummary }) {
  const { shares } = summary;
  return (
    <>
      {summary.promises.length === 0 && <p>nobody yet, {counted(summary.plants, 'plant')} planned</p>}
      {summary.promises.map((promise) => (
        <p key={`${promise.order} ${promise.line}`}>
          <Link className="trail" to={`/orders/${promise.order}`}>order {promise.order}</Link>, {promise.plants} plants, {promise.grower}
          {summary.promises.length > 1 && <span className="block text-sm text-pencil">for {shortDay(promise.target)}, {chanceWords(promise.chance)}</span>}
        </p>
      ))}
      {(shares.free > 0 || shares.reserved > 0 || shares.missing > 0) && (
        <p className="text-sm">
          {shares.missing > 0
            ? <strong className="text-brick">{counted(shares.missing, 'plant')} short of what is promised</strong>
            : <>{shares.promised} promised, {shares.reserved} kept as spares, <strong>{shares.free} free</strong></>}
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
      <button className="act w-full" disabled={withdraw.isPending} onClick={() => withdraw.mutate({ batch }, { onSuccess: () => void navigate('/batches') })}>
        Take it out of the plan
      </button>
      <Refusal message={withdraw.error?.message} />
    </div>
  );
}
