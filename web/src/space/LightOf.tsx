import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type LightMadeBy, type LightOfPlace, Refused } from '../api/client';
import { LineChart } from '../look/LineChart';
import { Loading, Trouble } from '../look/States';
import { lightWords, TooDark, TooFierce } from '../weather/PlaceLight';
import { daysBetween, shortMonth } from '../words/days';
import { figures, length } from '../words/quantity';
import { say } from '../words/say';
import { GrowingInLight } from './GrowingInLight';
import { LightEntry } from './LightEntry';

/** One place: its light through the year, what grows in it, and what makes it so; tried before it is kept. */
export function LightOf({ place, mayChange }: { place: number; mayChange: boolean }) {
  const [otherwise, setOtherwise] = useState<LightMadeBy>();
  const kept = useQuery({
    queryKey: ['light', place],
    queryFn: () => answered(api.GET('/api/places/{id}/light', { params: { path: { id: place } } })),
  });
  const tried = useQuery({
    queryKey: ['light', place, otherwise],
    enabled: otherwise !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () => answered(api.POST('/api/places/{id}/light/trials', { params: { path: { id: place } }, body: otherwise! })),
  });
  if (kept.isPending) return <Loading what={say('its light')} />;
  if (!kept.data) return <Trouble error={kept.error} retry={() => kept.refetch()} />;
  const view = otherwise === undefined ? kept.data : (tried.data ?? kept.data);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label={say('Its light')} className="min-w-0">
        <h2>{view.place}</h2>
        <p className="text-sm">
          {lightWords(view.state.light)}
          {view.lampLight > 0 && ` · ${say('{light} of them from lamps', { light: figures(view.lampLight, 1) })}`}
        </p>
        {otherwise !== undefined && <p className="text-sm font-semibold text-dusk">{say('As tried; nothing is kept yet.')}</p>}
        <TooDark light={view.state} />
        <LampsCould view={view} />
        <TooFierce light={view.state} />
        <Year view={view} />
        <GrowingInLight view={view} />
      </section>
      <LightEntry
        key={JSON.stringify(kept.data.madeBy)}
        place={place}
        made={kept.data.madeBy}
        mayChange={mayChange}
        tryOut={setOtherwise}
        fluxThere={otherwise === undefined ? undefined : tried.data?.lampFluxThere}
        problems={otherwise !== undefined && tried.error instanceof Refused ? tried.error : null}
      />
    </div>
  );
}

/** Lamps that are there: longer or lower would do, unless neither does. */
function LampsCould({ view }: { view: LightOfPlace }) {
  const { hours, distance } = view.lampsCould;
  if (!view.state.dark || view.lampLight === 0) return null;
  const now = { hours: figures(view.madeBy.lampHours, 1), distance: length(view.madeBy.lampDistance) };
  return (
    <ul className="mb-2 list-disc pl-5 text-sm">
      {hours != null && distance != null && <li className="list-none font-semibold">{say('One of these would do:')}</li>}
      {hours != null && <li>{say('Light {wanted} h a day instead of {hours} h.', { ...now, wanted: figures(hours, 1) })}</li>}
      {distance != null && <li>{say('Hang the lamps {wanted} above the leaves instead of {distance}.', { ...now, wanted: length(distance) })}</li>}
      {hours == null && distance == null && <li>{say('These lamps do not reach it, neither lower nor longer: more of them, or a move.')}</li>}
    </ul>
  );
}

function Year({ view }: { view: LightOfPlace }) {
  const start = view.weeks[0]?.from;
  if (!start) return null;
  const at = (day: string) => daysBetween(start, day);
  const year = start.slice(0, 4);
  const months = Array.from({ length: 12 }, (_, month) => `${year}-${String(month + 1).padStart(2, '0')}-01`);
  const wanted = view.growing.length === 0 ? undefined : Math.max(...view.growing.map((each) => each.wanted));
  const last = at(view.weeks.at(-1)!.from);
  return (
    <LineChart
      title={say('Light of {place} through the year; the band holds eight years of ten', { place: view.place })}
      xTitle={say('month')}
      yTitle={say('mol per m² and day')}
      bands={view.weeks.map((week) => ({ x: at(week.from), low: week.low, high: week.high }))}
      series={[
        { name: say('usual week'), points: view.weeks.map((week) => ({ x: at(week.from), y: week.middle })) },
        ...(wanted === undefined
          ? []
          : [
              {
                name: say('what grows there wants, not to stretch'),
                dashed: true,
                points: [
                  { x: 0, y: wanted },
                  { x: last, y: wanted },
                ],
              },
            ]),
      ]}
      xTicks={months.map(at)}
      xWords={(day) => shortMonth(months.find((month) => at(month) === day) ?? start)}
    />
  );
}
