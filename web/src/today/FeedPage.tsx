import { useState } from 'react';
import { Link } from 'react-router';
import type { FeedingView } from '../api/client';
import { useFeeding, useSession } from '../api/queries';
import { useOutbox, useRecord, whyNot } from '../bench/useOutbox';
import { Caution, Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { doseAmount, figures, volume } from '../words/quantity';
import { say } from '../words/say';
import { FeedSettings } from './FeedSettings';
import { RoundTabs } from './RoundTabs';

type Due = FeedingView['batches'][number];

/** Feeding: what goes into the can, who wants some, and what was given. */
export function FeedPage({ today }: { today: string }) {
  const feeding = useFeeding();
  const role = useSession().data?.role;
  if (feeding.isPending) return <Loading what={say('the feeding')} />;
  if (!feeding.data) return <Trouble error={feeding.error} retry={() => feeding.refetch()} />;
  const { way, feeds, batches, given, recipes } = feeding.data;
  return (
    <>
      <RoundTabs />
      <h1 className="mb-2">{say('Feed')}</h1>
      {feeds.length > 0 && (
        <div className="mb-4">
          <Caution>{say('Concentrated feed burns skin, eyes and roots: gloves, by its label, away from children and animals.')}</Caution>
        </div>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_22rem]">
        <div className="flex min-w-0 flex-col gap-5">
          <IntoTheCan view={feeding.data} />
          {way.school === 'NEVER' && batches.length === 0 ? (
            <Nothing>
              {role === 'PROPAGATOR'
                ? say('Nobody has said yet when seedlings are fed here; until then nothing is called for.')
                : say('Nobody has said yet when seedlings are fed here. The propagator can say so on this page.')}
            </Nothing>
          ) : (
            <WhoIsFed batches={batches} feeds={feeds} today={today} />
          )}
          {given.length > 0 && <Given given={given} />}
        </div>
        {role === 'PROPAGATOR' && <FeedSettings way={way} recipes={recipes} />}
      </div>
    </>
  );
}

/** How much of each feed the nursery's can takes at its usual strength. */
function IntoTheCan({ view: { way, feeds } }: { view: FeedingView }) {
  if (feeds.length === 0) return <Nothing>{say('There is no feed in the store. Add one with what its label says.')}</Nothing>;
  return (
    <section aria-label={say('Into the can')} className="board p-4">
      <h2>{say('Into the can of {can}', { can: volume(way.canLitres) })}</h2>
      <p className="text-sm text-pencil">{say('{strength} mg of nitrogen in a litre', { strength: figures(way.strength) })}</p>
      <ul>
        {feeds.map(({ feed, dose }) => (
          <li key={feed.id} className="border-t border-rule py-2">
            <p className="flex flex-wrap items-baseline gap-x-3">
              <strong>{feed.name}</strong>
              <span className="text-sm text-pencil">
                {say('{nitrogen}–{phosphorus}–{potassium} %', { nitrogen: feed.nitrogen, phosphorus: feed.phosphorus, potassium: feed.potassium })}
              </span>
              <span className="ml-auto text-xl font-bold">{dose ? doseAmount(dose.forCan, feed.form) : say('holds no nitrogen: by its label')}</span>
            </p>
            {dose && (
              <p className="text-right text-sm text-pencil">{say('{perLitre} to a litre', { perLitre: doseAmount(dose.perLitre, feed.form) })}</p>
            )}
            {dose?.isStrong && (
              <p className="font-semibold text-brick">{say('A strong solution: it burns young roots. Half of it twice as often is safer.')}</p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function WhoIsFed({ batches, feeds, today }: { batches: Due[]; feeds: FeedingView['feeds']; today: string }) {
  const [feedId, setFeedId] = useState<number>();
  const [conductivity, setConductivity] = useState('');
  const [problem, setProblem] = useState<string>();
  const waiting = useOutbox().waiting.filter((letter) => letter.path.endsWith('/feedings'));
  const record = useRecord();
  const chosen = feedId ?? feeds[0]?.feed.id;
  const isSent = (batch: Due) => waiting.some((letter) => letter.path === `/api/batches/${batch.batch}/feedings`);
  const due = batches.filter((batch) => batch.due != null && batch.due <= today && !isSent(batch));
  const later = batches.filter((batch) => batch.due == null || batch.due > today || isSent(batch));
  const measured = conductivity.trim() === '' ? undefined : Number(conductivity.replace(',', '.'));
  const give = async (some: Due[]) => {
    if (chosen === undefined) return;
    if (measured !== undefined && Number.isNaN(measured)) {
      setProblem(say('The meter shows a number, mS/cm, or leave it empty.'));
      return;
    }
    try {
      for (const batch of some) {
        await record(
          `/api/batches/${batch.batch}/feedings`,
          { feedId: chosen, ...(measured === undefined ? {} : { conductivity: measured }) },
          say('feed for batch {batch}', { batch: batch.batch }),
        );
      }
      setProblem(undefined);
    } catch (thrown) {
      setProblem(whyNot(thrown));
    }
  };
  return (
    <section aria-label={say('Who is fed')}>
      <h2 className="mb-1">
        {due.length === 0
          ? say('Nobody wants feed today')
          : say('{batches, plural, one {# batch wants} other {# batches want}} feed', { batches: due.length })}
      </h2>
      {due.length > 0 && feeds.length > 0 && (
        <div className="mb-2 flex flex-wrap items-end gap-3">
          <label className="flex flex-col text-sm font-semibold">
            {say('With')}
            <select className="entry" value={chosen} onChange={(event) => setFeedId(Number(event.target.value))}>
              {feeds.map(({ feed }) => (
                <option key={feed.id} value={feed.id}>
                  {feed.name}
                </option>
              ))}
            </select>
          </label>
          <label className="flex w-36 flex-col text-sm font-semibold">
            {say('Meter, mS/cm')}
            <input className="entry" inputMode="decimal" value={conductivity} onChange={(event) => setConductivity(event.target.value)} />
          </label>
          <button className="act act-main" onClick={() => void give(due)}>
            {say('All {batches} were fed', { batches: due.length })}
          </button>
        </div>
      )}
      <Refusal message={problem} />
      <ul className={batches.length > 0 ? 'board divide-y divide-rule px-3' : ''}>
        {[...due, ...later].map((batch) => (
          <li key={batch.batch} className="flex flex-wrap items-center gap-x-4 py-1">
            <span className="min-w-0 grow">
              <Link className="trail inline-flex min-h-11 items-center font-semibold" to={`/batches/${batch.batch}`}>
                {batch.variety}
              </Link>{' '}
              <span className="text-pencil">
                {batch.crop.toLowerCase()}, {batch.place.toLowerCase()}
              </span>
              <span className="block text-sm text-pencil">
                {[
                  batch.reserveEnds <= today
                    ? say('its mix fed it until {day}', { day: dayWords(batch.reserveEnds) })
                    : say('its mix feeds it until {day}', { day: dayWords(batch.reserveEnds) }),
                  batch.lastFed != null && say('fed last {day}', { day: dayWords(batch.lastFed) }),
                  batch.due == null ? say('goes before it is due') : batch.due > today && say('next {day}', { day: dayWords(batch.due) }),
                ]
                  .filter(Boolean)
                  .join('; ')}
              </span>
            </span>
            {isSent(batch) ? (
              <span className="text-sm text-ochre">{say('waiting to be sent')}</span>
            ) : (
              due.includes(batch) &&
              feeds.length > 0 && (
                <button
                  className="act"
                  aria-label={say('Fed: {variety}, batch {batch}', { variety: batch.variety, batch: batch.batch })}
                  onClick={() => void give([batch])}
                >
                  {say('Fed')}
                </button>
              )
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Given({ given }: { given: FeedingView['given'] }) {
  return (
    <details>
      <summary className="trail min-h-11 content-center">{say('What was given lately')}</summary>
      <ul className="board divide-y divide-rule px-3 text-sm">
        {given.map((each, place) => (
          <li key={place} className="py-1.5">
            {say('{day}: batch {batch}, {feed}, {strength} mg/L{meter}{by}', {
              day: dayWords(each.fedOn),
              batch: each.batch,
              feed: each.feed,
              strength: figures(each.strength),
              meter: each.conductivity == null ? '' : say(', {conductivity} mS/cm', { conductivity: figures(each.conductivity, 1) }),
              by: each.by == null ? '' : say(', by {name}', { name: each.by }),
            })}
          </li>
        ))}
      </ul>
    </details>
  );
}
