import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { RoundView } from '../api/client';
import { answered, api } from '../api/client';
import { useForecastChanges, useLooks, useRound } from '../api/queries';
import { Loading, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { MovedGroups } from '../weather/MovedGroups';
import { Evening } from './Evening';
import { ForecastStrip } from './ForecastStrip';
import { TakeAlong } from '../bench/TakeAlong';
import { RoundTabs } from './RoundTabs';
import { SeedToGo } from './SeedToGo';
import { minutesWords } from '../words/phrases';
import { Stop } from './Stop';
import { NotesOfEarlierYears } from '../learning/Notes';
import { isOpen } from './TaskRow';
import { degrees } from '../words/quantity';
import { CopyWarning } from './CopyWarning';
import { NextStep } from './NextStep';
import { say } from '../words/say';
import { told } from '../words/told';

/** The round: one walk through the nursery, stop by stop, with the work at each. */
export function TodayPage() {
  const round = useRound();
  const looks = useLooks().data;
  const moved = useForecastChanges();
  const hands = useQuery({ queryKey: ['hands'], queryFn: () => answered(api.GET('/api/round/hands')), staleTime: 60_000 });
  if (round.isPending) return <Loading what={say('the round')} />;
  if (!round.data) return <Trouble error={round.error} retry={() => round.refetch()} />;
  const tasks = round.data.stops.flatMap((stop) => stop.work.flatMap((work) => work.tasks));
  const open = tasks.filter(isOpen);
  const pressing = open.filter((task) => task.urgency !== 'TODAY').length;
  const minutes = open.reduce((sum, task) => sum + task.minutes, 0);
  return (
    <>
      <RoundTabs />
      <TakeAlong round={round.data} />
      <div className="mb-1 flex flex-wrap items-start justify-between gap-4 sm:mb-5">
        <div>
          <h1>{say('The round, {today}', { today: dayWords(round.data.today) })}</h1>
          <p className="text-pencil">
            {say('{things, plural, one {# thing} other {# things}} to do, {time} of work', { things: open.length, time: minutesWords(minutes) })}
            {pressing > 0 && (
              <>
                {', '}
                <strong className="text-brick">{say('{pressing} late or at risk', { pressing })}</strong>
              </>
            )}
          </p>
        </div>
        <div className="hidden sm:block">
          <ForecastStrip days={round.data.forecast} />
        </div>
      </div>
      {round.data.forecast.length > 0 && (
        <details className="mb-2 sm:hidden">
          <summary className="min-h-11 content-center text-sm">{frostWords(round.data.forecast)}</summary>
          <ForecastStrip days={round.data.forecast} />
        </details>
      )}
      {round.data.estimated && (
        <p className="mb-3 text-sm text-ochre">
          {told(
            'The weather outdoors is estimated, not measured{forecast, select, yes {} other {, and nothing is forecast}}; <to>say what you know of it</to>.',
            { forecast: round.data.forecast.length > 0 ? 'yes' : 'no' },
            {
              to: (inner) => (
                <Link className="trail" to="/weather">
                  {inner}
                </Link>
              ),
            },
          )}
        </p>
      )}
      <NextStep />
      <CopyWarning />
      <Evening tasks={round.data.evening} />
      <SeedToGo seed={round.data.seedToGo} />
      {moved.data && moved.data.length > 0 && (
        <details className="mb-4 border-l-4 border-ochre pl-3">
          <summary className="min-h-11 content-center">
            {told('<b>What has moved</b>: {batches, plural, one {# batch} other {# batches}}', {
              batches: moved.data.reduce((sum, group) => sum + group.batches.length, 0),
            })}
          </summary>
          <MovedGroups groups={moved.data.slice(0, 3)} />
          <Link className="trail inline-flex min-h-11 items-center text-sm" to="/weather">
            {say('All of them, with the weather')}
          </Link>
        </details>
      )}
      <ol className="relative ml-3 border-l-2 border-dusk pl-6 sm:ml-4">
        {round.data.stops.map((stop) => (
          <Stop key={stop.placeId} stop={stop} today={round.data.today} hands={hands.data ?? []} looks={looks} />
        ))}
      </ol>
      <NotesOfEarlierYears around={round.data.today} />
      {round.data.stops.some((stop) => stop.caution) && <p className="text-sm text-ochre">{say('Local rules and licensed practice go first.')}</p>}
      {round.data.stops.length === 0 && (
        <p className="board border-dashed p-4 text-pencil">
          {say(
            'No places yet. A round needs at least one place where seed comes up, one to grow on and one to harden off. The propagator adds them under Nursery, with growers, varieties and seed.',
          )}
        </p>
      )}
    </>
  );
}

/** "Tonight −1 °C; frost in 4 nights of 5" */
function frostWords(days: RoundView['forecast']): string {
  return say('Tonight {minimum}; {frosts, plural, =0 {no frost} one {frost in # night} other {frost in # nights}} of the next {nights}', {
    minimum: degrees(days[0]!.minimum, 0),
    frosts: days.filter((day) => day.minimum <= 0).length,
    nights: days.length,
  });
}
