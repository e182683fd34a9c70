import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { SiteView } from '../api/client';
import { answered, api } from '../api/client';
import { LineChart } from '../look/LineChart';
import { Loading, Trouble } from '../look/States';
import { addDays, daysBetween, dayWords, shortDay } from '../words/days';
import { say } from '../words/say';
import { PestsAtSite } from './PestsAtSite';
import { altitude, degrees, degreesBetween } from '../words/quantity';

/** A grower's site: its frost dates with their chart, and when each crop may stand there. */
export function SitePage() {
  const id = Number(useParams().id);
  const site = useQuery({ queryKey: ['sites', id], queryFn: () => answered(api.GET('/api/sites/{id}', { params: { path: { id } } })) });
  if (site.isPending) return <Loading what={say('the site')} />;
  if (site.isError) return <Trouble error={site.error} retry={() => site.refetch()} />;
  const { lightFrost, hardFrost } = site.data;
  const first = lightFrost.curve[0]!.day;
  const points = (curve: typeof lightFrost.curve) => curve.map((point) => ({ x: daysBetween(first, point.day), y: point.chance * 100 }));
  const months = lightFrost.curve
    .map((point) => point.day)
    .filter((day, index, all) => index === 0 || day.slice(0, 7) !== all[index - 1]!.slice(0, 7));
  return (
    <>
      <h1>{site.data.site}</h1>
      <p className="mb-4 text-pencil">
        {say('{grower}, {altitude}, {protection}; {offset} {either, select, true {colder} other {warmer}} than the station.', {
          grower: site.data.grower,
          altitude: altitude(site.data.altitude),
          protection: site.data.protection,
          offset: degreesBetween(Math.abs(site.data.offset)),
          either: String(site.data.offset < 0),
        })}{' '}
        <Link className="trail" to="/nursery/sites">
          {say('Change it')}
        </Link>
      </p>
      <section aria-label={say('Frost')} className="board mb-5 grid gap-5 p-4 lg:grid-cols-[1.4fr_1fr]">
        <LineChart
          title={say('Chance that frost is still to come, and from midsummer on that it has come')}
          xTitle={say('plants stand out from, or until')}
          yTitle={say('years in 100')}
          series={[
            { name: say('{temperature} and below', { temperature: degrees(0, 0) }), points: points(lightFrost.curve) },
            { name: say('{temperature} and below', { temperature: degrees(-2, 0) }), dashed: true, points: points(hardFrost.curve) },
          ]}
          xTicks={months
            .slice(1)
            .filter((_, index) => index % 2 === 0)
            .map((day) => daysBetween(first, day))}
          xWords={(day) => shortDay(addDays(first, day))}
          yMost={100}
        />
        <table className="h-fit w-full text-left text-sm">
          <caption className="pb-1 text-left font-semibold">
            {site.data.estimated
              ? say('At the plants, in {seasons} seasons, most of them estimated', { seasons: lightFrost.seasons })
              : say('At the plants, in {seasons} seasons on record', { seasons: lightFrost.seasons })}
          </caption>
          <thead className="text-pencil">
            <tr>
              <th className="font-normal" />
              <th className="font-normal">{say('1 year in 10')}</th>
              <th className="font-normal">{say('5 in 10')}</th>
              <th className="font-normal">{say('9 in 10')}</th>
            </tr>
          </thead>
          <tbody>
            <Frost name={say('Last {temperature} by', { temperature: degrees(0, 0) })} spread={lightFrost.spring} />
            <Frost name={say('Last {temperature} by', { temperature: degrees(-2, 0) })} spread={hardFrost.spring} />
            <Frost name={say('First {temperature} by', { temperature: degrees(0, 0) })} spread={lightFrost.autumn} />
            <Frost name={say('First {temperature} by', { temperature: degrees(-2, 0) })} spread={hardFrost.autumn} />
          </tbody>
        </table>
      </section>
      <PestsAtSite site={id} />
      <Crops crops={site.data.crops} />
    </>
  );
}

function Frost({ name, spread }: { name: string; spread: SiteView['lightFrost']['spring'] }) {
  return (
    <tr className="border-t border-rule">
      <th className="py-1 font-normal">{name}</th>
      {spread ? (
        <>
          <td>{shortDay(spread.early)}</td>
          <td>{shortDay(spread.middle)}</td>
          <td>{shortDay(spread.late)}</td>
        </>
      ) : (
        <td colSpan={3} className="text-pencil">
          {say('rarely any')}
        </td>
      )}
    </tr>
  );
}

function Crops({ crops }: { crops: SiteView['crops'] }) {
  const [search, setSearch] = useState('');
  const shown = crops.filter((crop) => crop.crop.toLowerCase().includes(search.toLowerCase()));
  return (
    <section aria-label={say('When crops may stand there')}>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h2>{say('When crops may stand there')}</h2>
        <input
          className="entry max-w-60"
          type="search"
          aria-label={say('Find a crop')}
          placeholder={say('squash…')}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
      </div>
      <div className="board overflow-x-auto" tabIndex={0} role="group" aria-label={say('Crops')}>
        <table className="w-full min-w-2xl text-left text-sm">
          <thead className="text-pencil">
            <tr>
              <th className="p-2 font-normal">{say('Crop')}</th>
              <th className="font-normal">{say('Out from')}</th>
              <th className="font-normal">{say('because of')}</th>
              <th className="font-normal">{say('Out until')}</th>
              <th className="font-normal">{say('Rule of thumb: sow, plant')}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((crop) => (
              <tr key={crop.crop} className="border-t border-rule">
                <th className="p-2 font-semibold">
                  {crop.crop} <span className="font-normal text-pencil">{crop.hardiness}</span>
                </th>
                <td>{dayWords(crop.from)}</td>
                <td className="text-pencil">{{ FROST: say('frost'), SOIL: say('cold soil'), NOTHING: say('nothing') }[crop.because]}</td>
                <td>
                  {!crop.until ? (
                    '–'
                  ) : crop.until < crop.from ? (
                    <span className="text-brick">{say('no time left for it here')}</span>
                  ) : (
                    dayWords(crop.until)
                  )}
                </td>
                <td className="text-pencil">
                  {crop.ruleForSowing ? `${shortDay(crop.ruleForSowing)}, ${shortDay(crop.ruleForPlanting!)}` : say('no frost here')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
