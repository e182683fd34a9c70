import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { InYearView, PastYear } from '../api/client';
import { answered, api } from '../api/client';
import { LongList } from '../look/LongList';
import { Nothing } from '../look/States';
import { daysBetween, shortDay } from '../words/days';
import { degrees } from '../words/quantity';
import { say } from '../words/say';

const REMEMBERED: Record<PastYear['rememberedFor'][number], string> = {
  COLDEST_SPRING: say('coldest spring'),
  EARLIEST_FROST: say('earliest autumn frost'),
  HOTTEST_EARLY_SUMMER: say('hottest early summer'),
};

/** "2013: coldest spring; spring 6.1 °C, first frost 12 Oct, early summer 21 °C by day". */
function yearWords(year: PastYear): string {
  const told = [
    year.spring != null && say('spring {mean}', { mean: degrees(year.spring, 1) }),
    year.firstFrost && say('first frost {day}', { day: shortDay(year.firstFrost) }),
    year.earlySummer != null && say('early summer {high} by day', { high: degrees(year.earlySummer, 0) }),
  ].filter(Boolean);
  const remembered = year.rememberedFor.map((each) => REMEMBERED[each]).join(', ');
  return `${year.year}: ${[remembered, told.join(', ')].filter(Boolean).join('; ')}`;
}

const usePastYears = () => useQuery({ queryKey: ['past-years'], queryFn: () => answered(api.GET('/api/space/years')) });

/** Chooses a past year by what it was like; those that people remember stand first. Nothing to see until they are known. */
export function PastYearChoice({
  name,
  none,
  year,
  choose,
}: {
  name: string;
  /** What stands there while no year is chosen. */
  none: string;
  year: number | undefined;
  choose: (year: number | undefined) => void;
}) {
  const years = usePastYears();
  if (!years.data) return null;
  const groups: [string, PastYear[]][] = [
    [say('years to remember'), years.data.years.filter((each) => each.rememberedFor.length > 0)],
    [say('other years'), years.data.years.filter((each) => each.rememberedFor.length === 0)],
  ];
  return (
    <div className="no-print mb-3">
      <label className="flex min-h-11 flex-wrap items-center gap-x-2">
        {name}
        <select
          className="entry w-full max-w-full min-w-0 sm:w-auto"
          value={year ?? ''}
          onChange={(event) => choose(event.target.value === '' ? undefined : Number(event.target.value))}
        >
          <option value="">{none}</option>
          {groups.map(([group, all]) => (
            <optgroup key={group} label={group}>
              {all.map((each) => (
                <option key={each.year} value={each.year}>
                  {yearWords(each)}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </label>
      {years.data.estimated && (
        <p className="text-sm text-pencil">
          {say('These years are estimated: they were drawn from what you told of your climate, nobody measured them.')}
        </p>
      )}
    </div>
  );
}

/** What does not go well in the weather of one past year: places that lack room, batches late, past their best or never ready. */
export function WhatBreaks({ inYear, mayPlay }: { inYear: InYearView; mayPlay: boolean }) {
  const nothing = inYear.broken.length === 0 && inYear.overflows.length === 0;
  return (
    <section aria-label={say('What breaks')} className="mb-4">
      <h2>{say('What breaks in the weather of {year}', { year: String(inYear.year) })}</h2>
      <p className="mb-2 text-sm text-pencil">{say('Every batch grows at its middling pace; what is done by hand is done in time.')}</p>
      {mayPlay && (
        <p className="mb-2">
          <Link className="trail inline-flex min-h-11 items-center" to="/season/play">
            {say('Play it through in a copy')}
          </Link>
        </p>
      )}
      {nothing && <Nothing>{say('Nothing: all is ready in time and has room.')}</Nothing>}
      {inYear.broken.length > 0 && (
        <LongList
          name={say('batches that do not go well')}
          rows={inYear.broken.map((each) => ({
            key: String(each.batch),
            content: (
              <p className="flex flex-wrap items-center gap-x-3 px-2 text-sm sm:py-2">
                <Link className="trail inline-flex min-h-11 items-center sm:min-h-0" to={`/batches/${each.batch}`}>
                  {say('Batch {batch}, {variety}', { batch: each.batch, variety: each.variety })}
                </Link>
                <span>{brokenWords(each)}</span>
                {each.usual && <span className="text-pencil">{say('as in most years')}</span>}
              </p>
            ),
          }))}
        />
      )}
    </section>
  );
}

function brokenWords({ goesWrong, target, day }: InYearView['broken'][number]): string {
  switch (goesWrong) {
    case 'LATE':
      return say('{days, plural, one {# day} other {# days}} late: ready {ready}, wanted {target}', {
        days: daysBetween(target, day!),
        ready: shortDay(day!),
        target: shortDay(target),
      });
    case 'PAST_BEST':
      return say('past its best from {day}, wanted {target}', { day: shortDay(day!), target: shortDay(target) });
    case 'NEVER_READY':
      return say('not ready before the season ends, wanted {target}', { target: shortDay(target) });
  }
}
