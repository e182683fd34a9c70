import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { SpaceView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useSpace } from '../api/queries';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { addDays, beginsWeek, daysBetween, shortDay, toDate } from '../words/days';
import { chanceWords } from '../words/phrases';
import { AssignAll } from './AssignAll';
import { DayThere } from './DayThere';
import { roomFigures } from './roomFigures';
import { SpaceTabs } from './SpaceTabs';
import { spaceHelpWords } from '../words/reasons';
import { say } from '../words/say';
import { degrees, figures, temperature } from '../words/quantity';

type PlaceInTime = SpaceView['places'][number];
type Overflow = SpaceView['overflows'][number];

const DAYS_SHOWN = 140;

/** Room on the benches through the season. */
export function SpacePage({ mayChange }: { mayChange: boolean }) {
  const space = useSpace();
  const [chosen, setChosen] = useState<Overflow>();
  const [looked, setLooked] = useState<{ place: number; day: string }>();
  if (space.isPending) return <Loading what={say('the places')} />;
  if (space.isError) return <Trouble error={space.error} retry={() => space.refetch()} />;
  const overflows = space.data.overflows.filter((each) => each.from < addDays(space.data.firstDay, DAYS_SHOWN));
  return (
    <>
      <SpaceTabs />
      <div className="mb-3 flex flex-wrap items-baseline gap-x-4">
        <h1>{say('Space through time')}</h1>
        <p className={overflows.length > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {overflows.length > 0
            ? say('{places, plural, one {# place} other {# places}} over-full at some time', {
                places: new Set(overflows.map((each) => each.placeId)).size,
              })
            : say('Everything has room.')}
        </p>
      </div>
      {mayChange && <AssignAll />}
      <ol className="board">
        <li className="sticky top-0 z-10 grid grid-cols-1 border-b border-ink bg-board sm:grid-cols-[15rem_1fr]">
          <span className="hidden px-2 py-1 text-xs text-pencil sm:block">{say('grey: tray places used; line: what it holds')}</span>
          <Axis firstDay={space.data.firstDay} />
        </li>
        {space.data.places.map((place) => (
          <PlaceLane
            key={place.id}
            place={place}
            firstDay={space.data.firstDay}
            overflows={overflows.filter((each) => each.placeId === place.id)}
            chosen={chosen}
            choose={setChosen}
            look={(day) => setLooked({ place: place.id, day })}
          >
            {looked?.place === place.id && (
              <DayThere
                place={place}
                day={looked.day}
                first={space.data.firstDay}
                last={addDays(space.data.firstDay, DAYS_SHOWN - 1)}
                choose={(day) => setLooked({ place: place.id, day })}
                close={() => setLooked(undefined)}
              />
            )}
            {chosen?.placeId === place.id && <Help overflow={chosen} space={space.data} mayChange={mayChange} />}
          </PlaceLane>
        ))}
      </ol>
      {!chosen && overflows.length > 0 && (
        <p className="mt-3 text-sm text-pencil">{say('Press a time that lacks room to see what could be done.')}</p>
      )}
    </>
  );
}

function PlaceLane({
  place,
  firstDay,
  overflows,
  chosen,
  choose,
  look,
  children,
}: {
  place: PlaceInTime;
  firstDay: string;
  overflows: Overflow[];
  chosen: Overflow | undefined;
  choose: (overflow: Overflow) => void;
  look: (day: string) => void;
  children: ReactNode;
}) {
  const used = place.used.slice(0, DAYS_SHOWN);
  const most = Math.max(place.slots * 1.15, ...used);
  const at = (day: string) => ((toDate(day).getTime() - toDate(firstDay).getTime()) / 86_400_000 / DAYS_SHOWN) * 100;
  const fullest = Math.max(...used);
  // The line of what it holds is drawn only while the place is there.
  const inDays = (day: string) => Math.min(DAYS_SHOWN, Math.max(0, daysBetween(firstDay, day)));
  const thereFrom = place.existsFrom ? inDays(place.existsFrom) : 0;
  const thereUntil = place.existsUntil ? inDays(addDays(place.existsUntil, 1)) : DAYS_SHOWN;
  const [lookedFor, lane] = useLookedFor(place.id);
  const points = used.flatMap((slots, day) => [`${day},${100 - (slots / most) * 100}`, `${day + 1},${100 - (slots / most) * 100}`]);
  return (
    <li
      ref={lane}
      className={`grid grid-cols-1 border-b border-rule sm:grid-cols-[15rem_1fr] ${lookedFor ? 'bg-wash outline-2 -outline-offset-2 outline-dusk' : ''}`}
    >
      <div className="p-2 text-sm">
        <p className="font-semibold">
          {place.walkingOrder}. {place.name}
        </p>
        <p className="text-xs text-pencil">
          {say('{what}{more}; holds {slots}', {
            what:
              place.day !== undefined && place.day !== null
                ? `${figures(temperature(place.day))} / ${degrees(place.night!, 0)}`
                : say('{mean} now, {later} in 8 weeks', { mean: degrees(place.mean[0]!, 0), later: degrees(place.mean[8]!, 0) }),
            more: place.lampLight > 0 ? say(', lamps') : '',
            slots: place.slots,
          })}
          {place.existsFrom && place.existsFrom > firstDay && say(', there from {day}', { day: shortDay(place.existsFrom) })}
          {place.existsUntil && say(', there until {day}', { day: shortDay(place.existsUntil) })}
        </p>
        {fullest === 0 ? (
          <p className="text-xs text-pencil">{say('nothing stands there')}</p>
        ) : (
          <button
            type="button"
            className="trail min-h-11 text-xs sm:min-h-8"
            aria-label={say('{name}: what stands there when it is fullest, {fullest} tray places', {
              name: place.name,
              fullest: roomFigures(fullest),
            })}
            onClick={() => look(addDays(firstDay, used.indexOf(fullest)))}
          >
            {say('fullest {fullest}, {day}', { fullest: roomFigures(fullest), day: shortDay(addDays(firstDay, used.indexOf(fullest))) })}
          </button>
        )}
        <ul className="flex flex-wrap gap-x-3">
          {overflows.map((overflow) => (
            <li key={overflow.from}>
              <button
                type="button"
                aria-pressed={chosen === overflow}
                className="min-h-11 text-left text-xs font-semibold text-brick sm:min-h-8 underline underline-offset-2"
                aria-label={say('{name} lacks {over} tray places from {from} to {to}', {
                  name: place.name,
                  over: Math.ceil(overflow.over),
                  from: shortDay(overflow.from),
                  to: shortDay(overflow.to),
                })}
                onClick={() => choose(overflow)}
              >
                {say('lacks {over}, {from}{more}', {
                  over: Math.ceil(overflow.over),
                  from: shortDay(overflow.from),
                  more: overflow.to !== overflow.from ? ` – ${shortDay(overflow.to)}` : '',
                })}
              </button>
            </li>
          ))}
        </ul>
      </div>
      <div className="relative h-16 sm:h-full sm:min-h-16 sm:border-l sm:border-rule">
        <svg
          className="absolute inset-0 h-full w-full"
          viewBox={`0 0 ${DAYS_SHOWN} 100`}
          preserveAspectRatio="none"
          role="img"
          aria-label={say('{name}: holds {slots} trays, at most {fullest} used', {
            name: place.name,
            slots: place.slots,
            fullest: Math.round(fullest),
          })}
        >
          <polygon points={`0,100 ${points.join(' ')} ${DAYS_SHOWN},100`} className="fill-dusk/30" />
          <line
            x1={thereFrom}
            x2={thereUntil}
            y1={100 - (place.slots / most) * 100}
            y2={100 - (place.slots / most) * 100}
            className="stroke-ink"
            strokeWidth="1.500"
            vectorEffect="non-scaling-stroke"
          />
        </svg>
        {overflows.map((overflow) => (
          <span
            key={overflow.from}
            aria-hidden
            className={`absolute inset-y-0 min-w-1 border-x-2 border-brick bg-brick/25 ${chosen === overflow ? 'outline-3 outline-brick' : ''}`}
            style={{ left: `${at(overflow.from)}%`, width: `${at(addDays(overflow.to, 1)) - at(overflow.from)}%` }}
          />
        ))}
        {/* A shortcut for the pointer; the button beside it and its days do the same with keys. */}
        <button
          type="button"
          tabIndex={-1}
          aria-label={say('{name}: what stands there on the day pressed', { name: place.name })}
          className="absolute inset-0 cursor-pointer"
          onClick={(event) => {
            const lane = event.currentTarget.getBoundingClientRect();
            look(addDays(firstDay, Math.min(DAYS_SHOWN - 1, Math.floor(((event.clientX - lane.left) / lane.width) * DAYS_SHOWN))));
          }}
        />
      </div>
      <div className="sm:col-span-2">{children}</div>
    </li>
  );
}

/** Brings the place that the address names into sight. */
function useLookedFor(place: number) {
  const lane = useRef<HTMLLIElement>(null);
  const [search] = useSearchParams();
  const lookedFor = search.get('place') === String(place);
  useEffect(() => {
    if (lookedFor) lane.current?.scrollIntoView({ block: 'center' });
  }, [lookedFor]);
  return [lookedFor, lane] as const;
}

function Axis({ firstDay }: { firstDay: string }) {
  const days = [...Array(DAYS_SHOWN).keys()].map((day) => addDays(firstDay, day)).filter(beginsWeek);
  return (
    <div className="relative h-6 text-xs text-pencil" aria-hidden>
      {days
        .filter((_, index) => index % 3 === 0)
        .map((day) => (
          <span
            key={day}
            // At the edge of a phone there is no room for another date.
            className={`absolute top-1 whitespace-nowrap ${daysBetween(firstDay, day) > DAYS_SHOWN * 0.85 ? 'max-sm:hidden' : ''}`}
            style={{ left: `min(${(daysBetween(firstDay, day) / DAYS_SHOWN) * 100}%, 100% - 4.5rem)` }}
          >
            {shortDay(day)}
          </span>
        ))}
    </div>
  );
}

/** What could be done about days that lack room, the least costly first. */
function Help({ overflow, space, mayChange }: { overflow: Overflow; space: SpaceView; mayChange: boolean }) {
  const placeName = (place: number) => space.places.find((each) => each.id === place)?.name ?? '';
  const query = { place: overflow.placeId, from: overflow.from, to: overflow.to };
  const suggestions = useQuery({
    queryKey: ['suggestions', query],
    queryFn: () => answered(api.GET('/api/space/suggestions', { params: { query } })),
  });
  const change = useChange((edit: NonNullable<NonNullable<typeof suggestions.data>[number]['edit']>) =>
    answered(api.POST('/api/board/changes', { body: { edit } })),
  );
  return (
    <section aria-label={say('What could be done')} className="border-t border-rule bg-wash p-4">
      <h2>
        {say('{place} lacks {places, plural, one {# tray place} other {# tray places}}, {from} – {to}', {
          place: overflow.place,
          places: Math.ceil(overflow.over),
          from: shortDay(overflow.from),
          to: shortDay(overflow.to),
        })}
      </h2>
      <p className="mb-2 text-sm text-pencil">
        {say('Batches there:')}{' '}
        {overflow.batches.map((batch, index) => (
          <span key={batch}>
            {index > 0 && ', '}
            <Link className="trail" to={`/batches/${batch}`}>
              {batch}
            </Link>
          </span>
        ))}
      </p>
      {suggestions.isPending && <p role="status">{say('Looking for room…')}</p>}
      {suggestions.data?.length === 0 && <Nothing>{say('No single change would help here. Place all anew, or talk to a grower.')}</Nothing>}
      <ul>
        {suggestions.data?.map((each) => (
          <li key={JSON.stringify(each.help)} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1.5 text-sm">
            <span className="grow font-semibold">{spaceHelpWords(each.help, space.firstDay, placeName)}</span>
            <span className="text-pencil">
              {say('frees {places, plural, one {# place} other {# places}}; in time {chance}{more}', {
                places: Math.round(each.relief),
                chance: chanceWords(each.chance),
                more:
                  Math.round(each.chance * 20) !== Math.round(each.chanceBefore * 20)
                    ? say(', was {chanceBefore}', { chanceBefore: chanceWords(each.chanceBefore) })
                    : '',
              })}
            </span>
            {each.edit && mayChange && (
              <button className="act" disabled={change.isPending} onClick={() => change.mutate(each.edit!)}>
                {say('Do it')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Refusal message={change.error?.message} />
    </section>
  );
}
