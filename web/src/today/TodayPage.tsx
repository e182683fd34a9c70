import { Link } from 'react-router';
import { useForecastChanges, useRound } from '../api/queries';
import { Loading, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { MovedGroups } from '../weather/MovedGroups';
import { Evening } from './Evening';
import { ForecastStrip } from './ForecastStrip';
import { SeedToGo } from './SeedToGo';
import { Stop } from './Stop';
import { say } from '../words/say';

/** The round: one walk through the nursery, stop by stop, with the work at each. */
export function TodayPage() {
  const round = useRound();
  const moved = useForecastChanges();
  if (round.isPending) return <Loading what={say('the round')} />;
  if (round.isError) return <Trouble error={round.error} retry={() => round.refetch()} />;
  const tasks = round.data.stops.flatMap((stop) => stop.work.flatMap((work) => work.tasks));
  const pressing = tasks.filter((task) => task.urgency !== 'TODAY').length;
  return (
    <>
      <div className="mb-5 flex flex-wrap items-start justify-between gap-4">
        <div>
          <h1>{say('The round, {today}', { today: dayWords(round.data.today) })}</h1>
          <p className="text-pencil">
            {say('{things, plural, one {# thing} other {# things}} to do', { things: tasks.length })}
            {pressing > 0 && (
              <>
                {', '}
                <strong className="text-brick">{say('{pressing} late or at risk', { pressing })}</strong>
              </>
            )}
          </p>
        </div>
        <ForecastStrip days={round.data.forecast} />
      </div>
      {round.data.assumed && (
        <p className="mb-3 text-sm text-ochre">
          {say('The weather is assumed from latitude and height, not measured;')}{' '}
          <Link className="trail" to="/weather">
            {say("read a station's file in")}
          </Link>{' '}
          {say('to forecast by your own.')}
        </p>
      )}
      <Evening tasks={round.data.evening} />
      <SeedToGo seed={round.data.seedToGo} />
      {round.data.cautions.length > 0 && (
        <div className="mb-4 text-sm text-ochre">
          {round.data.cautions.map((caution) => (
            <p key={caution}>
              <strong>{say('Mind:')} </strong>
              {caution}
            </p>
          ))}
          <p>{say('Local rules and licensed practice go first.')}</p>
        </div>
      )}
      {moved.data && moved.data.length > 0 && (
        <section aria-label={say('What has moved')} className="mb-5 border-l-4 border-ochre pl-3">
          <p className="flex flex-wrap items-baseline gap-x-3">
            <strong>{say('What has moved')}</strong>{' '}
            <Link className="trail text-sm" to="/weather">
              {say('Weather')}
            </Link>
          </p>
          <MovedGroups groups={moved.data.slice(0, 3)} />
        </section>
      )}
      <ol className="relative ml-3 border-l-2 border-dusk pl-6 sm:ml-4">
        {round.data.stops.map((stop) => (
          <Stop key={stop.placeId} stop={stop} today={round.data.today} />
        ))}
      </ol>
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
