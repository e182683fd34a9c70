import { useState } from 'react';
import { answered, api, type LoadingView } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { announce } from '../look/announce';
import { Refusal } from '../look/States';
import { say } from '../words/say';

type Group = LoadingView['groups'][number];

/** Another variety in the place of what is short, once the grower has agreed. */
export function Substitutes({ group }: { group: Group }) {
  const short = group.lines.filter((line) => line.share < line.wanted);
  const [at, setAt] = useState(0);
  const [agreed, setAgreed] = useState(false);
  const line = short[at] ?? short[0];
  const give = useNumberedChange((entry: { fromBatch: number; plants: number }, requestId) =>
    answered(
      api.POST('/api/orders/{number}/lines/{line}/substitutes', {
        params: { path: { number: line?.order ?? 0, line: line?.line ?? 0 } },
        body: { requestId, agreed, ...entry },
      }),
    ),
  );
  if (!line || group.substitutes.length === 0) {
    return <p className="text-sm text-pencil">{say('No other variety of it is ready and free.')}</p>;
  }
  return (
    <details>
      <summary className="trail">{say('Give another variety instead')}</summary>
      <div className="mt-2 flex flex-col gap-2">
        {short.length > 1 && (
          <div className="flex flex-wrap gap-2" role="group" aria-label={say('For which order')}>
            {short.map((each, index) => (
              <button
                key={each.order}
                type="button"
                className={`act ${each === line ? 'act-main' : ''}`}
                aria-pressed={each === line}
                onClick={() => setAt(index)}
              >
                {say('order {order}', { order: each.order })}
              </button>
            ))}
          </div>
        )}
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5 shrink-0" checked={agreed} onChange={(event) => setAgreed(event.target.checked)} />
          {say('{grower} was asked and takes them', { grower: line.grower })}
        </label>
        {group.substitutes.map((other) => {
          const plants = Math.min(other.plants, line.wanted - line.share);
          return (
            <button
              key={other.batch}
              type="button"
              className="act self-start"
              disabled={!agreed || give.isPending}
              onClick={() =>
                give.mutate(
                  { fromBatch: other.batch, plants },
                  { onSuccess: () => announce(say('{plants} {variety} go instead.', { plants, variety: other.variety })) },
                )
              }
            >
              {say('{plants} {variety} instead, of {free} free in batch {batch}', {
                plants,
                variety: other.variety,
                free: other.plants,
                batch: other.batch,
              })}
            </button>
          );
        })}
        <Refusal message={give.error?.message} />
      </div>
    </details>
  );
}
