import { useState } from 'react';
import { Link } from 'react-router';
import type { LineView, OrderView, RoutesView, RouteView } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices, useNumberedChange, useRoutes, useSession } from '../api/queries';
import { Sheet } from '../look/Sheet';
import { Loading, Refusal, Trouble } from '../look/States';
import { provisoWords } from '../plan/planWords';
import { hindranceWords } from '../words/reasons';
import { addDays, dayWords, daysBetween, shortDay, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { figures } from '../words/quantity';
import { say } from '../words/say';

/** Raised here, sown in place or bought in: the three ways to meet a line, and going over to another of them. */
export function WaysSheet({ line, order, close }: { line: LineView; order: OrderView; close: () => void }) {
  const routes = useRoutes(order.number, line.line);
  return (
    <Sheet title={say('Ways to meet {plants} {variety}', { plants: line.asked.plants, variety: line.asked.variety })} open close={close} wide>
      {routes.isPending && <Loading what={say('the three ways')} />}
      {routes.isError && <Trouble error={routes.error} retry={() => routes.refetch()} />}
      {routes.data && <Ways routes={routes.data} line={line} order={order} close={close} />}
    </Sheet>
  );
}

/** What a way is called. */
export function wayWords(route: string): string {
  if (route === 'IN_PLACE') return say('sown in place');
  return route === 'BOUGHT_IN' ? say('bought in') : say('raised here');
}

function Ways({ routes, line, order, close }: { routes: RoutesView; line: LineView; order: OrderView; close: () => void }) {
  const today = useSession().data?.today ?? line.asked.target;
  const [chosen, choose] = useState<RouteView>();
  const last = routes.routes
    .map((route) => route.ready?.late ?? line.asked.target)
    .reduce((one, other) => (one > other ? one : other), line.asked.target);
  const until = addDays(last, 3);
  return (
    <div className="flex flex-col gap-3">
      <div className="grid gap-3 sm:grid-cols-3">
        {routes.routes.map((route) => (
          <Way key={route.route} route={route} line={line} span={{ from: today, until }} choose={() => choose(route)} order={order} />
        ))}
      </div>
      {chosen && <GoOver chosen={chosen} routes={routes} line={line} order={order} close={close} />}
    </div>
  );
}

interface Span {
  from: string;
  until: string;
}

function Way({ route, line, span, choose, order }: { route: RouteView; line: LineView; span: Span; choose: () => void; order: OrderView }) {
  const choices = useChoices().data;
  const today = span.from;
  const about = {
    crop: line.asked.crop,
    dates: { target: line.asked.target },
    containers: [{ code: line.asked.containerCode, name: line.asked.container }],
    places: { all: choices?.places ?? [] },
  };
  return (
    <section
      aria-label={wayWords(route.route)}
      className={`flex flex-col gap-2 border p-3 ${route.current ? 'border-2 border-dusk' : 'border-rule'}`}
    >
      <h3 className="flex flex-wrap items-baseline gap-x-2 first-letter:uppercase">
        <span className="first-letter:uppercase">{wayWords(route.route)}</span>
        {route.current && <span className="text-sm font-normal text-pencil">{say('as it is now')}</span>}
      </h3>
      <Times route={route} target={line.asked.target} span={span} />
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm">
        <dt className="text-pencil">{beginsName(route)}</dt>
        <dd>{beginsWords(route)}</dd>
        <dt className="text-pencil">{say('As wanted')}</dt>
        <dd>{route.ready ? spreadWords(route.ready) : '–'}</dd>
        <dt className="text-pencil">{say('Whole and in time')}</dt>
        <dd className={route.chance < 0.5 ? 'font-semibold text-brick' : 'font-semibold'}>
          {chanceWords(route.chance)}
          {route.route === 'BOUGHT_IN' && !route.current && <span className="block font-normal text-pencil">{say('if they come as agreed')}</span>}
        </dd>
        <dt className="text-pencil">{say('Cost')}</dt>
        <dd>{costWords(route)}</dd>
        <dt className="text-pencil">{say('Room')}</dt>
        <dd>{route.slots > 0 ? say('{slots, plural, one {# tray} other {# trays}} at most', { slots: Math.ceil(route.slots) }) : say('none')}</dd>
        {route.seeds > 0 && (
          <>
            <dt className="text-pencil">{say('Seed')}</dt>
            <dd>{figures(route.seeds)}</dd>
          </>
        )}
      </dl>
      {route.reasons.map((each) => (
        <p key={JSON.stringify(each)} className="text-sm text-brick">
          {provisoWords(each, about, today)}
        </p>
      ))}
      {route.hindrances.map((each) => (
        <p key={each.kind} className="text-sm text-brick">
          {hindranceWords(each, today)}
        </p>
      ))}
      {route.refused && <p className="text-sm text-brick">{route.refused}</p>}
      {!route.current && route.possible && route.route !== 'BOUGHT_IN' && (
        <button className="act mt-auto" onClick={choose}>
          {route.route === 'IN_PLACE' ? say('Have it sown in place') : say('Raise it here')}
        </button>
      )}
      {!route.current && route.possible && route.route === 'BOUGHT_IN' && (
        <Link className="act mt-auto" to={`/batches/buy?order=${order.number}&line=${line.line}&over=yes`}>
          {say('Buy them in')}
        </Link>
      )}
    </section>
  );
}

function beginsName(route: RouteView): string {
  if (route.route === 'BOUGHT_IN') return route.current ? say('Arrives') : say('Arrives by');
  return say('Sown');
}

function beginsWords(route: RouteView): string {
  if (!route.begins) return '–';
  if (route.until && route.until !== route.begins) return say('{from} to {until}', { from: shortDay(route.begins), until: dayWords(route.until) });
  return dayWords(route.begins);
}

function costWords(route: RouteView): string {
  if (route.cost == null) return route.current ? say('spent already') : say('its price is not known');
  const cost = figures(route.cost);
  return route.price == null ? cost : say('{cost}, at {price} a plant', { cost, price: figures(route.price, 2) });
}

/** From when to when: sown or arriving, as wanted, and the target, on one scale for all three. */
function Times({ route, target, span }: { route: RouteView; target: string; span: Span }) {
  const whole = Math.max(1, daysBetween(span.from, span.until));
  const at = (day: string) => `${Math.min(100, Math.max(0, (100 * daysBetween(span.from, day)) / whole))}%`;
  const begins = route.begins ?? span.from;
  const ready = route.ready;
  const words = ready
    ? say('From {begins} to {ready}; wanted on {target}', { begins: dayWords(begins), ready: spreadWords(ready), target: dayWords(target) })
    : say('Wanted on {target}', { target: dayWords(target) });
  return (
    <div role="img" aria-label={words} className="relative h-7 border-y border-rule bg-wash">
      {ready && (
        <>
          <span className="absolute inset-y-3 bg-pencil" style={{ left: at(begins), right: `calc(100% - ${at(ready.middle)})` }} />
          <span
            className="absolute inset-y-1.5 min-w-1 bg-dusk"
            style={{ left: at(ready.early), right: `calc(100% - ${at(addDays(ready.late, 1))})` }}
          />
        </>
      )}
      <span className="absolute inset-y-0 w-0.5 bg-brick" style={{ left: at(target) }} />
    </div>
  );
}

/** What becomes of what the line had, said before it is done. */
function GoOver({
  chosen,
  routes,
  line,
  order,
  close,
}: {
  chosen: RouteView;
  routes: RoutesView;
  line: LineView;
  order: OrderView;
  close: () => void;
}) {
  const take = useNumberedChange((entry: { route: RouteView['route'] }, requestId) =>
    answered(
      api.POST('/api/orders/{number}/lines/{line}/route', {
        params: { path: { number: order.number, line: line.line } },
        body: { requestId, ...entry },
      }),
    ),
  );
  const fromSeed = routes.routes.some((route) => route.current && route.route === 'IN_PLACE');
  return (
    <div className="border-l-4 border-dusk bg-wash p-3">
      <p className="font-semibold">
        {say('{plants, plural, one {# plant} other {# plants}} {way}:', { plants: routes.plants, way: wayWords(chosen.route) })}
      </p>
      <ul className="list-disc pl-5">
        {routes.frees.map((freed) => (
          <li key={freed.batch}>
            {freed.withdrawn
              ? say('Batch {batch} is not sown and for nobody else; it leaves the plan.', { batch: freed.batch })
              : say('{plants} plants of batch {batch} become free.', { plants: freed.plants, batch: freed.batch })}
          </li>
        ))}
        {fromSeed && <li>{say('The seed that was set aside goes back into the store.')}</li>}
        {chosen.how.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <Refusal message={take.error?.message} />
      <button className="act act-main mt-2" disabled={take.isPending} onClick={() => take.mutate({ route: chosen.route }, { onSuccess: close })}>
        {say('Go over to this')}
      </button>
    </div>
  );
}
