import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Work } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useChoices } from '../api/queries';
import { type Mark, StageMark } from '../look/StageMark';
import { Loading, Trouble } from '../look/States';
import { addDays, dayWords, isDay, longDay, monthWords, shortDay, weekdayWords, weekOf } from '../words/days';
import { say } from '../words/say';

const MARKS: Record<Work['kind'], Mark> = {
  SOAK: 'PLANNED',
  SOW: 'PLANNED',
  TAKE_IN: 'PLANNED',
  COUNT: 'EMERGING',
  MOVE: 'GROWING_ON',
  POT_ON: 'POTTED_ON',
  HARDEN: 'HARDENING_OFF',
  RELEASE: 'RELEASED',
  LOOK_FOR_FROST: 'HARDENING_OFF',
  DECIDE: 'FAILED',
  CLEAR: 'RELEASED',
  WATCH: 'PAST_BEST',
  FEED: 'GROWING_ON',
  TEND: 'GROWING_ON',
};

/** Work with a fixed place in the day, as few words as fit into a month's day. */
const NAMED: Partial<Record<Work['kind'], (variety: string) => string>> = {
  SOW: (variety) => say('Sow {variety}', { variety }),
  TAKE_IN: (variety) => say('Take in {variety}', { variety }),
  POT_ON: (variety) => say('Pot on {variety}', { variety }),
  RELEASE: (variety) => say('Release {variety}', { variety }),
};

/** More lines do not fit into a day of the month sheet. */
const NAMED_A_DAY = 4;

/** Sheets for the wall: a week with its work day by day, or a month at a glance; and feeds for calendars. */
export function WallPage({ today }: { today: string }) {
  const [month, setMonth] = useState(false);
  const [search] = useSearchParams();
  const asked = search.get('from');
  const [start, setStart] = useState(weekOf(asked && isDay(asked) ? asked : today));
  const first = month ? weekOf(`${start.slice(0, 8)}01`) : start;
  const weeks = month ? 5 : 1;
  const work = useQuery({
    queryKey: ['work', first, weeks],
    queryFn: () => answered(api.GET('/api/work', { params: { query: { from: first, to: addDays(first, 7 * weeks - 1) } } })),
  });
  const step = (by: number) => setStart(month ? weekOf(addDays(`${start.slice(0, 8)}15`, by * 30)) : addDays(start, by * 7));
  const days = [...Array(7 * weeks).keys()].map((day) => addDays(first, day));
  return (
    <div className={month ? 'month-page' : ''}>
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        <button className="act" onClick={() => step(-1)} aria-label={say('Earlier')}>
          ‹
        </button>
        <button className="act" onClick={() => step(1)} aria-label={say('Later')}>
          ›
        </button>
        <label className={`act ${month ? '' : 'act-main'}`}>
          <input type="radio" name="span" className="sr-only" checked={!month} onChange={() => setMonth(false)} />
          {say('Week')}
        </label>
        <label className={`act ${month ? 'act-main' : ''}`}>
          <input type="radio" name="span" className="sr-only" checked={month} onChange={() => setMonth(true)} />
          {say('Month')}
        </label>
        <button className="act act-main ml-auto" onClick={() => window.print()}>
          {say('Print')}
        </button>
      </div>
      <h1 className="mb-2">{month ? monthWords(addDays(first, 14)) : say('Week from {first}', { first: longDay(first) })}</h1>
      {work.isPending && <Loading what={say('the work ahead')} />}
      {work.isError && <Trouble error={work.error} retry={() => work.refetch()} />}
      {work.data && (month ? <MonthSheet days={days} work={work.data} today={today} /> : <WeekSheet days={days} work={work.data} today={today} />)}
      <Feeds />
    </div>
  );
}

function WeekSheet({ days, work, today }: { days: string[]; work: Work[]; today: string }) {
  return (
    <ol className="wall-sheet board divide-y divide-rule">
      {days.map((day) => {
        const here = work.filter((each) => each.day === day);
        return (
          <li key={day} className="grid gap-x-4 p-3 sm:grid-cols-[8rem_1fr]">
            <h2 className={day === today ? 'underline decoration-dusk decoration-3 underline-offset-4' : ''}>{dayWords(day)}</h2>
            {here.length === 0 && <p className="text-sm text-pencil">–</p>}
            <ul className="text-sm">
              {here.map((each) => (
                <li
                  key={`${each.batch}${each.kind}`}
                  className="grid break-inside-avoid grid-cols-[1.500rem_1fr] items-start gap-x-2 py-0.5 sm:grid-cols-[1.500rem_1fr_9rem_1.500rem]"
                >
                  <StageMark stage={MARKS[each.kind]} size={20} />
                  <span>
                    {each.words} <span className="text-pencil">({each.batch})</span>
                  </span>
                  <span className="col-start-2 text-pencil sm:col-start-auto">{each.place}</span>
                  <span aria-hidden className="hidden size-5 border border-ink print:block" />
                </li>
              ))}
            </ul>
          </li>
        );
      })}
    </ol>
  );
}

/** Only what has a fixed place in the day: sowings, pottings and releases; the rest is counted. */
function MonthSheet({ days, work, today }: { days: string[]; work: Work[]; today: string }) {
  return (
    <div className="board overflow-x-auto" tabIndex={0} role="group" aria-label={say('Month')}>
      <table className="w-full min-w-3xl table-fixed print:min-w-0 border-collapse text-xs">
        <thead>
          <tr>
            {days.slice(0, 7).map((day) => (
              <th key={day} className="border border-rule p-1 font-semibold">
                {weekdayWords(day)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...Array(days.length / 7).keys()].map((week) => (
            <tr key={week} className="break-inside-avoid">
              {days.slice(week * 7, week * 7 + 7).map((day) => {
                const here = work.filter((each) => each.day === day);
                const named = here.filter((each) => NAMED[each.kind]);
                const left = named.length - NAMED_A_DAY;
                const others = here.length - named.length;
                return (
                  <td key={day} className={`h-24 print:h-20 border border-rule p-1 align-top ${day === today ? 'bg-wash' : ''}`}>
                    <span className="font-semibold">{shortDay(day)}</span>
                    <ul>
                      {named.slice(0, NAMED_A_DAY).map((each) => (
                        <li key={`${each.batch}${each.kind}`} className="flex gap-1">
                          <StageMark stage={MARKS[each.kind]} size={14} />
                          <span className="truncate" title={each.words}>
                            {NAMED[each.kind]?.(each.variety)}
                          </span>
                        </li>
                      ))}
                      {left > 0 && <li className="text-pencil">{say('{left} more to sow, take in, pot or release', { left })}</li>}
                      {others > 0 && <li className="text-pencil">{say('{others} to count, move or harden', { others })}</li>}
                    </ul>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Addresses that a calendar program fetches. */
function Feeds() {
  const choices = useChoices();
  const [place, setPlace] = useState('');
  const make = useChange((id: number | undefined) =>
    id
      ? answered(api.POST('/api/calendar-feeds/places/{place}', { params: { path: { place: id } } }))
      : answered(api.POST('/api/calendar-feeds/mine')),
  );
  const address = make.data && `${window.location.origin}${make.data.path}`;
  return (
    <section aria-label={say('In a calendar')} className="no-print board mt-5 p-4 text-sm">
      <h2 className="mb-1">{say('In a calendar')}</h2>
      <p className="mb-2 text-pencil">{say('A calendar program can fetch this work (iCalendar). Whoever has the address can read it.')}</p>
      <div className="flex flex-wrap items-center gap-2">
        <select className="entry w-auto" aria-label={say('Whose calendar')} value={place} onChange={(event) => setPlace(event.target.value)}>
          <option value="">{say('All my work')}</option>
          {choices.data?.places.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </select>
        <button className="act" disabled={make.isPending} onClick={() => make.mutate(place ? Number(place) : undefined)}>
          {say('Show its address')}
        </button>
      </div>
      {address && (
        <p className="mt-2 break-all">
          <a className="trail" href={address}>
            {address}
          </a>
        </p>
      )}
    </section>
  );
}
