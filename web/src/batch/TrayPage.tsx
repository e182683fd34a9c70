import { lazy, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { BatchView, TrayView } from '../api/client';
import { useBatch, useTray } from '../api/queries';
import { VerdictWords } from '../emerge/VerdictWords';
import { Dispensable } from '../look/Boundary';
import { StageMark } from '../look/StageMark';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { isStillToSow } from '../sow/isStillToSow';
import { SowWork } from '../sow/SowWork';
import { TakeInWork } from '../sow/TakeInWork';
import { useOutbox } from '../bench/useOutbox';
import { withUnsent } from '../bench/unsent';
import { CountWork } from '../tray/CountWork';
import { LossWork } from '../tray/LossWork';
import { MoveCellsWork } from '../tray/MoveCellsWork';
import { NameWork } from '../tray/NameWork';
import { ThinWork } from '../tray/ThinWork';
import { LookOver } from './LookOver';
import { NoteForm } from './NoteForm';
import { say } from '../words/say';
import { cellVolume } from '../words/quantity';

const EmergenceChart = lazy(() => import('../emerge/EmergenceChart').then((room) => ({ default: room.EmergenceChart })));

/** A tray: its cells as they lie, and the work that is done in them. */
export function TrayPage({ today }: { today: string }) {
  const number = Number(useParams().number);
  const tray = useTray(number);
  const [chosen, setChosen] = useState<number>();
  const current = tray.data?.batches.find((each) => each === chosen) ?? tray.data?.batches[0];
  const batch = useBatch(current);
  const { waiting } = useOutbox();
  if (tray.isPending) return <Loading what={say('tray T{number}', { number })} />;
  if (!tray.data) return <Trouble error={tray.error} retry={() => tray.refetch()} />;
  return (
    <>
      <p className="text-pencil">
        {say('{container}, {rows} × {columns} cells of {cellVolume}', {
          container: tray.data.container,
          rows: tray.data.rows,
          columns: tray.data.columns,
          cellVolume: cellVolume(tray.data.cellVolume),
        })}
      </p>
      <div className="mb-3 flex flex-wrap items-baseline gap-x-4">
        <h1>{say('Tray {code}', { code: tray.data.code })}</h1>
        <Link className="trail inline-flex min-h-11 items-center text-sm" to={`/trays/${number}/map`}>
          {say('Map of its runs')}
        </Link>
      </div>
      {tray.data.batches.length > 1 && (
        <div role="tablist" aria-label={say('Batches in this tray')} className="mb-3 flex gap-2">
          {tray.data.batches.map((each) => (
            <button
              key={each}
              role="tab"
              aria-selected={each === current}
              className={`act ${each === current ? 'act-main' : ''}`}
              onClick={() => setChosen(each)}
            >
              {say('Batch {each}', { each })}
            </button>
          ))}
        </div>
      )}
      {current === undefined && <Nothing>{say('Nothing is planned or sown in this tray.')}</Nothing>}
      {current !== undefined && batch.isPending && <Loading what={say('batch {current}', { current })} />}
      {batch.isError && !batch.data && <Trouble error={batch.error} retry={() => batch.refetch()} />}
      {batch.data && <Working key={`${number} ${current}`} tray={withUnsent(tray.data, waiting)} batch={batch.data} today={today} />}
    </>
  );
}

type Mode = 'count' | 'thin' | 'move' | 'lose' | 'look' | 'name' | 'note';

const SOWN_HERE: Mode[] = ['count', 'thin', 'move', 'lose', 'look', 'name', 'note'];
const BOUGHT_IN: Mode[] = ['move', 'lose', 'look', 'name', 'note'];

function Working({ tray, batch, today }: { tray: TrayView; batch: BatchView; today: string }) {
  const [search] = useSearchParams();
  const [mode, setMode] = useState<Mode>(SOWN_HERE.find((each) => each === search.get('work')) ?? (batch.from.boughtIn ? 'lose' : 'count'));
  const { summary } = batch;
  const sownHere = tray.cells.some((cell) => cell.batch === summary.number && cell.condition !== undefined);
  const restHere = isStillToSow(tray, batch.layout.toSow);
  const next = batch.layout.toSow.find((run) => run.tray !== tray.number);
  const trays = [...new Set([...batch.layout.runs, ...batch.layout.toSow].map((run) => run.tray))];
  return (
    <div className="grid gap-6 xl:grid-cols-[1fr_25rem]">
      <section aria-label={say('Cells')} className="min-w-0">
        <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
          <StageMark stage={summary.stage} size={36} />
          <div>
            <Link className="trail font-display text-lg font-semibold" to={`/batches/${summary.number}`}>
              {say('{variety}, batch {number}', { variety: summary.variety, number: summary.number })}
            </Link>
            <p className="text-sm text-pencil">
              {say(
                '{crop}, {place}, {how, select, toArrive {to arrive} came {came} toSow {to be sown} other {sown}} {sowDay}, {boughtIn, select, true {{lot}} other {lot {lot}}}',
                {
                  crop: summary.crop,
                  place: summary.place.toLowerCase(),
                  how: batch.from.boughtIn ? (summary.stage === 'PLANNED' ? 'toArrive' : 'came') : summary.stage === 'PLANNED' ? 'toSow' : 'sown',
                  boughtIn: String(summary.boughtIn),
                  sowDay: dayWords(summary.dates.sowDay),
                  lot: batch.from.lot,
                },
              )}
            </p>
          </div>
          {sownHere && <WorkChoice modes={batch.from.boughtIn ? BOUGHT_IN : SOWN_HERE} mode={mode} choose={setMode} />}
        </div>
        {trays.length > 1 && (
          <nav aria-label={say('Trays of batch {number}', { number: summary.number })} className="mb-2 flex flex-wrap items-center gap-x-1">
            <span className="mr-2 text-sm text-pencil">{say('Trays of this batch')}</span>
            {trays.map((each) =>
              each === tray.number ? (
                <span key={each} aria-current="page" className="inline-flex min-h-11 items-center px-2 font-semibold">
                  T{each}
                </span>
              ) : (
                <Link key={each} className="trail inline-flex min-h-11 items-center px-2" to={`/trays/${each}`}>
                  T{each}
                </Link>
              ),
            )}
          </nav>
        )}
        {sownHere && !restHere && next && <NextToSow batch={batch} tray={next.tray} />}
        {(!sownHere || restHere) && !batch.from.boughtIn && <SowWork key={`${tray.number}-${batch.layout.toSow.length}`} tray={tray} batch={batch} />}
        {(!sownHere || restHere) && batch.from.boughtIn && (
          <TakeInWork key={`${tray.number}-${batch.layout.toSow.length}`} tray={tray} batch={batch} />
        )}
        {sownHere && mode === 'count' && <CountWork tray={tray} batch={batch} />}
        {sownHere && mode === 'thin' && <ThinWork tray={tray} batch={batch} />}
        {sownHere && mode === 'move' && <MoveCellsWork tray={tray} batch={batch} />}
        {sownHere && mode === 'lose' && <LossWork tray={tray} batch={batch} />}
        {sownHere && mode === 'look' && <LookOver batch={summary.number} expected={batch.growth.leavesNow} />}
        {sownHere && mode === 'note' && <NoteForm batch={summary.number} />}
        {sownHere && mode === 'name' && <NameWork tray={tray} batch={batch} />}
      </section>
      <section aria-label={say('Emergence')} className="flex flex-col gap-4">
        {!batch.from.boughtIn && <VerdictWords batch={batch} today={today} />}
        {batch.emergence.curve.length > 0 && (
          <div className="board p-3">
            <h2 className="mb-2">{say('Emergence of batch {number}', { number: summary.number })}</h2>
            <Dispensable>
              <EmergenceChart batch={batch} today={today} />
            </Dispensable>
          </div>
        )}
      </section>
    </div>
  );
}

const MODES: Record<Mode, string> = {
  count: say('Count'),
  thin: say('Thin'),
  move: say('Move'),
  lose: say('Mark losses'),
  look: say('Leaves and roots'),
  name: say('Names in doubt'),
  note: say('Note'),
};

/** What is done in the cells. */
function WorkChoice({ modes, mode, choose }: { modes: Mode[]; mode: Mode; choose: (mode: Mode) => void }) {
  return (
    <div role="group" aria-label={say('Work')} className="ml-auto flex flex-wrap gap-1.5">
      {modes.map((each) => (
        <button key={each} className={`act ${mode === each ? 'act-main' : ''}`} aria-pressed={mode === each} onClick={() => choose(each)}>
          {MODES[each]}
        </button>
      ))}
    </div>
  );
}

/** A batch of which other trays wait to be sown: the next is one press away. */
function NextToSow({ batch, tray }: { batch: BatchView; tray: number }) {
  return (
    <p className="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-ochre bg-ochre-wash p-3">
      <strong>
        {batch.from.boughtIn
          ? say('Part has come, {trays, plural, one {# tray} other {# trays}} to go.', { trays: batch.layout.toSow.length })
          : say('Part sown, {trays, plural, one {# tray} other {# trays}} to go.', { trays: batch.layout.toSow.length })}
      </strong>
      <Link className="act" to={`/trays/${tray}`}>
        {batch.from.boughtIn ? say('Take in tray T{tray} next', { tray }) : say('Sow tray T{tray} next', { tray })}
      </Link>
    </p>
  );
}
