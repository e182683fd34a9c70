import { Link, useParams } from 'react-router';
import type { BatchView } from '../api/client';
import { useBatch } from '../api/queries';
import { EmergenceChart } from '../emerge/EmergenceChart';
import { VerdictWords } from '../emerge/VerdictWords';
import { MoveWork } from '../pot/MoveWork';
import { PotWork } from '../pot/PotWork';
import { HowItCameAbout } from './HowItCameAbout';
import { HardeningWork } from '../harden/HardeningWork';
import { StageMark } from '../look/StageMark';
import { Caution, Loading, Trouble } from '../look/States';
import { dayWords, shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { PathChart, type PathRow } from '../plan/PathChart';
import { BalanceBar } from './BalanceBar';
import { ChangeList } from './ChangeList';
import { NoteForm } from './NoteForm';
import { Promises, Withdraw } from './Promises';
import { LabelLink } from '../sow/LabelLink';
import { say } from '../words/say';
import { figures } from '../words/quantity';

/** What stands behind the number of a tray whose plants were parted from the others. */
const GRADES: Record<BatchView['layout']['living'][number]['grade'], string> = { STANDARD: '', SMALL: say(', small'), SPARE: say(', spare') };

const gradeOf = (view: BatchView, tray: number) => view.layout.living.find((each) => each.tray === tray)?.grade ?? 'STANDARD';

/** One batch: its path so far and ahead, what can be done with it, its account and its record. */
export function BatchPage({ today, mayPlan }: { today: string; mayPlan: boolean }) {
  const number = Number(useParams().number);
  const batch = useBatch(number);
  if (batch.isPending) return <Loading what={say('batch {number}', { number })} />;
  if (!batch.data) return <Trouble error={batch.error} retry={() => batch.refetch()} />;
  const view = batch.data;
  const { summary } = view;
  const promised = summary.promises.reduce((sum, promise) => sum + promise.plants, 0);
  const path = summary.stage !== 'RELEASED' && summary.stage !== 'FAILED';
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
        <StageMark stage={summary.stage} size={52} />
        <div>
          <p className="text-pencil">
            {say('Batch {number},', { number })} <StageWords view={view} />
          </p>
          <h1>
            {summary.variety} <span className="font-normal text-pencil">{summary.crop.toLowerCase()}</span>
          </h1>
        </div>
        {path && (
          <p className="ml-auto text-right">
            <span className="text-pencil">{say('Whole and in time for {target}', { target: dayWords(summary.dates.target) })}</span>
            <br />
            <strong className={summary.chance < 0.5 ? 'text-brick' : ''}>{chanceWords(summary.chance)}</strong>
          </p>
        )}
      </div>
      {path && !summary.problem && summary.chance < 1 && <HowItCameAbout batch={view} />}
      <div className="grid gap-6 lg:grid-cols-[1fr_23rem]">
        <div className="flex flex-col gap-4 lg:order-last">
          {view.growth.leggy && path && summary.stage !== 'HARDENING_OFF' && (
            <p className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
              {say('Too little light where it stands: stems stretch. Move it to the lit shelf or a brighter house.')}
            </p>
          )}
          <dl className="board grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 p-4">
            <dt className="text-pencil">{say('For')}</dt>
            <dd>
              <Promises summary={summary} />
            </dd>
            <dt className="text-pencil">{say('Trays')}</dt>
            <dd className="flex flex-wrap gap-x-3">
              {[...new Set([...view.layout.runs, ...view.layout.toSow].map((run) => run.tray))].map((tray) => (
                <Link key={tray} className="trail inline-flex min-h-11 min-w-11 items-center" to={`/trays/${tray}`}>
                  T{tray}
                  {GRADES[gradeOf(view, tray)]}
                </Link>
              ))}
            </dd>
            <dt className="text-pencil">{say('Containers')}</dt>
            <dd>{view.layout.containers.length > 1 ? containersAhead(view) : view.layout.container}</dd>
            <dt className="text-pencil">{view.from.boughtIn ? say('Raised by') : say('Seed')}</dt>
            <dd>
              {view.from.boughtIn
                ? say('{supplier}, {lot}, {leaves} true leaves on arrival{more}', {
                    supplier: view.from.supplier,
                    lot: view.from.lot,
                    leaves: figures(view.from.boughtIn.leaves, Number.isInteger(view.from.boughtIn.leaves) ? 0 : 1),
                    more: view.from.boughtIn.price == null ? '' : say(', {price} each', { price: figures(view.from.boughtIn.price, 2) }),
                  })
                : say('lot {lot}, {supplier}, {seedsPerCell} a cell', {
                    lot: view.from.lot,
                    supplier: view.from.supplier,
                    seedsPerCell: view.plan.seedsPerCell,
                  })}
            </dd>
            <dt className="text-pencil">{say('Stands in')}</dt>
            <dd>
              {summary.stage === 'PLANNED'
                ? view.from.boughtIn
                  ? say('{emergencePlace}, once they come', { emergencePlace: view.places.emergence.name })
                  : say('{emergencePlace}, once sown', { emergencePlace: view.places.emergence.name })
                : summary.place}
            </dd>
          </dl>
          {summary.problem && (
            <p role="alert" className="border-l-4 border-brick bg-brick-wash p-3 text-brick">
              {summary.problem}
            </p>
          )}
          {summary.traysToSow > 0 && (
            <>
              <p className="border-l-4 border-ochre bg-ochre-wash p-3">
                <strong>
                  {view.from.boughtIn
                    ? say('Part has come, {trays, plural, one {# tray} other {# trays}} to go.', { trays: summary.traysToSow })
                    : say('Part sown, {trays, plural, one {# tray} other {# trays}} to go.', { trays: summary.traysToSow })}
                </strong>
              </p>
              <Link className="act act-main" to={`/trays/${view.layout.toSow[0]?.tray}`}>
                {view.from.boughtIn
                  ? say('Take in tray T{tray} next', { tray: view.layout.toSow[0]?.tray })
                  : say('Sow tray T{tray} next', { tray: view.layout.toSow[0]?.tray })}
              </Link>
            </>
          )}
          {view.hardening.heldUntil && (
            <p className="border-l-4 border-dusk p-3">
              {say('Has its leaves. Held inside until {hardenFrom}: hardening ends with the release on {target}.', {
                hardenFrom: dayWords(view.hardening.heldUntil),
                target: dayWords(summary.dates.target),
              })}
            </p>
          )}
          {summary.dates.overWinter && (
            <p className="border-l-4 border-dusk p-3">
              {say('Stands over winter, cold, until {target}.', { target: dayWords(summary.dates.target) })}
            </p>
          )}
          {summary.stage === 'PLANNED' && (
            <Link className="act act-main" to={`/trays/${view.layout.runs[0]?.tray}`}>
              {view.from.boughtIn ? say('Take in {cells} plants', { cells: view.plan.cells }) : say('Sow {cells} cells', { cells: view.plan.cells })}
            </Link>
          )}
          {(summary.stage === 'SOWN' || summary.stage === 'EMERGING') && (
            <Link className="act act-main" to={`/trays/${view.layout.runs[0]?.tray}`}>
              {say('Count tray T{tray}', { tray: view.layout.runs[0]?.tray })}
            </Link>
          )}
          {summary.stage === 'READY' &&
            [...new Set(summary.promises.filter((promise) => promise.outstanding > 0).map((promise) => promise.order))].map((order) => (
              <Link key={order} className="act act-main" to={`/orders/${order}`}>
                {say('Release for order {order}', { order })}
              </Link>
            ))}
          {summary.stage === 'PLANNED' && summary.promises.length === 0 && mayPlan && <Withdraw batch={summary.number} />}
          <HardeningWork batch={view} today={today} />
          <MoveWork batch={view} />
          {(summary.stage === 'EMERGING' || summary.stage === 'GROWING_ON') && view.layout.living.length > 0 && (
            <PotWork batch={view} alive={view.layout.living} />
          )}
          <LabelLink batches={[number]} words={say('Labels (PDF)')} />
          {view.caution && <Caution>{view.caution}</Caution>}
          {(summary.stage === 'SOWN' || summary.stage === 'EMERGING' || view.emergence.completelyCounted) && !view.from.boughtIn && path && (
            <>
              <VerdictWords batch={view} today={today} />
              {view.emergence.curve.length > 0 && (
                <div className="board p-3">
                  <EmergenceChart batch={view} today={today} />
                </div>
              )}
            </>
          )}
        </div>
        <div className="flex min-w-0 flex-col gap-6">
          {path && (
            <section aria-label={say('Path')} className="board p-4">
              <h2 className="mb-2">{say('Its path')}</h2>
              <PathChart rows={rows(view)} target={summary.dates.target} today={today} />
              <p className="mt-3 text-sm text-pencil">
                {view.places.stays.length > 0
                  ? view.places.stays.map((stay) => say('{place} from {from}', { place: stay.place, from: shortDay(stay.from) })).join(', ')
                  : say('Planned: {emergencePlace}, then {growingPlace}, then {hardeningPlace}', {
                      emergencePlace: view.places.emergence.name,
                      growingPlace: view.places.growingOn.name,
                      hardeningPlace: view.places.hardening.name,
                    })}
                {view.growth.leavesNow > 0 &&
                  say('. About {leavesNow} true leaves now; wanted with {leavesFrom} to {leavesTo}', {
                    leavesNow: figures(view.growth.leavesNow, 1),
                    leavesFrom: view.plan.leavesFrom,
                    leavesTo: view.plan.leavesTo,
                  })}
                .{' '}
                {view.growth.leavesNow > 0 && summary.trays[0] !== undefined && (
                  <Link className="trail no-print inline-flex min-h-11 items-center" to={`/trays/${summary.trays[0]}?work=look`}>
                    {say('Count leaves, look at roots')}
                  </Link>
                )}{' '}
                {summary.stage !== 'PLANNED' && (
                  <Link className="trail no-print inline-flex min-h-11 items-center" to={`/batches/${summary.number}/health`}>
                    {say('How they fared')}
                  </Link>
                )}{' '}
                {view.growth.leavesNow > 0 && (
                  <Link className="trail no-print inline-flex min-h-11 items-center" to={`/batches/${summary.number}/failing`}>
                    {say('Why are they failing?')}
                  </Link>
                )}
              </p>
            </section>
          )}
          {summary.balance.sown > 0 && (
            <section aria-label={say('Account')} className="board p-4">
              <h2 className="mb-2">{say('Its account, in cells')}</h2>
              <BalanceBar balance={summary.balance} needed={promised || summary.plants} promised={promised > 0} boughtIn={summary.boughtIn} />
              {summary.plantsMixed > 0 && (
                <p className="mt-2 border-l-4 border-ochre bg-ochre-wash p-2 text-sm text-ochre">
                  {say(
                    '{mixed, plural, one {# plant of them is mixed: its} other {# plants of them are mixed: their}} name is in doubt. They count for nothing that was promised, and can go only as mixed.',
                    { mixed: summary.plantsMixed },
                  )}
                </p>
              )}
              {view.plan.countsSeedlings && (
                <p className="text-sm text-pencil">
                  {say('Clumps: {plantsAlive} seedlings in {cells, plural, one {# cell} other {# cells}}; the order counts seedlings.', {
                    plantsAlive: view.summary.plantsAlive,
                    cells: summary.balance.alive,
                  })}
                </p>
              )}
            </section>
          )}
          <section aria-label={say('Record')}>
            <h2 className="mb-2">{say('What was done and seen')}</h2>
            <NoteForm batch={view.summary.number} />
            <ChangeList batch={view} />
          </section>
        </div>
      </div>
    </>
  );
}

/** The container its plants stand in and those still to come; those already passed are over. */
function containersAhead(view: BatchView): string {
  const ahead = view.layout.containers.slice(view.growth.pottingsDone);
  const path = ahead.reduce((before, next) => say('{before}, then {next}', { before, next }));
  return view.growth.pottingsDone > 0 ? say('now {path}', { path }) : path;
}

function StageWords({ view }: { view: BatchView }) {
  const { summary } = view;
  switch (summary.stage) {
    case 'PLANNED':
      if (summary.boughtIn) return <>{say('to arrive on {plannedSowDay}', { plannedSowDay: dayWords(view.plan.sowDay) })}</>;
      return (
        <>
          {say('to be sown on {plannedSowDay}{more}', {
            plannedSowDay: dayWords(view.plan.sowDay),
            more: view.plan.latestSowDay ? say(', at the latest {latestSowDay}', { latestSowDay: dayWords(view.plan.latestSowDay) }) : '',
          })}
        </>
      );
    case 'HARDENING_OFF':
      return (
        <>
          {say('hardening off, day {hardeningDays} of {programmeDays} done', {
            hardeningDays: view.hardening.days,
            programmeDays: view.hardening.programmeDays,
          })}
        </>
      );
    case 'READY':
      return <>{say('ready since {middle}', { middle: dayWords(summary.dates.ready?.middle ?? view.plan.sowDay) })}</>;
    default:
      return (
        <>
          {summary.boughtIn
            ? say('came {sowDay}', { sowDay: dayWords(summary.dates.sowDay) })
            : say('sown {sowDay}', { sowDay: dayWords(summary.dates.sowDay) })}
        </>
      );
  }
}

/** What a batch begins with. */
function beginning(summary: BatchView['summary']): string {
  if (summary.boughtIn) return summary.stage === 'PLANNED' ? say('To arrive') : say('Arrived');
  return summary.stage === 'PLANNED' ? say('To be sown') : say('Sown');
}

function rows(view: BatchView): PathRow[] {
  const { summary } = view;
  const day = (date: string) => ({ early: date, middle: date, late: date, certain: true });
  return [
    { name: beginning(summary), stage: summary.stage === 'PLANNED' ? 'PLANNED' : 'SOWN', spread: day(summary.dates.sowDay) },
    ...(summary.boughtIn ? [] : [{ name: say('Up'), stage: 'EMERGING' as const, spread: view.summary.dates.emerged }]),
    ...(summary.stage === 'HARDENING_OFF' || summary.stage === 'READY'
      ? [
          {
            name: say('Hardening'),
            stage: 'HARDENING_OFF' as const,
            spread: day(view.hardening.startedOn ?? summary.dates.sowDay),
            words: say('begun {hardeningStartedOn}', { hardeningStartedOn: shortDay(view.hardening.startedOn ?? summary.dates.sowDay) }),
          },
        ]
      : [{ name: say('Leaves enough'), stage: 'GROWING_ON' as const, spread: view.summary.dates.stageReached }]),
    { name: say('Ready'), stage: 'READY', spread: summary.dates.ready },
    { name: say('Past its best'), stage: 'PAST_BEST', spread: summary.dates.pastLimit },
  ];
}
