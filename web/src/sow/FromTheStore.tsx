import { Input } from '@headlessui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type SowingListView } from '../api/client';
import { useChange, useStoreSpots } from '../api/queries';
import { Refusal } from '../look/States';
import { figures, volume } from '../words/quantity';
import { say } from '../words/say';
import { LabelLink } from './LabelLink';
import { movedEarlier } from './storeWalk';

type Stop = SowingListView['store'][number];
type Fetched = Stop['things'][number];

/** What is taken along before one begins, in the order in which one walks past it. Labels are written first. */
export function FromTheStore({ list, labels }: { list: SowingListView; labels: number }) {
  const spots = useStoreSpots().data?.spots ?? [];
  return (
    <section aria-label={say('From the store')} className="board p-4">
      <h2 className="mb-1">{say('From the store')}</h2>
      <p className="text-sm">
        <LabelLink
          batches={list.groups.flatMap((group) => group.sowings.map((sowing) => sowing.batch))}
          words={say('Print {labels, plural, one {# label} other {# labels}} (PDF)', { labels })}
        />
      </p>
      <ol>
        {list.store.map((stop) => (
          <StoreStop key={stop.spot} stop={stop} spots={spots} isOnlyOne={list.store.length === 1} />
        ))}
      </ol>
    </section>
  );
}

function StoreStop({ stop, spots, isOnlyOne }: { stop: Stop; spots: string[]; isOnlyOne: boolean }) {
  const walk = useChange((ordered: string[]) => answered(api.PUT('/api/store/spots', { body: { spots: ordered } })));
  const earlier = movedEarlier(spots, stop.spot);
  return (
    <li className="mt-2">
      {(stop.spot || !isOnlyOne) && (
        <div className="flex items-center gap-2">
          <h3 className={stop.spot ? 'font-semibold' : 'text-pencil'}>{stop.spot || say('Not said where')}</h3>
          {earlier && (
            <button
              className="trail no-print ml-auto min-h-11 text-sm"
              aria-label={say('Walk past {spot} earlier', { spot: stop.spot })}
              disabled={walk.isPending}
              onClick={() => walk.mutate(earlier)}
            >
              {say('earlier')}
            </button>
          )}
        </div>
      )}
      <Refusal message={walk.error?.message} />
      <ul className="text-sm [&>li]:border-t [&>li]:border-rule [&>li]:py-1.5">
        {stop.things.map((thing) => (
          <li key={`${thing.kind} ${thing.code}`} className="flex flex-wrap items-center gap-x-4">
            <span className="mr-auto">{fetchedWords(thing)}</span>
            {thing.kind === 'MIX' && (
              <Link
                className="trail no-print inline-flex min-h-11 items-center"
                to={`/mix/barrow?recipe=${thing.code}&litres=${Math.ceil(thing.amount)}`}
              >
                {say('Barrow sheet')}
              </Link>
            )}
            <WhereKept thing={thing} spot={stop.spot} spots={spots} />
          </li>
        ))}
      </ul>
    </li>
  );
}

function fetchedWords(thing: Fetched): string {
  if (thing.kind === 'CONTAINER') {
    return `${figures(thing.amount)} × ${thing.name.toLowerCase()}`;
  }
  if (thing.kind === 'MIX') {
    return say('{volume} of {recipe}', { volume: volume(thing.amount), recipe: thing.name });
  }
  return say('packet {lot}, {variety}, {supplier}: {seeds, plural, one {# seed} other {# seeds}}', {
    lot: thing.code,
    variety: thing.name,
    supplier: thing.supplier,
    seeds: thing.amount,
  });
}

/** Said where it is fetched, once; the spots that there are are offered. */
function WhereKept({ thing, spot, spots }: { thing: Fetched; spot: string; spots: string[] }) {
  const [typed, setTyped] = useState<string>();
  const keep = useChange((where: string) => answered(api.PUT('/api/store/kept-at', { body: { kind: thing.kind, code: thing.code, spot: where } })));
  if (typed === undefined) {
    return (
      <button
        type="button"
        className="trail no-print min-h-11"
        aria-label={say('Say where {what} is kept', { what: thing.name })}
        onClick={() => setTyped(spot)}
      >
        {spot ? say('kept elsewhere') : say('kept where?')}
      </button>
    );
  }
  return (
    <form
      className="no-print flex w-full items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(typed, { onSuccess: () => setTyped(undefined) });
      }}
    >
      <Input
        autoFocus
        className="entry min-w-0 flex-1"
        list="store-spots"
        maxLength={40}
        aria-label={say('Where {what} is kept', { what: thing.name })}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <datalist id="store-spots">
        {spots.map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
      <button className="act" disabled={keep.isPending}>
        {say('Save')}
      </button>
      <Refusal message={keep.error?.message} />
    </form>
  );
}
