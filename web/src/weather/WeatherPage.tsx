import { Link } from 'react-router';
import { useChoices, useForecastChanges, useWeather } from '../api/queries';
import { LineChart } from '../look/LineChart';
import { Loading, Nothing, Trouble } from '../look/States';
import { counted, daysBetween, addDays, shortDay } from '../look/words';
import { MovedGroups } from './MovedGroups';
import { degreesWords, Position } from './Position';
import { StationFile } from './StationFile';

/** The station: what it measured, what is forecast, what is usual, and what that has moved. */
export function WeatherPage({ mayChange }: { mayChange: boolean }) {
  const weather = useWeather();
  const moved = useForecastChanges();
  const choices = useChoices();
  if (weather.isPending) return <Loading what="the weather" />;
  if (weather.isError) return <Trouble error={weather.error} retry={() => weather.refetch()} />;
  const { lately, forecast, usual } = weather.data;
  const first = usual[0]?.day ?? weather.data.lastDay;
  const at = (day: string) => daysBetween(first, day);
  return (
    <>
      <h1 className="mb-3">Weather</h1>
      {weather.data.assumed && (
        <div className="mb-4 border-l-4 border-ochre bg-ochre-wash p-3">
          <p>
            <strong>Assumed, not measured.</strong> Nobody has measured this weather: it is worked out for {degreesWords(weather.data.latitude)} at{' '}
            {weather.data.altitude} m. Days read in from a station's file take its place{weather.data.daysFromFile > 0 ? '; the record holds both.' : '.'}
          </p>
          {mayChange && <Position latitude={weather.data.latitude} altitude={weather.data.altitude} />}
        </div>
      )}
      <div className="grid gap-5 lg:grid-cols-[1.4fr_1fr]">
        <section aria-label="Station" className="board p-4">
          <LineChart
            title="Lowest and highest of each day" xTitle="day" yTitle="°C"
            series={[
              { name: weather.data.assumed ? 'assumed' : 'measured', points: lately.map((day) => ({ x: at(day.day), y: day.minimum })) },
              { name: 'forecast', dashed: true, points: forecast.map((day) => ({ x: at(day.day), y: day.minimum })) },
              { name: 'highest', unnamed: true, points: lately.map((day) => ({ x: at(day.day), y: day.maximum })) },
              { name: 'forecast, highest', dashed: true, unnamed: true, points: forecast.map((day) => ({ x: at(day.day), y: day.maximum })) },
            ]}
            bands={usual.map((day) => ({ x: at(day.day), low: day.minimum, high: day.maximum }))}
            xTicks={[0, 7, 14, 21, 28, 35]} xWords={(day) => shortDay(addDays(first, day))}
          />
          <p className="text-xs text-pencil">Shaded: the mean lowest to the mean highest of past years.</p>
          <p className="mt-2 text-sm">
            The record runs from {shortDay(weather.data.firstDay)} {weather.data.firstDay.slice(0, 4)} to {shortDay(weather.data.lastDay)} {weather.data.lastDay.slice(0, 4)};
            its {weather.data.years} whole years are the seasons that every forecast is tried on. {weather.data.daysFromFile > 0 && `${counted(weather.data.daysFromFile, 'day')} were read in from files.`}
          </p>
        </section>
        <section aria-label="What has moved" className="board p-4">
          <h2 className="mb-1">What has moved</h2>
          {moved.data?.length === 0 && <Nothing>No forecast has moved by more than a day in the last week.</Nothing>}
          {moved.data && <MovedGroups groups={moved.data} />}
        </section>
      </div>
      <div className="mt-5 grid gap-5 lg:grid-cols-[1.4fr_1fr]">
        {mayChange && <StationFile />}
        <section aria-label="Frost at the growers' sites" className="board p-4">
          <h2 className="mb-1">Frost at the growers' sites</h2>
          <ul className="text-sm">
            {choices.data?.sites.map((site) => (
              <li key={site.id} className="border-t border-rule">
                <Link className="flex min-h-11 items-center justify-between gap-3 hover:bg-wash" to={`/sites/${site.id}`}>
                  <span>{choices.data.growers.find((grower) => grower.id === site.growerId)?.name}: <strong>{site.name}</strong></span>
                  <span className="text-pencil">{site.altitude} m</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}
