import { useEffect, useRef, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { RoomRisk, SpaceView } from '../api/client';
import { addDays, daysBetween, shortDay, toDate } from '../words/days';
import { degrees, figures, temperature } from '../words/quantity';
import { say } from '../words/say';
import { roomFigures } from './roomFigures';
import { riskWords } from './riskWords';

export type PlaceInTime = SpaceView['places'][number];
export type Overflow = SpaceView['overflows'][number];

export const DAYS_SHOWN = 140;

/** A place with what stands there day by day, and when it lacks room. */
export function RoomLane({
  place,
  used: usedAll,
  enough: enoughAll,
  firstDay,
  overflows,
  risks,
  chosen,
  choose,
  look,
  children,
}: {
  place: PlaceInTime;
  used: number[];
  /** Tray places that are enough in nine of ten years, by day. */
  enough: number[] | undefined;
  firstDay: string;
  overflows: Overflow[];
  risks: RoomRisk[];
  chosen: Overflow | undefined;
  choose: (overflow: Overflow) => void;
  /** Missing where no day is opened. */
  look: ((day: string) => void) | undefined;
  children: ReactNode;
}) {
  const used = usedAll.slice(0, DAYS_SHOWN);
  const enough = enoughAll?.slice(0, DAYS_SHOWN) ?? [];
  const most = Math.max(place.slots * 1.15, ...used, ...enough);
  const at = (day: string) => ((toDate(day).getTime() - toDate(firstDay).getTime()) / 86_400_000 / DAYS_SHOWN) * 100;
  const fullest = Math.max(...used);
  const fullestWords = say('fullest {fullest}, {day}', { fullest: roomFigures(fullest), day: shortDay(addDays(firstDay, used.indexOf(fullest))) });
  // The line of what it holds is drawn only while the place is there.
  const inDays = (day: string) => Math.min(DAYS_SHOWN, Math.max(0, daysBetween(firstDay, day)));
  const thereFrom = place.existsFrom ? inDays(place.existsFrom) : 0;
  const thereUntil = place.existsUntil ? inDays(addDays(place.existsUntil, 1)) : DAYS_SHOWN;
  const [lookedFor, lane] = useLookedFor(place.id);
  const height = (slots: number) => 100 - (slots / most) * 100;
  const steps = (slots: number[]) => slots.flatMap((each, day) => [`${day},${height(each)}`, `${day + 1},${height(each)}`]).join(' ');
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
        ) : !look ? (
          <p className="text-xs text-pencil">{fullestWords}</p>
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
            {fullestWords}
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
        {risks.map((risk) => (
          <p key={risk.from} className="text-xs">
            {riskWords(risk)}
          </p>
        ))}
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
          <polygon points={`0,100 ${steps(used)} ${DAYS_SHOWN},100`} className="fill-dusk/30" />
          {enough.length > 0 && (
            <polyline
              points={steps(enough)}
              fill="none"
              className="stroke-dusk"
              strokeWidth="1.500"
              strokeDasharray="5 3"
              vectorEffect="non-scaling-stroke"
            />
          )}
          <line
            x1={thereFrom}
            x2={thereUntil}
            y1={height(place.slots)}
            y2={height(place.slots)}
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
        {risks.map((risk) => (
          <span
            key={risk.from}
            aria-hidden
            className="absolute inset-y-0 min-w-1 border-x-2 border-dotted border-brick"
            style={{ left: `${at(risk.from)}%`, width: `${at(addDays(risk.to, 1)) - at(risk.from)}%` }}
          />
        ))}
        {/* A shortcut for the pointer; the button beside it and its days do the same with keys. */}
        {look && (
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
        )}
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
