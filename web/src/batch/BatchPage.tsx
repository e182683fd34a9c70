import { Link, useParams } from 'react-router';
import type { BatchView } from '../api/client';
import { useBatch } from '../api/queries';
import { EmergenceChart } from '../emerge/EmergenceChart';
import { VerdictWords } from '../emerge/VerdictWords';
import { MoveWork } from '../grow/MoveWork';
import { PotWork } from '../grow/PotWork';
import { HardeningWork } from '../harden/HardeningWork';
import { StageMark } from '../look/StageMark';
import { Caution, Loading, Trouble } from '../look/States';
import { chanceWords, counted, dayWords, shortDay } from '../look/words';
import { PathChart, type PathRow } from '../plan/PathChart';
import { BalanceBar } from './BalanceBar';
import { ChangeList } from './ChangeList';
import { Promises, Withdraw } from './Promises';

/** One batch: its path so far and ahead, what can be done with it, its account and its record. */
export function BatchPage({ today, mayPlan }: { today: string; mayPlan: boolean }) {
  const number = Number(useParams().number);
  const batch = useBatch(number);
  if (batch.isPending) return <Loading what={`batch ${number}`} />;
  if (batch.isError) return <Trouble error={batch.error} retry={() => batch.refetch()} />;
  const view = batch.data;
  const { summary } = view;
  const promised = summary.promises.reduce((sum, promise) => sum + promise.plants, 0);
  const path = summary.stage !== 'RELEASED' && summary.stage !== 'FAILED';
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
        <StageMark stage={summary.stage} size={52} />
        <div>
          <p className="text-pencil">Batch {number}, <StageWords view={view} /></p>
          <h1>{summary.variety} <span className="font-normal text-pencil">{summary.crop.toLowerCase()}</span></h1>
        </div>
        {path && (
          <p className="ml-auto text-right">
            <span className="text-pencil">Whole and in time for {dayWords(summary.target)}</span>
            <br />
            <strong className={summary.chance < 0.5 ? 'text-brick' : ''}>{chanceWords(summary.chance)}</strong>
          </p>
        )}
      </div>
      <div className="grid gap-6 lg:grid-cols-[1fr_23rem]">
        <div className="flex min-w-0 flex-col gap-6">
          {path && (
            <section aria-label="Path" className="board p-4">
              <h2 className="mb-2">Its path</h2>
              <PathChart rows={rows(view)} target={summary.target} today={today} />
              <p className="mt-3 text-sm text-pencil">
                {view.stays.length > 0
                  ? view.stays.map((stay) => `${stay.place} from ${shortDay(stay.from)}`).join(', ')
                  : `Planned: ${view.emergencePlace}, then ${view.growingPlace}, then ${view.hardeningPlace}`}
                {view.leavesNow > 0 && `. About ${view.leavesNow.toFixed(1)} true leaves now; wanted with ${view.leavesFrom} to ${view.leavesTo}`}.
              </p>
            </section>
          )}
          {summary.balance.sown > 0 && (
            <section aria-label="Account" className="board p-4">
              <h2 className="mb-2">Its account, in cells</h2>
              <BalanceBar balance={summary.balance} needed={promised || summary.plants} promised={promised > 0} />
              {view.countsSeedlings && <p className="text-sm text-pencil">Clumps: {view.plantsAlive} seedlings in {counted(summary.balance.alive, 'cell')}; the order counts seedlings.</p>}
            </section>
          )}
          <section aria-label="Record">
            <h2 className="mb-2">What was done and seen</h2>
            <ChangeList batch={view} />
          </section>
        </div>
        <div className="flex flex-col gap-4">
          {view.leggy && path && summary.stage !== 'HARDENING_OFF' && (
            <p className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
              Too little light where it stands: stems stretch. Move it to the lit shelf or a brighter house.
            </p>
          )}
          <dl className="board grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 p-4">
            <dt className="text-pencil">For</dt>
            <dd><Promises summary={summary} /></dd>
            <dt className="text-pencil">Trays</dt>
            <dd className="flex flex-wrap gap-x-3">
              {[...new Set([...view.runs, ...view.toSow].map((run) => run.tray))].map((tray) => (
                <Link key={tray} className="trail inline-flex min-h-8 items-center" to={`/trays/${tray}`}>T{tray}</Link>
              ))}
            </dd>
            <dt className="text-pencil">Containers</dt>
            <dd>{view.containers.length > 1 ? containersAhead(view) : view.container}</dd>
            <dt className="text-pencil">Seed</dt>
            <dd>lot {view.lot}, {view.supplier}, {view.seedsPerCell} a cell</dd>
            <dt className="text-pencil">Stands in</dt>
            <dd>{summary.stage === 'PLANNED' ? `${view.emergencePlace}, once sown` : summary.place}</dd>
          </dl>
          {summary.problem && <p role="alert" className="border-l-4 border-brick bg-brick-wash p-3 text-brick">{summary.problem}</p>}
          {summary.traysToSow > 0 && (
            <>
              <p className="border-l-4 border-ochre bg-ochre-wash p-3"><strong>Part sown, {counted(summary.traysToSow, 'tray')} to go.</strong></p>
              <Link className="act act-main" to={`/trays/${view.toSow[0]?.tray}`}>Sow tray T{view.toSow[0]?.tray} next</Link>
            </>
          )}
          {view.hardenFrom && (
            <p className="border-l-4 border-dusk p-3">
              Has its leaves. Held inside until {dayWords(view.hardenFrom)}: hardening ends with the release on {dayWords(summary.target)}.
            </p>
          )}
          {summary.stage === 'PLANNED' && (
            <Link className="act act-main" to={`/trays/${view.runs[0]?.tray}`}>Sow {view.cells} cells</Link>
          )}
          {(summary.stage === 'SOWN' || summary.stage === 'EMERGING') && (
            <Link className="act act-main" to={`/trays/${view.runs[0]?.tray}`}>Count tray T{view.runs[0]?.tray}</Link>
          )}
          {summary.stage === 'READY' && [...new Set(summary.promises.map((promise) => promise.order))].map((order) => (
            <Link key={order} className="act act-main" to={`/orders/${order}`}>Release for order {order}</Link>
          ))}
          {summary.stage === 'PLANNED' && summary.promises.length === 0 && mayPlan && <Withdraw batch={summary.number} />}
          <HardeningWork batch={view} today={today} />
          <MoveWork batch={view} />
          {(summary.stage === 'EMERGING' || summary.stage === 'GROWING_ON') && view.living.length > 0 && <PotWork batch={view} alive={view.living} />}
          <a className="act" href={`/api/batches/${number}/labels.pdf`} target="_blank" rel="noreferrer">Labels (PDF)</a>
          {view.caution && <Caution>{view.caution}</Caution>}
          {(summary.stage === 'SOWN' || summary.stage === 'EMERGING' || view.completelyCounted) && path && (
            <>
              <VerdictWords batch={view} today={today} />
              {view.curve.length > 0 && <div className="board p-3"><EmergenceChart batch={view} today={today} /></div>}
            </>
          )}
        </div>
      </div>
    </>
  );
}

/** The container its plants stand in and those still to come; those already passed are over. */
function containersAhead(view: BatchView): string {
  const ahead = view.containers.slice(view.pottingsDone);
  return `${view.pottingsDone > 0 ? 'now ' : ''}${ahead.join(', then ')}`;
}

function StageWords({ view }: { view: BatchView }) {
  const { summary } = view;
  switch (summary.stage) {
    case 'PLANNED':
      return <>to be sown on {dayWords(view.plannedSowDay)}{view.latestSowDay && `, at the latest ${dayWords(view.latestSowDay)}`}</>;
    case 'HARDENING_OFF':
      return <>hardening off, day {view.hardeningDays} of {view.programmeDays} done</>;
    case 'READY':
      return <>ready since {dayWords(summary.ready?.middle ?? view.plannedSowDay)}</>;
    default:
      return <>sown {dayWords(summary.sowDay)}</>;
  }
}

function rows(view: BatchView): PathRow[] {
  const { summary } = view;
  const day = (date: string) => ({ early: date, middle: date, late: date, certain: true });
  return [
    {
      name: summary.stage === 'PLANNED' ? 'To be sown' : 'Sown',
      stage: summary.stage === 'PLANNED' ? 'PLANNED' : 'SOWN',
      spread: day(summary.sowDay),
    },
    { name: 'Up', stage: 'EMERGING', spread: view.emerged },
    ...(summary.stage === 'HARDENING_OFF' || summary.stage === 'READY'
      ? [{ name: 'Hardening', stage: 'HARDENING_OFF' as const, spread: day(view.hardeningStartedOn ?? summary.sowDay), words: `begun ${shortDay(view.hardeningStartedOn ?? summary.sowDay)}` }]
      : [{ name: 'Leaves enough', stage: 'GROWING_ON' as const, spread: view.stageReached }]),
    { name: 'Ready', stage: 'READY', spread: summary.ready },
    { name: 'Past its best', stage: 'PAST_BEST', spread: summary.pastLimit },
  ];
}
