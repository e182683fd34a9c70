import { useMemo } from 'react';
import { Link } from 'react-router';
import type { BatchSummary, Stage } from '../api/client';
import { useBatches, useSession } from '../api/queries';
import { forWhom } from '../look/forWhom';
import { ListTools } from '../look/ListTools';
import { LongList, type ListRow } from '../look/LongList';
import { StageMark } from '../look/StageMark';
import { Loading, Nothing, Trouble } from '../look/States';
import { TimeAxis } from '../look/TimeAxis';
import { TowardsTarget } from '../look/TowardsTarget';
import { type TimeScale, timeScale } from '../look/timeScale';
import { holds, useAddressed } from '../look/useAddressed';
import { addDays, dayWords, shortDay, spreadWords } from '../words/days';
import { chanceWords, VERDICT_WORDS } from '../words/phrases';
import { say } from '../words/say';
import { arranged, isPast, whyTight, wordsOf } from './batchLook';

const USUAL = { find: '', sort: 'target', group: 'stage', done: '', year: '' };
const DAYS_BEFORE = 21;
const DAYS_AFTER = 10;

/** Every batch, drawn towards its day, by where it is on its path or however else one likes. */
export function BatchesPage({ mayPlan }: { mayPlan: boolean }) {
  const [chosen, choose] = useAddressed(USUAL);
  const year = chosen.year === '' ? undefined : Number(chosen.year);
  const withGone = chosen.done !== '';
  const batches = useBatches(withGone, year);
  const today = useSession().data?.today ?? '';
  const shown = useMemo(
    () =>
      (batches.data ?? []).filter(
        (batch) => (withGone || year !== undefined || batch.stage !== 'RELEASED') && (chosen.find === '' || holds(wordsOf(batch), chosen.find)),
      ),
    [batches.data, withGone, year, chosen.find],
  );
  if (batches.isPending) return <Loading what={say('batches')} />;
  if (!batches.data) return <Trouble error={batches.error} retry={() => batches.refetch()} />;
  const tight = shown.filter((batch) => !isPast(batch) && batch.chance < 0.5).length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Batches')}</h1>
        <span className={tight > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {say('{shown, plural, one {# batch} other {# batches}}, {tight} tight', { shown: shown.length, tight })}
        </span>
        <Link to="/looking-back" className="trail ml-auto flex min-h-11 items-center">
          {say('Looking back')}
        </Link>
        <Link to="/trials" className="trail flex min-h-11 items-center">
          {say('Trials')}
        </Link>
        {mayPlan && (
          <Link to="/batches/buy" className="act">
            {say('Buy plants in')}
          </Link>
        )}
      </div>
      <ListTools
        chosen={chosen}
        choose={choose}
        find={say('Find a batch')}
        hint={say('kale, T1012, warm room, a grower…')}
        sorts={[
          ['target', say('by day wanted')],
          ['tight', say('tightest first')],
          ['variety', say('by variety')],
          ['number', say('by number')],
        ]}
        groups={[
          ['stage', say('stage by stage')],
          ['place', say('place by place')],
          ['crop', say('crop by crop')],
          ['week', say('week by week')],
          ['none', say('all in one')],
        ]}
      />
      {shown.length === 0 ? (
        <Nothing>{say('No batch fits. Look for fewer words, or take an order first.')}</Nothing>
      ) : (
        <BatchList batches={shown} sort={chosen.sort} group={chosen.group} today={today} />
      )}
    </>
  );
}

const COLUMNS = 'grid grid-cols-[3rem_1fr] gap-x-4 px-3 sm:grid-cols-[3rem_1fr_1fr] lg:grid-cols-[3rem_16rem_1fr_16rem]';

function BatchList({ batches, sort, group, today }: { batches: BatchSummary[]; sort: string; group: string; today: string }) {
  const scale = useMemo(() => {
    const targets = batches.map((batch) => batch.dates.target).sort();
    const first = targets[0]! < today ? targets[0]! : today;
    return timeScale(addDays(first, -DAYS_BEFORE), addDays(targets.at(-1)!, DAYS_AFTER));
  }, [batches, today]);
  const rows = useMemo(
    () =>
      arranged(batches, sort, group).flatMap(([name, here]): ListRow[] => [
        ...(name === '' ? [] : [{ key: `group ${name}`, heading: true, content: <GroupHead group={group} name={name} count={here.length} /> }]),
        ...here.map((batch) => ({ key: String(batch.number), content: <BatchRow batch={batch} scale={scale} today={today} /> })),
      ]),
    [batches, sort, group, scale, today],
  );
  return (
    <>
      <div className={`${COLUMNS} sticky top-0 z-[5] border-b border-ink bg-wall py-1 text-xs text-pencil`}>
        <span className="hidden lg:col-start-3 lg:block">
          <TimeAxis scale={scale} />
        </span>
        <span className="hidden lg:block">{say('box: may be ready; heavy line: wanted')}</span>
      </div>
      <LongList rows={rows} name={say('Batches')} />
    </>
  );
}

function GroupHead({ group, name, count }: { group: string; name: string; count: number }) {
  return (
    <h2 className="flex items-center gap-2 bg-wash px-3 py-1.5 text-base">
      {group === 'stage' ? (
        <StageMark stage={name as Stage} size={26} named />
      ) : group === 'week' ? (
        say('Week from {day}', { day: shortDay(name) })
      ) : (
        name
      )}
      <span className="font-normal text-pencil">{count}</span>
    </h2>
  );
}

function BatchRow({ batch, scale, today }: { batch: BatchSummary; scale: TimeScale; today: string }) {
  const watched = batch.stage === 'SOWN' || batch.stage === 'EMERGING';
  const why = whyTight(batch);
  const ready = isPast(batch) ? undefined : (batch.dates.ready ?? undefined);
  return (
    <Link
      to={`/batches/${batch.number}`}
      className={`${COLUMNS} min-h-14 items-center py-2 hover:bg-wash`}
      title={ready && say('ready {ready}; wanted {target}', { ready: spreadWords(ready), target: dayWords(batch.dates.target) })}
    >
      <span className="font-semibold">{batch.number}</span>
      <span className="min-w-0">
        <strong>{batch.variety}</strong> <span className="text-pencil">{batch.crop.toLowerCase()}</span>
        <span className="block text-sm text-pencil">
          {batch.place}, {forWhom(batch.promises)}
        </span>
      </span>
      <span className="col-span-2 min-w-0 sm:col-span-1">
        <TowardsTarget scale={scale} today={today} from={batch.dates.sowDay} ready={ready} target={batch.dates.target} />
      </span>
      <span className="col-span-2 text-sm sm:col-start-2 lg:col-span-1 lg:col-start-4">
        <span className="text-pencil">
          {batch.stage === 'PLANNED'
            ? batch.boughtIn
              ? say('to arrive {sowDay}', { sowDay: dayWords(batch.dates.sowDay) })
              : say('sow {sowDay}', { sowDay: dayWords(batch.dates.sowDay) })
            : cellsWords(batch)}
        </span>
        {watched && (batch.verdict === 'LATE' || batch.verdict === 'FAILING') && (
          <strong className="ml-2 text-brick">{VERDICT_WORDS[batch.verdict].toLowerCase()}</strong>
        )}
        {batch.shares.free > 0 && !isPast(batch) && <strong className="ml-2">{say('{free} free', { free: batch.shares.free })}</strong>}
        {!isPast(batch) && batch.chance < 1 && (
          <span className={`block ${batch.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}`}>
            {say('in time {chance}', { chance: chanceWords(batch.chance) })}
            {why && `: ${why}`}
          </span>
        )}
      </span>
    </Link>
  );
}

function cellsWords(batch: BatchSummary): string {
  const { balance } = batch;
  if (batch.problem) return batch.problem;
  if (batch.stage === 'RELEASED') return say('{released} released', { released: balance.released });
  if (batch.traysToSow > 0) return say('part sown, {traysToSow} to go', { traysToSow: batch.traysToSow });
  if (balance.waiting > 0) return say('{alive} of {sown} cells up', { alive: balance.alive, sown: balance.sown });
  return batch.boughtIn
    ? say('{alive} alive of {sown} brought in', { alive: balance.alive, sown: balance.sown })
    : say('{alive} alive of {sown} sown', { alive: balance.alive, sown: balance.sown });
}
