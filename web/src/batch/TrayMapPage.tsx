import { useQueries } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answered, api, type BatchView, type TrayView } from '../api/client';
import { useTray } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { runsOf, signOfRun, type TrayRun } from './trayRuns';

/** A tray read like a page: a label at the left of each run, and what follows belongs to it until the next. */
export function TrayMapPage() {
  const number = Number(useParams().number);
  const tray = useTray(number);
  const batches = useQueries({
    queries: (tray.data?.batches ?? []).map((batch) => ({
      queryKey: ['batches', batch],
      queryFn: () => answered(api.GET('/api/batches/{number}', { params: { path: { number: batch } } })),
    })),
  });
  if (tray.isPending) return <Loading what={say('tray T{number}', { number })} />;
  if (!tray.data) return <Trouble error={tray.error} retry={() => tray.refetch()} />;
  const known = batches.flatMap((batch) => (batch.data ? [batch.data] : []));
  const runs = runsOf(tray.data);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="grow">{say('Map of tray {code}', { code: tray.data.code })}</h1>
        <Link className="trail no-print flex min-h-11 items-center" to={`/trays/${number}`}>
          {say('Work in the tray')}
        </Link>
        <button className="act no-print" onClick={() => window.print()}>
          {say('Print')}
        </button>
      </div>
      {runs.length === 0 && <Nothing>{say('Nothing is planned or sown in this tray.')}</Nothing>}
      <Drawn tray={tray.data} runs={runs} />
      <ol className="mt-4">
        {runs.map((run, index) => (
          <li key={run.first} className="flex gap-3 border-t border-rule py-1.5">
            <strong className="w-6">{signOfRun(index)}</strong>
            <span>{words(run, known)}</span>
          </li>
        ))}
      </ol>
    </>
  );
}

function words(run: TrayRun, known: BatchView[]): string {
  const batch = known.find((each) => each.summary.number === run.batch);
  if (!batch) return say('cells {first} to {last}, batch {batch}', run as unknown as Record<string, unknown>);
  return say('cells {first} to {last}: {variety}, {crop}, batch {batch}, {lot}, {day}', {
    ...run,
    variety: batch.summary.variety,
    crop: batch.summary.crop,
    lot: batch.from.lot,
    day: dayWords(batch.summary.dates.sowDay),
  });
}

/** Cells in true rows and columns; the first of each run carries its letter, as a label does. */
function Drawn({ tray, runs }: { tray: TrayView; runs: TrayRun[] }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="img" aria-label={say('Cells of {code} with the letters of their runs', { code: tray.code })}>
      <div className="grid w-max min-w-full gap-1" style={{ gridTemplateColumns: `repeat(${tray.columns}, minmax(1.5rem, 1fr))` }}>
        {tray.cells.map((cell) => {
          const index = runs.findIndex((run) => cell.number >= run.first && cell.number <= run.last);
          const begins = runs[index]?.first === cell.number;
          return (
            <span
              key={cell.number}
              className={`grid min-h-9 place-items-center rounded-sm border text-sm ${
                index < 0 ? 'border-rule text-pencil' : begins ? 'border-l-6 border-ink bg-dusk text-on-dusk font-bold' : 'border-ink/50 bg-board'
              }`}
            >
              {index < 0 ? '' : signOfRun(index)}
            </span>
          );
        })}
      </div>
    </div>
  );
}
