import { useState } from 'react';
import { Link } from 'react-router';
import type { BatchSummary, Stage } from '../api/client';
import { useBatches } from '../api/queries';
import { forWhom } from '../look/forWhom';
import { STAGE_WORDS, StageMark } from '../look/StageMark';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords, shortDay } from '../words/days';
import { chanceWords, VERDICT_WORDS } from '../words/phrases';
import { say } from '../words/say';
import { YearChoice } from '../look/YearChoice';

const PATH: Stage[] = ['PLANNED', 'SOWN', 'EMERGING', 'GROWING_ON', 'HARDENING_OFF', 'READY', 'RELEASED', 'FAILED'];

/** Every batch, by where it is on its path. */
export function BatchesPage({ mayPlan }: { mayPlan: boolean }) {
  const [search, setSearch] = useState('');
  const [withGone, setWithGone] = useState(false);
  const [year, setYear] = useState<number>();
  const batches = useBatches(withGone, year);
  if (batches.isPending) return <Loading what={say('batches')} />;
  if (batches.isError) return <Trouble error={batches.error} retry={() => batches.refetch()} />;
  const words = search.toLowerCase().split(' ').filter(Boolean);
  const shown = batches.data.filter((batch) => {
    const text =
      `${batch.number} ${batch.variety} ${batch.crop} ${forWhom(batch.promises)} ${batch.place} ${batch.trays.map((tray) => `t${tray}`).join(' ')}`.toLowerCase();
    return (withGone || year !== undefined || batch.stage !== 'RELEASED') && words.every((word) => text.includes(word));
  });
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-4">
        <h1>{say('Batches')}</h1>
        <input
          className="entry max-w-xs"
          type="search"
          aria-label={say('Find a batch')}
          placeholder={say('kale, T1012, warm room, a grower…')}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        {!year && (
          <label className="flex min-h-11 items-center gap-2">
            <input type="checkbox" className="size-5" checked={withGone} onChange={(event) => setWithGone(event.target.checked)} />
            {say('with those released')}
          </label>
        )}
        <YearChoice year={year} choose={setYear} />
        {mayPlan && (
          <Link to="/batches/buy" className="act ml-auto">
            {say('Buy plants in')}
          </Link>
        )}
      </div>
      {shown.length === 0 && <Nothing>{say('No batch fits. Look for fewer words, or take an order first.')}</Nothing>}
      {PATH.map((stage) => {
        const here = shown.filter((batch) => batch.stage === stage);
        if (here.length === 0) return null;
        return (
          <section key={stage} aria-label={STAGE_WORDS[stage]} className="mb-6">
            <h2 className="mb-1 flex items-center gap-2">
              <StageMark stage={stage} size={30} named />
              <span className="text-base font-normal text-pencil">{here.length}</span>
            </h2>
            <ul className="board divide-y divide-rule">
              {here.map((batch) => (
                <BatchRow key={batch.number} batch={batch} />
              ))}
            </ul>
          </section>
        );
      })}
    </>
  );
}

function BatchRow({ batch }: { batch: BatchSummary }) {
  const watched = batch.stage === 'SOWN' || batch.stage === 'EMERGING';
  const open = batch.stage !== 'RELEASED' && batch.stage !== 'FAILED' && batch.chance < 1;
  return (
    <li>
      <Link
        to={`/batches/${batch.number}`}
        className="grid min-h-14 gap-x-4 px-3 py-2 hover:bg-wash lg:grid-cols-[3rem_15rem_9rem_1fr_20rem] lg:items-center"
      >
        <span className="font-semibold">{batch.number}</span>
        <span>
          <strong>{batch.variety}</strong> <span className="text-pencil">{batch.crop.toLowerCase()}</span>
        </span>
        <span>{batch.place}</span>
        <span className="text-pencil">
          {batch.stage === 'PLANNED'
            ? batch.boughtIn
              ? say('to arrive {sowDay}', { sowDay: dayWords(batch.dates.sowDay) })
              : say('sow {sowDay}', { sowDay: dayWords(batch.dates.sowDay) })
            : cellsWords(batch)}
          {watched && (batch.verdict === 'LATE' || batch.verdict === 'FAILING') && (
            <strong className="ml-2 text-brick">{VERDICT_WORDS[batch.verdict].toLowerCase()}</strong>
          )}
        </span>
        <span className="text-sm">
          {batch.dates.ready &&
            say('ready {early}{what}, ', {
              early: shortDay(batch.dates.ready.early),
              what: batch.dates.ready.early === batch.dates.ready.late ? '' : ` – ${shortDay(batch.dates.ready.late)}`,
            })}
          {batch.promises.length > 0
            ? say('wanted {target}', { target: shortDay(batch.dates.target) })
            : say('grown for {target}', { target: shortDay(batch.dates.target) })}
          {batch.shares.free > 0 && batch.stage !== 'RELEASED' && batch.stage !== 'FAILED' && (
            <strong className="ml-2">{say('{free} free', { free: batch.shares.free })}</strong>
          )}
          {open && (
            <span className={`block ${batch.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}`}>
              {say('in time {chance}', { chance: chanceWords(batch.chance) })}
            </span>
          )}
        </span>
      </Link>
    </li>
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
