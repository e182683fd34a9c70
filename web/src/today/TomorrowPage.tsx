import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Work } from '../api/client';
import { answered, api } from '../api/client';
import { Loading, Nothing, Trouble } from '../look/States';
import { addDays, dayWords } from '../words/days';
import { say } from '../words/say';
import { RoundTabs } from './RoundTabs';

/** What is to be expected tomorrow, place by place in walking order, with trays and lots; one page to be printed. */
export function TomorrowPage({ today }: { today: string }) {
  const day = addDays(today, 1);
  const work = useQuery({
    queryKey: ['work', day, 'day'],
    queryFn: () => answered(api.GET('/api/work', { params: { query: { from: day, to: day } } })),
  });
  if (work.isPending) return <Loading what={say('the work ahead')} />;
  if (!work.data) return <Trouble error={work.error} retry={() => work.refetch()} />;
  const places = [...new Map(work.data.map((each) => [each.placeId, each.place])).entries()].sort(([one], [other]) => one - other);
  return (
    <>
      <RoundTabs />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1>{say('Tomorrow, {day}', { day: dayWords(day) })}</h1>
        <button className="act no-print ml-auto" onClick={() => window.print()}>
          {say('Print')}
        </button>
      </div>
      <p className="mb-3 text-sm text-pencil">{say('Foreseen from today; what stays undone today comes on top.')}</p>
      {work.data.length === 0 && <Nothing>{say('Nothing is foreseen but the usual look round.')}</Nothing>}
      <ol className="wall-sheet flex flex-col gap-4">
        {places.map(([placeId, place]) => (
          <li key={placeId} className="break-inside-avoid">
            <h2 className="mb-1">{place}</h2>
            <ul className="board divide-y divide-rule">
              {work.data
                .filter((each) => each.placeId === placeId)
                .map((each) => (
                  <Task key={`${each.batch} ${each.kind} ${each.growerId ?? ''}`} work={each} />
                ))}
            </ul>
          </li>
        ))}
      </ol>
    </>
  );
}

function Task({ work }: { work: Work }) {
  return (
    <li className="flex items-start gap-3 px-3 py-2 text-sm">
      <span aria-hidden className="mt-0.5 hidden size-5 shrink-0 border border-ink print:block" />
      <span className="grow">
        <Link className="inline-flex min-h-11 items-center font-semibold print:min-h-0" to={`/batches/${work.batch}`}>
          {work.words}
        </Link>
        <span className="block text-pencil">
          {say('batch {batch}, lot {lot}: {trays}', { batch: work.batch, lot: work.lot, trays: work.trays.map((tray) => `T${tray}`).join(' ') })}
        </span>
      </span>
    </li>
  );
}
