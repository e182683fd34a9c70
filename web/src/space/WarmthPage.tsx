import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api, type PlaceWarmth, type WarmthView } from '../api/client';
import { LineChart, type Series } from '../look/LineChart';
import { Loading, Nothing, Trouble } from '../look/States';
import { lightWords, TooDark, TooFierce } from '../weather/PlaceLight';
import { PlaceWarnings } from '../weather/PlaceWarnings';
import { addDays, shortDay } from '../words/days';
import { degrees, figures, temperature, temperatureUnit } from '../words/quantity';
import { say } from '../words/say';
import { SpaceTabs } from './SpaceTabs';

/** Hours without a reading after which a line is not drawn on. */
const GAP = 1.5;

/** What the thermometers of the places read in the last three days, and what somebody should see to. */
export function WarmthPage() {
  const warmth = useQuery({ queryKey: ['warmth'], queryFn: () => answered(api.GET('/api/warmth')) });
  if (warmth.isPending) return <Loading what={say('the thermometers')} />;
  if (!warmth.data) return <Trouble error={warmth.error} retry={() => warmth.refetch()} />;
  const read = warmth.data.places.filter((place) => place.readings.length > 0);
  const unread = warmth.data.places.filter((place) => place.readings.length === 0);
  const troubled = read.filter((place) => place.warnings.length > 0);
  const calm = read.filter((place) => place.warnings.length === 0);
  return (
    <>
      <SpaceTabs />
      <div className="mb-3 flex flex-wrap items-baseline gap-x-4">
        <h1>{say('Warmth of the places')}</h1>
        <p className={troubled.length > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {troubled.length > 0
            ? say('{places, plural, one {# place} other {# places}} to see to', { places: troubled.length })
            : say('All as it should be.')}
        </p>
      </div>
      {read.length === 0 && (
        <Nothing>{say('No device sends readings yet. Add one on the page of the nursery; it shows its token when it sends.')}</Nothing>
      )}
      <ul className="grid gap-4 lg:grid-cols-2">
        {[...troubled, ...calm].map((place) => (
          <li key={place.placeId} className="board min-w-0 p-3">
            <Curve place={place} view={warmth.data} />
          </li>
        ))}
      </ul>
      {unread.length > 0 && read.length > 0 && (
        <p className="mt-3 text-sm text-pencil">
          {say('No readings of the last days from {places}.', { places: unread.map((place) => place.place).join(', ') })}
        </p>
      )}
    </>
  );
}

function Curve({ place, view }: { place: PlaceWarmth; view: WarmthView }) {
  const last = place.readings.at(-1);
  const from = view.from.slice(0, 10);
  const start = Number(view.from.slice(11, 13));
  const all = place.readings.map((reading) => reading.celsius);
  const end = (Date.parse(`${view.until}Z`) - Date.parse(`${view.from}Z`)) / 3_600_000;
  const midnights = [1, 2, 3].map((day) => day * 24 - start).filter((hour) => hour <= end);
  return (
    <>
      <h2 className="flex flex-wrap items-baseline gap-x-3 text-lg">
        {place.place}
        {last && <span className="font-body text-base font-semibold">{degrees(last.celsius)}</span>}
        <span className="font-body text-sm font-normal text-pencil">
          {say('{lowest} to {highest}{set}{humid}', {
            lowest: figures(temperature(Math.min(...all)), 1),
            highest: degrees(Math.max(...all)),
            set:
              place.setMinimum != null && place.setMaximum != null
                ? say(', set {setMinimum} to {setMaximum}', {
                    setMinimum: figures(temperature(place.setMinimum)),
                    setMaximum: degrees(place.setMaximum, 0),
                  })
                : '',
            humid: place.humidity == null ? '' : say(', air {humidity} % humid', { humidity: Math.round(place.humidity) }),
          })}
        </span>
      </h2>
      <p className="text-sm text-pencil">
        <Link className="trail inline-flex min-h-11 items-center sm:min-h-0" to={`/light/${place.placeId}`}>
          {lightWords(place.light.light)}
        </Link>
      </p>
      <PlaceWarnings warnings={place.warnings} />
      <TooDark light={place.light} place={place.placeId} />
      <TooFierce light={place.light} />
      <LineChart
        title={say('Read in {place}', { place: place.place })}
        xTitle={say('midnight of each day')}
        yTitle={temperatureUnit()}
        series={segments(place)}
        bands={
          place.setMinimum != null && place.setMaximum != null
            ? [0, end].map((hour) => ({ x: hour, low: temperature(place.setMinimum!), high: temperature(place.setMaximum!) }))
            : []
        }
        xTicks={midnights}
        xWords={(hour) => shortDay(addDays(from, Math.round((hour + start) / 24)))}
      />
    </>
  );
}

/** The line of what was read, broken where nothing was. */
function segments(place: PlaceWarmth): Series[] {
  const found: Series[] = [];
  let points: Series['points'] = [];
  place.readings.forEach((reading, index) => {
    const before = place.readings[index - 1];
    if (before && reading.hour - before.hour > GAP) {
      found.push({ name: String(found.length), points, unnamed: true });
      points = [];
    }
    points.push({ x: reading.hour, y: temperature(reading.celsius) });
  });
  found.push({ name: String(found.length), points, unnamed: true });
  return found;
}
