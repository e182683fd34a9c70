import { useQuery } from '@tanstack/react-query';
import type { AssignmentView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { shortDay } from '../words/days';
import { say } from '../words/say';
import { told } from '../words/told';
import { figures } from '../words/quantity';

/** Places the whole season at once: started, watched, stopped, looked at and taken. */
export function AssignAll() {
  const standing = useQuery({
    queryKey: ['assignment'],
    queryFn: () => answered(api.GET('/api/space/assignment')),
    refetchInterval: (query) => (query.state.data?.running ? 300 : false),
  });
  const start = useChange(() => answered(api.POST('/api/space/assignment')));
  const stop = useChange(() => answered(api.DELETE('/api/space/assignment')));
  const take = useChange(() => answered(api.POST('/api/space/assignment/taking')));
  const view = standing.data;
  return (
    <section aria-label={say('Place all')} className="board mb-3 p-3">
      <div className="flex flex-wrap items-center gap-3">
        {!view?.running && (
          <button className="act" disabled={start.isPending} onClick={() => start.mutate(undefined)}>
            {view?.outcome ? say('Place all anew') : say('Place the whole season')}
          </button>
        )}
        {view?.running && (
          <>
            <progress className="h-3 w-48 accent-dusk" value={view.progress} max={1} aria-label={say('Placing')} />
            <span role="status" className="text-sm">
              {say('Placing, {progress} %', { progress: Math.round(view.progress * 100) })}
            </span>
            <button className="act" onClick={() => stop.mutate(undefined)}>
              {say('Stop')}
            </button>
          </>
        )}
        {!view?.outcome && !view?.running && (
          <p className="text-sm text-pencil">
            {say('Finds every batch that is not sown yet the places that suit it best together. What was placed by hand stays.')}
          </p>
        )}
      </div>
      <Refusal message={view?.failure ?? (start.error ?? take.error)?.message} />
      {view?.outcome && <Outcome view={view} taking={take.isPending} take={() => take.mutate(undefined)} />}
      {take.data && !view?.outcome && (
        <p role="status" className="mt-2 text-sm">
          {say("{batches, plural, one {# batch} other {# batches}} placed anew. It can be undone on the season's board.", {
            batches: take.data.batches,
          })}
        </p>
      )}
    </section>
  );
}

function Outcome({ view, taking, take }: { view: AssignmentView; taking: boolean; take: () => void }) {
  const outcome = view.outcome!;
  return (
    <div className="mt-2 text-sm">
      <p>
        {outcome.stopped && <strong>{say('Stopped before it was done.')} </strong>}
        {told(
          '{batches, plural, one {# batch} other {# batches}} would stand elsewhere or be sown on another day. Lack of room <b>{overflowAfter}</b> instead of {overflowBefore} trays × days.',
          { batches: outcome.changed.length, overflowAfter: Math.round(outcome.overflowAfter), overflowBefore: Math.round(outcome.overflowBefore) },
        )}{' '}
        {outcome.gap < 0.2 && say('At most {gap} % from the best there can be.', { gap: figures(outcome.gap * 100, 1) })}{' '}
        {outcome.pinned > 0 && say('{batches, plural, one {# batch} other {# batches}} placed by hand stay.', { batches: outcome.pinned })}
      </p>
      {outcome.changed.length > 0 && (
        <button className="act act-main my-2" disabled={taking} onClick={take}>
          {say('Place {batches, plural, one {# batch} other {# batches}} so', { batches: outcome.changed.length })}
        </button>
      )}
      <details>
        <summary className="trail min-h-11 content-center">{say('Each batch with its reason')}</summary>
        <ul className="max-h-72 overflow-y-auto" tabIndex={0} aria-label={say('Placings')}>
          {[...outcome.changed, ...outcome.unchanged].map((each) => (
            <li key={each.batch} className="border-t border-rule py-1">
              <strong>
                {each.batch} {each.variety}
              </strong>
              : {each.to}
              {each.from !== each.to && <span className="text-pencil"> {say('instead of {from}', { from: each.from })}</span>}
              {each.sowDay !== each.sowDayBefore && (
                <span className="text-pencil">
                  {say(', sown {sowDay} instead of {sowDayBefore}', { sowDay: shortDay(each.sowDay), sowDayBefore: shortDay(each.sowDayBefore) })}
                </span>
              )}
              . {each.reason}
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}
