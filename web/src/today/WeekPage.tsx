import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { DayOfWork, TaskOfDay } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useNumberedChange } from '../api/queries';
import { announce } from '../look/announce';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { addDays, dayWords, shortDay, weekdayWords } from '../words/days';
import { chanceWords, minutesWords } from '../words/phrases';
import { say } from '../words/say';
import { RoundTabs } from './RoundTabs';

/** The week against the hands: minutes of work known and foreseen beside the minutes there are, day by day. */
export function WeekPage({ today, mayChange }: { today: string; mayChange: boolean }) {
  const [from, setFrom] = useState(today);
  const [chosen, setChosen] = useState<string>();
  const week = useQuery({ queryKey: ['week', from], queryFn: () => answered(api.GET('/api/week', { params: { query: { from } } })) });
  const step = (days: number) => {
    const next = addDays(from, days);
    setFrom(next < today ? today : next);
    setChosen(undefined);
  };
  if (week.isPending) return <Loading what={say('the week')} />;
  if (week.isError) return <Trouble error={week.error} retry={() => week.refetch()} />;
  const over = week.data.filter((day) => day.minutes > day.hands);
  // The first day that has more work than hands stands open: it is what one came for. It stays so when it was cleared.
  if (chosen === undefined) setChosen(over[0]?.day ?? from);
  const day = week.data.find((each) => each.day === chosen);
  return (
    <>
      <RoundTabs />
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('The week against the hands')}</h1>
        <p className={over.length > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {over.length > 0
            ? say('More work than hands on {days}', { days: over.map((each) => weekdayWords(each.day)).join(', ') })
            : say('The hands suffice on every day.')}
        </p>
        <span className="no-print ml-auto flex gap-2">
          <button type="button" className="act min-w-11" aria-label={say('A week earlier')} disabled={from <= today} onClick={() => step(-7)}>
            ‹
          </button>
          <button type="button" className="act min-w-11" aria-label={say('A week later')} onClick={() => step(7)}>
            ›
          </button>
        </span>
      </div>
      <WeekDrawn days={week.data} chosen={chosen} choose={setChosen} />
      <p className="mt-1 mb-4 text-xs text-pencil">{say('Filled: minutes of work. Heavy line: minutes of all hands. Hatched: work beyond them.')}</p>
      {day && <DayOfWeek key={day.day} day={day} mayChange={mayChange} />}
    </>
  );
}

/** Seven days as columns, on a telephone as rows. */
function WeekDrawn({ days, chosen, choose }: { days: DayOfWork[]; chosen: string | undefined; choose: (day: string) => void }) {
  const most = Math.max(60, ...days.flatMap((day) => [day.minutes, day.hands])) * 1.05;
  const share = (minutes: number) => `${(minutes / most) * 100}%`;
  return (
    <ul className="board flex flex-col divide-y divide-rule sm:grid sm:grid-cols-7 sm:divide-x sm:divide-y-0">
      {days.map((day) => (
        <li key={day.day}>
          <button
            type="button"
            className={`grid w-full grid-cols-[6rem_1fr_6rem] items-center gap-x-2 px-2 py-1 text-left sm:grid-cols-1 sm:gap-y-1 sm:px-3 sm:py-2 ${chosen === day.day ? 'bg-wash outline-2 -outline-offset-2 outline-dusk' : 'hover:bg-wash'}`}
            aria-pressed={chosen === day.day}
            onClick={() => choose(day.day)}
          >
            <span className="text-sm font-semibold">{dayWords(day.day)}</span>
            <span aria-hidden className="relative block h-9 border-b border-rule sm:hidden">
              <span
                className="absolute inset-y-2 left-0 border-2 border-dusk bg-dusk/30"
                style={{ width: share(Math.min(day.minutes, day.hands)) }}
              />
              {day.minutes > day.hands && (
                <span
                  className="behind-target absolute inset-y-2 border-2 border-brick"
                  style={{ left: share(day.hands), width: share(day.minutes - day.hands) }}
                />
              )}
              <span className="absolute inset-y-0 w-0 border-l-[3px] border-ink" style={{ left: share(day.hands) }} />
            </span>
            <span aria-hidden className="relative hidden h-44 border-b border-ink sm:block">
              <span
                className="absolute inset-x-3 bottom-0 border-2 border-dusk bg-dusk/30"
                style={{ height: share(Math.min(day.minutes, day.hands)) }}
              />
              {day.minutes > day.hands && (
                <span
                  className="behind-target absolute inset-x-3 border-2 border-brick"
                  style={{ bottom: share(day.hands), height: share(day.minutes - day.hands) }}
                />
              )}
              <span className="absolute inset-x-0 h-0 border-t-[3px] border-ink" style={{ bottom: share(day.hands) }} />
            </span>
            <span className={`text-sm ${day.minutes > day.hands ? 'font-semibold text-brick' : ''}`}>
              {say('{work} of {hands}', { work: minutesWords(day.minutes), hands: day.hands === 0 ? say('none') : minutesWords(day.hands) })}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** The work of the chosen day: what may wait and what waiting costs; and the hands there are. */
function DayOfWeek({ day, mayChange }: { day: DayOfWork; mayChange: boolean }) {
  const tasks = useQuery({
    queryKey: ['week', 'day', day.day],
    queryFn: () => answered(api.GET('/api/week/days/{day}', { params: { path: { day: day.day } } })),
  });
  return (
    <section aria-label={dayWords(day.day)} className="grid items-start gap-5 lg:grid-cols-[1fr_20rem]">
      <div className="min-w-0">
        <h2 className="mb-2">{say('{day}: {tasks, plural, one {# task} other {# tasks}}', { day: dayWords(day.day), tasks: day.tasks })}</h2>
        {tasks.isPending && <Loading what={say('what may wait')} />}
        {tasks.isError && <Trouble error={tasks.error} retry={() => tasks.refetch()} />}
        {tasks.data?.length === 0 && <Nothing>{say('Nothing is foreseen but the usual look round.')}</Nothing>}
        {tasks.data && tasks.data.length > 0 && (
          <ul className="board divide-y divide-rule">
            {[...tasks.data]
              .sort((one, other) => other.minutes - one.minutes)
              .map((task) => (
                <li key={`${task.batch} ${task.kind} ${task.words}`} className="grid gap-x-4 px-3 py-2 sm:grid-cols-[5rem_1fr_16rem] sm:items-center">
                  <span className="font-semibold">{minutesWords(task.minutes)}</span>
                  <span className="min-w-0">
                    <Link className="trail" to={`/batches/${task.batch}`}>
                      {task.batch}
                    </Link>{' '}
                    {task.words} <span className="text-pencil">{task.place}</span>
                  </span>
                  <span className="text-sm text-pencil">{waitingWords(task)}</span>
                </li>
              ))}
          </ul>
        )}
      </div>
      {mayChange && <Hands day={day} tasks={tasks.data ?? []} />}
    </section>
  );
}

/** How long it may wait, and what each day of it costs. */
export function waitingWords(task: TaskOfDay): string {
  if (task.mayWaitUntil == null) return say('cannot wait');
  const until = say('may wait until {day}', { day: shortDay(task.mayWaitUntil) });
  if (task.chance == null || task.chanceADayLater == null) return until;
  const before = chanceWords(task.chance);
  const after = chanceWords(task.chanceADayLater);
  return before === after
    ? say('{until}; a day costs no chance worth telling', { until })
    : say('{until}; a day later in time {after}, now {before}', { until, after, before });
}

function Hands({ day, tasks }: { day: DayOfWork; tasks: TaskOfDay[] }) {
  const [typed, setTyped] = useState(String(day.hands));
  const minutes = Number(typed.trim());
  const valid = typed.trim() !== '' && Number.isInteger(minutes) && minutes >= 0;
  const set = useChange((everyWeek: boolean) => answered(api.PUT('/api/week/hands', { body: { day: day.day, minutes, everyWeek } })));
  const clear = useNumberedChange((entry: { day: string }, requestId) =>
    answered(api.POST('/api/week/clearings', { body: { requestId, ...entry } })),
  );
  const movable = tasks.filter((task) => task.mayWaitUntil != null).length;
  return (
    <aside className="board flex flex-col gap-3 p-4" aria-label={say('Hands')}>
      <h2>{say('Hands on {day}', { day: dayWords(day.day) })}</h2>
      <label className="flex flex-col gap-1">
        {say('Minutes of all hands together')}
        <input className="entry" inputMode="numeric" value={typed} onChange={(event) => setTyped(event.target.value)} />
      </label>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="act" disabled={!valid || set.isPending || minutes === day.hands} onClick={() => set.mutate(false)}>
          {say('Only this day')}
        </button>
        <button type="button" className="act" disabled={!valid || set.isPending} onClick={() => set.mutate(true)}>
          {say('Every {weekday}', { weekday: weekdayWords(day.day) })}
        </button>
      </div>
      <Refusal message={set.error?.message} />
      <hr className="border-rule" />
      <p className="text-sm">
        {say('{movable} of {all} tasks may wait. Sowings move in the plan, which can be undone on the board; other work is put off.', {
          movable,
          all: tasks.length,
        })}
      </p>
      <button
        type="button"
        className="act act-main"
        disabled={movable === 0 || clear.isPending}
        onClick={() =>
          clear.mutate(
            { day: day.day },
            {
              onSuccess: (cleared) =>
                announce(
                  say('{moved, plural, one {# task} other {# tasks}} moved, {stayed} stayed.', { moved: cleared.moved, stayed: cleared.stayed }),
                ),
            },
          )
        }
      >
        {say('No time: move what may wait')}
      </button>
      {clear.data && (
        <p role="status" className="text-sm font-semibold">
          {say('{moved, plural, one {# task} other {# tasks}} moved, {stayed} stayed.', { moved: clear.data.moved, stayed: clear.data.stayed })}
        </p>
      )}
      <Refusal message={clear.error?.message} />
    </aside>
  );
}
