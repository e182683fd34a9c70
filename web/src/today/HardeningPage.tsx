import { useState } from 'react';
import { Link } from 'react-router';
import type { HardeningDaysView } from '../api/client';
import { useHardeningDays, useSession } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords, spreadWords, weekdayWords } from '../words/days';
import { minutesWords, trayWords } from '../words/phrases';
import { degrees, figures, length, temperature, wind } from '../words/quantity';
import { say } from '../words/say';
import { programmeInLine } from '../harden/programmeWords';
import { Programmes } from '../harden/Programmes';
import { causeWords, dayOutWords } from './hardeningWords';
import { OutingMark } from '../harden/OutingMark';
import { RoundTabs } from './RoundTabs';

type Batch = HardeningDaysView['batches'][number];
type Sky = HardeningDaysView['sky'][number];

const MOST_PEOPLE = 6;

/** What hardens off: its coming days by the forecast, and what is carried and covered today. */
export function HardeningPage() {
  const [people, setPeople] = useState(1);
  const mayMove = useSession().data?.role === 'PROPAGATOR';
  const hardening = useHardeningDays(people);
  if (hardening.isPending) return <Loading what={say('the hardening')} />;
  if (!hardening.data) return <Trouble error={hardening.error} retry={() => hardening.refetch()} />;
  const view = hardening.data;
  const today = view.sky[0]?.day;
  return (
    <>
      <RoundTabs />
      <h1 className="mb-1">{say('Hardening off')}</h1>
      {view.batches.length === 0 ? (
        <Nothing>{say('Nothing hardens off today. It is begun on the page of a batch that has its leaves.')}</Nothing>
      ) : (
        <>
          {view.sky.length === 0 && (
            <p className="mb-4 border-l-4 border-ochre bg-ochre-wash p-3">
              {say('Nothing is forecast, so no day can be judged: look at the sky yourself.')}{' '}
              <Link className="trail" to="/weather">
                {say('Type the forecast as you hear it')}
              </Link>
            </p>
          )}
          {view.sky.length > 0 && <SkyAhead sky={view.sky} />}
          <div className="mb-4 flex flex-wrap items-center gap-2" role="group" aria-label={say('People who carry')}>
            <span>{say('People who carry')}</span>
            {Array.from({ length: MOST_PEOPLE }, (_, index) => index + 1).map((count) => (
              <button
                key={count}
                type="button"
                className={`act min-w-11 ${count === people ? 'act-main' : ''}`}
                aria-pressed={count === people}
                onClick={() => setPeople(count)}
              >
                {count}
              </button>
            ))}
          </div>
          <div className="mb-4 grid items-start gap-5 lg:grid-cols-2">
            <Carried
              title={say('This morning')}
              people={people}
              minutes={view.outMinutes}
              lists={[[say('Carry out'), view.out]]}
              none={say('Nothing goes out today.')}
            />
            <Carried
              title={say('This evening')}
              people={people}
              minutes={view.inMinutes}
              lists={[
                [say('Bring in, the most tender first'), view.in],
                [say('Cover'), view.cover],
              ]}
              none={say('Nothing has to come in or be covered.')}
            />
          </div>
          <ul className="grid gap-4 xl:grid-cols-2">
            {view.batches.map((batch) => (
              <Hardens key={batch.batch} batch={batch} today={today} mayMove={mayMove} />
            ))}
          </ul>
        </>
      )}
      <Programmes mayChange={mayMove} />
    </>
  );
}

/** The days as they are forecast outdoors. */
function SkyAhead({ sky }: { sky: Sky[] }) {
  return (
    <ul aria-label={say('The days ahead')} className="board mb-4 grid grid-cols-2 gap-x-4 gap-y-2 p-3 text-sm sm:grid-cols-5">
      {sky.map((day) => (
        <li key={day.day}>
          <b>{dayWords(day.day)}</b>
          <span className="block">
            {say('{minimum} to {maximum}', { minimum: figures(temperature(day.minimum)), maximum: degrees(day.maximum, 0) })}
          </span>
          <span className="block text-pencil">
            {[
              day.gust != null && say('gusts {gust}', { gust: wind(day.gust) }),
              day.rain != null && day.rain >= 0.5 && say('rain {rain}', { rain: length(day.rain) }),
              day.hail != null && day.hail > 0 && say('hail {chance} %', { chance: Math.round(day.hail * 100) }),
              day.sun != null && say('sun {share} %', { share: Math.round(day.sun * 100) }),
            ]
              .filter(Boolean)
              .join(', ')}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Carried({
  title,
  people,
  minutes,
  lists,
  none,
}: {
  title: string;
  people: number;
  minutes: number;
  lists: [string, HardeningDaysView['out']][];
  none: string;
}) {
  const all = lists.flatMap(([, list]) => list);
  const trays = all.reduce((sum, each) => sum + each.trays.length, 0);
  return (
    <section aria-label={title} className="board p-4">
      <h2>{title}</h2>
      {all.length === 0 ? (
        <p className="text-sm text-pencil">{none}</p>
      ) : (
        <p className="text-sm text-pencil">
          {say('{trays, plural, one {# tray} other {# trays}}, about {time} with {people, plural, one {one person} other {# people}}', {
            trays,
            time: minutesWords(minutes),
            people,
          })}
        </p>
      )}
      {lists.map(
        ([name, list]) =>
          list.length > 0 && (
            <div key={name} className="mt-2">
              <h3 className="text-base">{name}</h3>
              <ol className="text-sm">
                {list.map((each) => (
                  <li key={each.batch} className="border-t border-rule py-1">
                    <b>{each.variety}</b> {trayWords(each.trays)}
                    <span className="block text-pencil">
                      {each.from === each.to
                        ? each.night === 'FLEECE'
                          ? say('fleece, in {place}', { place: each.from })
                          : say('frost blanket, in {place}', { place: each.from })
                        : say('{from} → {to}', { from: each.from, to: each.to })}
                    </span>
                  </li>
                ))}
              </ol>
            </div>
          ),
      )}
    </section>
  );
}

function Hardens({ batch, today, mayMove }: { batch: Batch; today: string | undefined; mayMove: boolean }) {
  const note = useBenchChange<{ hours: number }>(`/api/batches/${batch.batch}/hardening-days`, (entry) =>
    say('{hours, plural, one {# hour} other {# hours}} outside for batch {number}', { hours: entry.hours, number: batch.batch }),
  );
  const now = batch.days.find((day) => day.day === today);
  return (
    <li className="board flex min-w-0 flex-col gap-2 p-3">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <Link className="trail inline-flex min-h-11 items-center text-lg font-semibold" to={`/batches/${batch.batch}`}>
          {batch.variety}
        </Link>
        <span className="text-pencil">
          {say('{crop}, {plants, plural, one {# plant} other {# plants}}, {trays}; {programme}', {
            crop: batch.crop.toLowerCase(),
            plants: batch.plants,
            trays: trayWords(batch.trays),
            programme: programmeInLine(batch.programme, batch.programmeName),
          })}
        </span>
      </p>
      <p className={batch.tooLate ? 'font-semibold text-brick' : ''}>
        {say('{done} of {days, plural, one {# day} other {# days}} had; hardened on {last}, wanted on {target}.', {
          done: batch.daysDone,
          days: batch.ofDays,
          last: dayWords(batch.lastDay),
          target: dayWords(batch.target),
        })}{' '}
        {batch.ready &&
          batch.ready.early !== batch.ready.late &&
          say('Over the years of the record it ends {spread}.', { spread: spreadWords(batch.ready) })}{' '}
        {batch.missed > 0 &&
          say('{missed, plural, one {One of the coming days is} other {# of the coming days are}} missed: the end moves.', { missed: batch.missed })}
      </p>
      {batch.tooLate && (
        <p>
          {mayMove ? (
            <Link className="trail inline-flex min-h-11 items-center font-semibold" to={`/season/reschedule?batch=${batch.batch}`}>
              {say('Find another day, or other plants')}
            </Link>
          ) : (
            say('Tell the propagator: the grower wants to hear of it.')
          )}
        </p>
      )}
      <ol className="grid grid-cols-5 gap-1">
        {batch.days.map((day) => (
          <li
            key={day.day}
            className={`flex min-w-0 flex-col items-center border p-1 text-center text-sm ${day.because.length > 0 ? 'border-ochre bg-ochre-wash' : 'border-rule'}`}
          >
            <b>{weekdayWords(day.day)}</b>
            <OutingMark day={day} />
            <span aria-hidden>{day.hoursOut === 0 ? '–' : say('{hours} h', { hours: day.hoursOut })}</span>
            <span className="sr-only">{dayOutWords(day)}</span>
          </li>
        ))}
      </ol>
      <ul className="text-sm">
        {batch.days
          .filter((day) => day.because.length > 0)
          .map((day) => (
            <li key={day.day}>
              <b>{dayWords(day.day)}:</b> {dayOutWords(day)} ({day.because.map(causeWords).join(', ')})
            </li>
          ))}
      </ul>
      <Refusal message={note.error?.message} />
      {now && now.counts && !batch.hadToday && (
        <button className="act self-start" disabled={note.isPending} onClick={() => note.mutate({ hours: now.hoursOut })}>
          {say('Out today: note {hours, plural, one {# hour} other {# hours}}', { hours: now.hoursOut })}
        </button>
      )}
      {batch.hadToday && <p className="text-sm text-pencil">{say('Today is noted.')}</p>}
    </li>
  );
}
