import { Input } from '@headlessui/react';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { BatchChoices, BoardBatch } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useNumberedChange, useSeason } from '../api/queries';
import { forWhom } from '../look/forWhom';
import { Field } from '../look/Field';
import { StageMark } from '../look/StageMark';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords, shortDay, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { remedyWords } from '../words/reasons';
import { say } from '../words/say';

/** A day moves, the ground is frozen, a batch is late: pick the batches, see what can be done, do it. */
export function ReschedulePage() {
  const season = useSeason(undefined);
  const [search, setSearch] = useState('');
  const asked = Number(useSearchParams()[0].get('batch'));
  const [picked, setPicked] = useState<Set<number>>(new Set(asked ? [asked] : []));
  const [days, setDays] = useState(asked ? '0' : '7');
  const look = useChange(() => answered(api.POST('/api/reschedule/choices', { body: { batches: [...picked], days: Number(days) } })));
  const { mutate } = look;
  useEffect(() => {
    if (asked) mutate(undefined);
  }, [asked, mutate]);
  if (season.isPending) return <Loading what={say('the season')} />;
  if (season.isError) return <Trouble error={season.error} retry={() => season.refetch()} />;
  const words = search.toLowerCase().split(' ').filter(Boolean);
  const shown = season.data.batches.filter((batch) =>
    words.every((word) =>
      `${batch.number} ${batch.variety} ${batch.crop} ${forWhom(batch.promises)} ${batch.chance < 0.5 ? say('at risk') : ''}`
        .toLowerCase()
        .includes(word),
    ),
  );
  const placeName = (place: number) => season.data.places.find((each) => each.id === place)?.name ?? '';
  const toggle = (batch: BoardBatch) => {
    const next = new Set(picked);
    if (!next.delete(batch.number)) next.add(batch.number);
    setPicked(next);
  };
  return (
    <>
      <p>
        <Link className="trail" to="/season">
          {say('Season')}
        </Link>
      </p>
      <h1 className="mb-3">{say('Reschedule')}</h1>
      <div className="grid gap-5 lg:grid-cols-[24rem_1fr]">
        <section aria-label={say('Which batches')} className="board h-fit p-4">
          <h2 className="mb-2">{say('Which batches')}</h2>
          <input
            className="entry mb-2"
            type="search"
            aria-label={say('Find batches')}
            placeholder={say('a grower, kale, at risk…')}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <p className="mb-1 flex gap-3 text-sm">
            <button className="trail min-h-11" onClick={() => setPicked(new Set(shown.slice(0, 60).map((batch) => batch.number)))}>
              {say('Pick these {value}', { value: Math.min(60, shown.length) })}
            </button>
            {picked.size > 0 && (
              <button className="trail min-h-11" onClick={() => setPicked(new Set())}>
                {say('Pick none')}
              </button>
            )}
          </p>
          <ul className="max-h-80 overflow-y-auto text-sm" tabIndex={0} aria-label={say('Batches')}>
            {shown.map((batch) => (
              <li key={batch.number} className="border-t border-rule">
                <label className="flex min-h-11 items-center gap-2">
                  <input type="checkbox" className="size-5 shrink-0" checked={picked.has(batch.number)} onChange={() => toggle(batch)} />
                  <StageMark stage={batch.stage} size={20} />
                  <span>
                    {batch.number} {batch.variety}, {forWhom(batch.promises)},{' '}
                    <span className={batch.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}>{shortDay(batch.dates.target)}</span>
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex items-end gap-3">
            <Field name={say('The day moves by')} problem={look.error?.problemAt('days')} hint={say('days; 0 where the batch is late')}>
              <Input className="entry" inputMode="numeric" value={days} onChange={(event) => setDays(event.target.value)} />
            </Field>
          </div>
          <button
            className="act act-main mt-3 w-full"
            disabled={picked.size === 0 || look.isPending || !/^-?\d+$/.test(days)}
            onClick={() => look.mutate(undefined)}
          >
            {look.isPending
              ? say('Working it out…')
              : say('What can be done for {batches, plural, one {# batch} other {# batches}}', { batches: picked.size })}
          </button>
          <Refusal message={look.error && !look.error.problemAt('days') ? look.error.message : undefined} />
        </section>
        <section aria-label={say('What can be done')} aria-live="polite" className="flex flex-col gap-4">
          {!look.data && (
            <Nothing>{say('Pick batches and say by how many days their day moves; each then has its choices here, the surest first.')}</Nothing>
          )}
          {look.data?.map((choices) => (
            <Choices key={choices.batch} choices={choices} placeName={placeName} />
          ))}
        </section>
      </div>
    </>
  );
}

function Choices({ choices, placeName }: { choices: BatchChoices; placeName: (place: number) => string }) {
  const take = useNumberedChange(({ remedy, target }: BatchChoices['choices'][number], requestId) =>
    answered(api.POST('/api/reschedule', { body: { requestId, batch: choices.batch, remedy, target } })),
  );
  return (
    <article className="board p-4 text-sm" aria-label={say('Batch {batch}', { batch: choices.batch })}>
      <h3>
        <Link className="trail" to={`/batches/${choices.batch}`}>
          {choices.batch} {choices.variety}
        </Link>
        {say(', {plants} for {promises}', { plants: choices.plants, promises: forWhom(choices.promises) })}
      </h3>
      <p className="text-pencil">
        {say('{what}; ready {ready}{more}.', {
          what:
            choices.target === choices.targetBefore
              ? say('Wanted {target}', { target: dayWords(choices.target) })
              : say('Wanted {target} instead of {targetBefore}', { target: dayWords(choices.target), targetBefore: dayWords(choices.targetBefore) }),
          ready: spreadWords(choices.ready),
          more: choices.pastLimit ? say(', past its best about {middle}', { middle: shortDay(choices.pastLimit.middle) }) : '',
        })}
      </p>
      {take.isSuccess ? (
        <p role="status" className="mt-2 font-semibold">
          {say('Done.')}
        </p>
      ) : (
        <ul className="mt-1">
          {choices.choices.map((choice) => (
            <li key={JSON.stringify(choice.remedy)} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1">
              <span className="grow">{remedyWords(choice.remedy, choice.target, placeName)}</span>
              <span className={choice.chance < 0.5 ? 'text-brick' : 'text-pencil'}>{chanceWords(choice.chance)}</span>
              <button className="act" disabled={take.isPending} onClick={() => take.mutate(choice)}>
                {say('Take this')}
              </button>
            </li>
          ))}
        </ul>
      )}
      <Refusal message={take.error?.message} />
    </article>
  );
}
