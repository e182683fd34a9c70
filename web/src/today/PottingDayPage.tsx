import { useState } from 'react';
import { Link } from 'react-router';
import type { PottingDayView, TaskKind } from '../api/client';
import { usePottingDay } from '../api/queries';
import { Caution, Loading, Nothing, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { places, volume } from '../words/quantity';
import { minutesWords } from '../words/phrases';
import { say } from '../words/say';
import { PottingOrder } from './PottingOrder';
import { RoundTabs } from './RoundTabs';

const MOST_HANDS = 6;

/** A morning's potting: which batches, in which order, what it takes, and where the pots will stand. */
export function PottingDayPage() {
  const [hands, setHands] = useState(1);
  const [batches, setBatches] = useState<number[]>();
  const day = usePottingDay(hands, batches);
  if (day.isPending) return <Loading what={say('the potting')} />;
  if (!day.data) return <Trouble error={day.error} retry={() => day.refetch()} />;
  const view = day.data;
  const chosen = batches ?? view.pottable.filter((each) => each.due).map((each) => each.batch);
  const toggle = (batch: number) => setBatches(chosen.includes(batch) ? chosen.filter((each) => each !== batch) : [...chosen, batch]);
  return (
    <>
      <RoundTabs />
      <h1>{say('Potting')}</h1>
      {view.pottable.length === 0 ? (
        <Nothing>{say('Nothing wants larger pots today or within five days.')}</Nothing>
      ) : (
        <>
          <p className="mb-3">
            {view.steps.length === 0
              ? say('Choose what is to be potted.')
              : say('{plants, plural, one {# plant} other {# plants}} of {batches, plural, one {# batch} other {# batches}}: about {time}.', {
                  plants: view.steps.reduce((sum, step) => sum + step.plants, 0),
                  batches: view.steps.length,
                  time: minutesWords(view.minutes),
                })}
          </p>
          <div className="grid items-start gap-5 lg:grid-cols-2">
            <section className="board p-4" aria-label={say('What is potted')}>
              <h2 className="mb-1">{say('What is potted')}</h2>
              <div className="mb-2 flex flex-wrap items-center gap-2" role="group" aria-label={say('Hands')}>
                <span>{say('Hands')}</span>
                {Array.from({ length: MOST_HANDS }, (_, index) => index + 1).map((count) => (
                  <button
                    key={count}
                    type="button"
                    className={`act min-w-11 ${count === hands ? 'act-main' : ''}`}
                    aria-pressed={count === hands}
                    onClick={() => setHands(count)}
                  >
                    {count}
                  </button>
                ))}
              </div>
              <Pottable view={view} chosen={chosen} toggle={toggle} />
            </section>
            <section className="board p-4" aria-label={say('What it takes')}>
              <h2 className="mb-1">{say('What it takes')}</h2>
              <Takes view={view} />
              <Rooms view={view} />
            </section>
            {view.steps.length > 0 && (
              <section className="board p-4 lg:col-span-2" aria-label={say('In this order')}>
                <h2 className="mb-1">{say('In this order')}</h2>
                <p className="mb-2 text-sm text-pencil">
                  {say('One kind of pot after the other, in each one crop after the other, so that pots, mix and labels are handled once.')}
                </p>
                <PottingOrder view={view} />
                <div className="mt-3">
                  <Caution>
                    {say('Dust of dry mix: damp it down and wear a mask. Bagged compost: open it away from the face, wear gloves, wash hands.')}
                  </Caution>
                </div>
              </section>
            )}
          </div>
        </>
      )}
    </>
  );
}

function Pottable({ view, chosen, toggle }: { view: PottingDayView; chosen: number[]; toggle: (batch: number) => void }) {
  return (
    <ul className="divide-y divide-rule">
      {view.pottable.map((each) => (
        <li key={each.batch}>
          <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
            <input type="checkbox" className="size-5 accent-dusk" checked={chosen.includes(each.batch)} onChange={() => toggle(each.batch)} />
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{each.variety}</span>{' '}
              {say('({crop}, batch {batch}), {plants, plural, one {# plant} other {# plants}}', {
                crop: each.crop.toLowerCase(),
                batch: each.batch,
                plants: each.plants,
              })}
            </span>
            <span className={`shrink-0 text-sm ${each.by && each.by < view.today ? 'font-semibold text-brick' : 'text-pencil'}`}>
              {each.by ? say('by {day}', { day: dayWords(each.by) }) : each.due ? say('now') : ''}
            </span>
          </label>
        </li>
      ))}
    </ul>
  );
}

function Takes({ view }: { view: PottingDayView }) {
  const mixShort = view.mixLitres > view.mixThere;
  return (
    <ul className="mb-3 flex flex-col gap-1">
      {view.pots.map((pot) => (
        <li key={pot.container} className={pot.inShed != null && pot.inShed < pot.pieces ? 'font-semibold text-brick' : ''}>
          {pot.inShed == null
            ? say('{name}: {pieces}; nobody has counted the shed', { pieces: pot.pieces, name: pot.name })
            : say('{name}: {pieces}, of {there} in the shed', { pieces: pot.pieces, name: pot.name, there: pot.inShed })}
        </li>
      ))}
      <li className={mixShort ? 'font-semibold text-brick' : ''}>
        {say('about {litres} of potting mix; {there} made', { litres: volume(view.mixLitres), there: volume(view.mixThere) })}{' '}
        {mixShort && (
          <Link className="trail inline-flex min-h-11 items-center" to={`/mix/barrow?litres=${Math.ceil(view.mixLitres - view.mixThere)}`}>
            {say('Make a mix')}
          </Link>
        )}
      </li>
      <li>{say('{labels, plural, one {# label} other {# labels}}, one for each carrier', { labels: view.labels })}</li>
    </ul>
  );
}

const LEAVES: Partial<Record<TaskKind, string>> = {
  MOVE_TO_GROW_ON: say('move it to grow on'),
  START_HARDENING: say('begin hardening'),
  RELEASE: say('release it'),
  CLEAR_SPARES: say('clear its spares'),
};

/** Where the pots will stand, and what goes first where there is too little room. */
function Rooms({ view }: { view: PottingDayView }) {
  return (
    <>
      {view.rooms.map((room) => (
        <div key={room.placeId} className="mb-2">
          <p className={room.more > room.free ? 'font-semibold text-brick' : ''}>
            {say('{place}: {more} tray places more, {free} free', {
              place: room.place,
              more: places(Math.max(0, room.more)),
              free: places(Math.max(0, room.free)),
            })}
          </p>
          {room.more > room.free && (
            <>
              <p className="text-sm">
                {room.leaving.length > 0 ? say('What could go first:') : say('Nothing there is due to go: put some elsewhere.')}
              </p>
              <ul className="list-disc pl-5 text-sm">
                {room.leaving.map((each) => (
                  <li key={each.batch}>
                    <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${each.batch}`}>
                      {say('{variety}, batch {batch}', { variety: each.variety, batch: each.batch })}
                    </Link>
                    {say(': {what}, {slots} tray places', { what: LEAVES[each.task] ?? '', slots: places(each.slots) })}
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      ))}
      <Link className="trail inline-flex min-h-11 items-center text-sm" to="/space">
        {say('Room in the weeks ahead, with the ways out')}
      </Link>
    </>
  );
}
