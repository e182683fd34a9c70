import { useState } from 'react';
import type { BatchView } from '../api/client';
import { answered, api } from '../api/client';
import { newRequestId, useChange } from '../api/queries';
import { Nothing, Refusal } from '../look/States';
import { dayWords } from '../look/words';

const SHOWN_AT_FIRST = 6;

/** The record, newest first. A wrong entry is taken back by another; both stay. */
export function ChangeList({ batch }: { batch: BatchView }) {
  const [all, setAll] = useState(false);
  const correct = useChange((sequence: number) =>
    answered(
      api.POST('/api/batches/{number}/corrections', {
        params: { path: { number: batch.summary.number } },
        body: { requestId: newRequestId(), sequence },
      }),
    ),
  );
  if (batch.changes.length === 0) return <Nothing>Nothing yet. The first entry will be its sowing.</Nothing>;
  const newest = [...batch.changes].reverse();
  const shown = all ? newest : newest.slice(0, SHOWN_AT_FIRST);
  return (
    <>
      <Refusal message={correct.error?.message} />
      <ol className="board divide-y divide-rule">
        {shown.map((change) => (
          <li key={change.sequence} className="grid grid-cols-[6.5rem_1fr_auto] items-center gap-x-3 px-3 py-1.5">
            <span className="text-sm text-pencil">{change.sequence}. {dayWords(change.day)}</span>
            <span className={change.corrected ? 'text-pencil line-through' : ''}>
              {change.words} <span className="text-sm text-pencil">{change.by}</span>
            </span>
            {change.corrected || change.isCorrection ? (
              <span className="px-2 text-sm text-pencil">{change.corrected && 'undone'}</span>
            ) : (
              <button
                className="trail min-h-11 px-2 text-sm" disabled={correct.isPending}
                aria-label={`Undo entry ${change.sequence}: ${change.words}`}
                onClick={() => correct.mutate(change.sequence)}
              >
                Undo
              </button>
            )}
          </li>
        ))}
      </ol>
      {newest.length > SHOWN_AT_FIRST && (
        <button className="trail min-h-11" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${newest.length}`}
        </button>
      )}
    </>
  );
}
