import { Link } from 'react-router';
import { useChoices, useForecastChanges, useSession, useWeather } from '../api/queries';
import { LineChart } from '../look/LineChart';
import { Loading, Nothing, Trouble } from '../look/States';
import { addDays, dayOfYear, daysBetween, shortDay, timeWords } from '../words/days';
import { ForecastForm } from './ForecastForm';
import { MovedGroups } from './MovedGroups';
import { degreesWords } from './Position';
import { StationFile } from './StationFile';
import { say } from '../words/say';
import { altitude, degrees, temperature, temperatureUnit } from '../words/quantity';

/** The station: what it measured, what is forecast, what is usual, and what that has moved. */
export function WeatherPage({ mayChange }: { mayChange: boolean }) {
  const weather = useWeather();
  const moved = useForecastChanges();
  const choices = useChoices();
  const demo = useSession().data?.demo ?? true;
  if (weather.isPending) return <Loading what={say('the weather')} />;
  if (weather.isError) return <Trouble error={weather.error} retry={() => weather.refetch()} />;
  const { lately, forecast, usual } = weather.data;
  const first = usual[0]?.day ?? weather.data.lastDay;
  const at = (day: string) => daysBetween(first, day);
  const measured = lately.filter((day) => !day.estimated);
  const estimated = lately.filter((day) => day.estimated);
  return (
    <>
      <h1 className="mb-3">{say('Weather')}</h1>
      {weather.data.estimated && (
        <div className="mb-4 border-l-4 border-ochre bg-ochre-wash p-3">
          <p>
            <strong>{say('Estimated, not measured.')}</strong>{' '}
            {say(
              "Nobody has measured this weather: past years are drawn from what is known of the climate at {latitude} and {altitude}, and this year is as it usually is. Days read in from a station's file take its place{either, select, true {; the record holds both.} other {.}}",
              {
                latitude: degreesWords(weather.data.latitude),
                altitude: altitude(weather.data.altitude),
                either: String(weather.data.daysFromFile > 0),
              },
            )}
          </p>
          {mayChange && (
            <p className="flex flex-wrap gap-x-5">
              <Link className="trail flex min-h-11 items-center" to="/founding/climate">
                {say('Say what you know of the climate')}
              </Link>
              <Link className="trail flex min-h-11 items-center" to="/founding/where">
                {say('It lies elsewhere')}
              </Link>
            </p>
          )}
        </div>
      )}
      <div className="grid gap-5 lg:grid-cols-[1.4fr_1fr]">
        <section aria-label={say('Station')} className="board p-4">
          <LineChart
            title={say('Lowest and highest of each day')}
            xTitle={say('day')}
            yTitle={temperatureUnit()}
            series={[
              ...(measured.length > 0
                ? [{ name: say('measured'), points: measured.map((day) => ({ x: at(day.day), y: temperature(day.minimum) })) }]
                : []),
              ...(estimated.length > 0
                ? [{ name: say('estimated'), dotted: true, points: estimated.map((day) => ({ x: at(day.day), y: temperature(day.minimum) })) }]
                : []),
              ...(forecast.length > 0
                ? [{ name: say('forecast'), dashed: true, points: forecast.map((day) => ({ x: at(day.day), y: temperature(day.minimum) })) }]
                : []),
              { name: say('highest'), unnamed: true, points: measured.map((day) => ({ x: at(day.day), y: temperature(day.maximum) })) },
              {
                name: say('estimated, highest'),
                dotted: true,
                unnamed: true,
                points: estimated.map((day) => ({ x: at(day.day), y: temperature(day.maximum) })),
              },
              {
                name: say('forecast, highest'),
                dashed: true,
                unnamed: true,
                points: forecast.map((day) => ({ x: at(day.day), y: temperature(day.maximum) })),
              },
            ]}
            bands={usual.map((day) => ({ x: at(day.day), low: temperature(day.minimum), high: temperature(day.maximum) }))}
            xTicks={[0, 7, 14, 21, 28, 35]}
            xWords={(day) => shortDay(addDays(first, day))}
          />
          <p className="text-xs text-pencil">{say('Shaded: the mean lowest to the mean highest of past years.')}</p>
          <p className="mt-2 text-sm">
            {say('The record runs from {firstDay} to {lastDay}; its {years} whole years are the seasons that every forecast is tried on. {more}', {
              firstDay: dayOfYear(weather.data.firstDay),
              lastDay: dayOfYear(weather.data.lastDay),
              years: weather.data.years,
              more:
                weather.data.daysFromFile > 0
                  ? say('{days, plural, one {# day} other {# days}} were read in from files.', { days: weather.data.daysFromFile })
                  : '',
            })}{' '}
            {weather.data.daysFromDevices > 0 &&
              say('{days, plural, one {# day was} other {# days were}} sent by a station.', { days: weather.data.daysFromDevices })}
          </p>
          {weather.data.now && (
            <p className="mt-1 text-sm">
              {say('It read {degrees} at {time} on {day}.', {
                degrees: degrees(weather.data.now.celsius),
                time: timeWords(weather.data.now.at.slice(11, 16)),
                day: shortDay(weather.data.now.at.slice(0, 10)),
              })}
            </p>
          )}
          {mayChange && (
            <Link className="trail mt-1 inline-flex min-h-11 items-center" to="/nursery/devices">
              {say('What measures here')}
            </Link>
          )}
        </section>
        <section aria-label={say('What has moved')} className="board p-4">
          <h2 className="mb-1">{say('What has moved')}</h2>
          {moved.data?.length === 0 && <Nothing>{say('No forecast has moved by more than a day in the last week.')}</Nothing>}
          {moved.data && <MovedGroups groups={moved.data} />}
        </section>
      </div>
      <div className="mt-5 grid gap-5 lg:grid-cols-[1.4fr_1fr]">
        <div className="flex flex-col gap-5">
          {mayChange && !demo && <ForecastForm weather={weather.data} />}
          {mayChange && <StationFile />}
        </div>
        <section aria-label={say("Frost at the growers' sites")} className="board p-4">
          <h2 className="mb-1">{say("Frost at the growers' sites")}</h2>
          {choices.data?.sites.length === 0 && <Nothing>{say('There is no site yet.')}</Nothing>}
          <ul className="text-sm">
            {choices.data?.sites.map((site) => (
              <li key={site.id} className="border-t border-rule">
                <Link className="flex min-h-11 items-center justify-between gap-3 hover:bg-wash" to={`/sites/${site.id}`}>
                  <span>
                    {choices.data.growers.find((grower) => grower.id === site.growerId)?.name}: <strong>{site.name}</strong>
                  </span>
                  <span className="text-pencil">{altitude(site.altitude)}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}
