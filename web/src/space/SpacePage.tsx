import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useSpace } from '../api/queries';
import { Loading, Trouble } from '../look/States';
import { useAddressed } from '../look/useAddressed';
import { addDays, beginsWeek, daysBetween, shortDay } from '../words/days';
import { say } from '../words/say';
import { AssignAll } from './AssignAll';
import { DayThere } from './DayThere';
import { PastYearChoice, WhatBreaks } from './InYear';
import { LacksInYear, RoomHelp } from './RoomHelp';
import { DAYS_SHOWN, type Overflow, RoomLane } from './RoomLane';
import { SpaceTabs } from './SpaceTabs';

const USUAL = { year: '' };

/** Room on the benches through the season: as most likely with what past years make of it, or in the weather of one of them. */
export function SpacePage({ mayChange }: { mayChange: boolean }) {
  const space = useSpace();
  const [{ year }, address] = useAddressed(USUAL);
  const spread = useQuery({ queryKey: ['space', 'spread'], queryFn: () => answered(api.GET('/api/space/spread')), enabled: year === '' });
  const inYear = useQuery({
    queryKey: ['space', 'in-year', year],
    queryFn: () => answered(api.GET('/api/space/in-year', { params: { query: { year: Number(year) } } })),
    enabled: year !== '',
  });
  const [chosen, setChosen] = useState<Overflow>();
  const [looked, setLooked] = useState<{ place: number; day: string }>();
  if (space.isPending) return <Loading what={say('the places')} />;
  if (space.isError) return <Trouble error={space.error} retry={() => space.refetch()} />;
  const { firstDay } = space.data;
  const shown = (each: { from: string }) => each.from < addDays(firstDay, DAYS_SHOWN);
  const tried = year === '' ? undefined : inYear.data;
  const overflows = (tried ?? space.data).overflows.filter(shown);
  const risks = year === '' ? (spread.data?.risks.filter(shown) ?? []) : [];
  const overlaps = (risk: { placeId: number; from: string; to: string }, overflow: Overflow) =>
    risk.placeId === overflow.placeId && risk.from <= overflow.to && overflow.from <= risk.to;
  const further = risks.filter((risk) => !overflows.some((overflow) => overlaps(risk, overflow)));
  return (
    <>
      <SpaceTabs />
      <div className="mb-3 flex flex-wrap items-baseline gap-x-4">
        <h1>{say('Space through time')}</h1>
        {(year === '' || tried) && (
          <p className={overflows.length > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
            {roomWords(new Set(overflows.map((each) => each.placeId)).size, new Set(further.map((each) => each.placeId)).size)}
          </p>
        )}
      </div>
      {mayChange && <AssignAll />}
      <PastYearChoice
        name={say('in the weather')}
        none={say('as most likely, with what all past years make of it')}
        year={year === '' ? undefined : Number(year)}
        choose={(next) => {
          setChosen(undefined);
          setLooked(undefined);
          address({ year: next === undefined ? '' : String(next) });
        }}
      />
      {year !== '' && inYear.isPending && <Loading what={say('what breaks in the weather of {year}', { year })} />}
      {inYear.isError && year !== '' && <Trouble error={inYear.error} retry={() => inYear.refetch()} />}
      {tried && <WhatBreaks inYear={tried} mayPlay={mayChange} />}
      {/* Of a year that is not worked out yet nothing is drawn: the usual one would pass for it. */}
      <ol className="board" hidden={year !== '' && !tried}>
        <li className="sticky top-0 z-10 grid grid-cols-1 border-b border-ink bg-board sm:grid-cols-[15rem_1fr]">
          <span className="hidden px-2 py-1 text-xs text-pencil sm:block">
            {year === ''
              ? say('grey: tray places used; dashes: enough in 9 of 10 years; line: what it holds')
              : say('grey: tray places used; line: what it holds')}
          </span>
          <Axis firstDay={firstDay} />
        </li>
        {space.data.places.map((place) => (
          <RoomLane
            key={place.id}
            place={place}
            used={tried?.places.find((each) => each.id === place.id)?.used ?? place.used}
            enough={year === '' ? spread.data?.places.find((each) => each.id === place.id)?.nineOfTen : undefined}
            firstDay={firstDay}
            overflows={overflows.filter((each) => each.placeId === place.id)}
            risks={further.filter((each) => each.placeId === place.id)}
            chosen={chosen}
            choose={setChosen}
            look={year === '' ? (day) => setLooked({ place: place.id, day }) : undefined}
          >
            {looked?.place === place.id && (
              <DayThere
                place={place}
                overYears={spread.data?.places.find((each) => each.id === place.id)}
                day={looked.day}
                first={firstDay}
                last={addDays(firstDay, DAYS_SHOWN - 1)}
                choose={(day) => setLooked({ place: place.id, day })}
                close={() => setLooked(undefined)}
              />
            )}
            {chosen?.placeId === place.id && year !== '' && <LacksInYear overflow={chosen} year={year} />}
            {chosen?.placeId === place.id && year === '' && (
              <RoomHelp overflow={chosen} space={space.data} risk={risks.find((risk) => overlaps(risk, chosen))} mayChange={mayChange} />
            )}
          </RoomLane>
        ))}
      </ol>
      {!chosen && year === '' && overflows.length > 0 && (
        <p className="mt-3 text-sm text-pencil">{say('Press a time that lacks room to see what could be done.')}</p>
      )}
    </>
  );
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

/** Whether there is room: as most likely, and in some years. */
function roomWords(overFull: number, inSomeYears: number): string {
  if (overFull === 0 && inSomeYears === 0) return say('Everything has room.');
  if (overFull === 0)
    return say('Everything has room as most likely; in some years {places, plural, one {# place has} other {# places have}} not', {
      places: inSomeYears,
    });
  const now = say('{places, plural, one {# place} other {# places}} over-full at some time', { places: overFull });
  if (inSomeYears === 0) return now;
  return now + say('; {places, plural, one {# more place} other {# more places}} in some years', { places: inSomeYears });
}
