import { useMemo } from 'react';
import { Link } from 'react-router';
import type { LineView, OrderView } from '../api/client';
import { useOrders, useSession } from '../api/queries';
import { ListTools } from '../look/ListTools';
import { LongList, type ListRow } from '../look/LongList';
import { Loading, Nothing, Trouble } from '../look/States';
import { TimeAxis } from '../look/TimeAxis';
import { TowardsTarget } from '../look/TowardsTarget';
import { type TimeScale, timeScale } from '../look/timeScale';
import { holds, useAddressed } from '../look/useAddressed';
import { addDays, dayWords, shortDay, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { altitude } from '../words/quantity';
import { nameWords } from '../words/reasons';
import { say } from '../words/say';
import { arranged, begunOf, isOver, leastSure, readyOf, wantedLines, whyTight, wordsOf } from './orderLook';

const USUAL = { find: '', sort: 'target', group: 'none', done: '', year: '' };
const DAYS_BEFORE = 14;
const DAYS_AFTER = 10;

/** All orders, drawn towards the days on which they are wanted; those that are done are folded away. */
export function OrdersPage({ mayTake }: { mayTake: boolean }) {
  const [chosen, choose] = useAddressed(USUAL);
  const year = chosen.year === '' ? undefined : Number(chosen.year);
  const withDone = chosen.done !== '';
  const orders = useOrders(withDone, year);
  const today = useSession().data?.today ?? '';
  const shown = useMemo(
    () =>
      (orders.data ?? []).filter(
        (order) => (withDone || year !== undefined || !isOver(order)) && (chosen.find === '' || holds(wordsOf(order), chosen.find)),
      ),
    [orders.data, withDone, year, chosen.find],
  );
  if (orders.isPending) return <Loading what={say('orders')} />;
  if (orders.isError) return <Trouble error={orders.error} retry={() => orders.refetch()} />;
  const tight = shown.filter((order) => !isOver(order) && order.chance < 0.5).length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Orders')}</h1>
        <span className={tight > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {say('{shown, plural, one {# order} other {# orders}}, {tight} tight', { shown: shown.length, tight })}
        </span>
        {mayTake && (
          <Link to="/growers" className="act ml-auto">
            {say('Growers')}
          </Link>
        )}
        <Link to="/loading" className={`act ${mayTake ? '' : 'ml-auto'}`}>
          {say('Loading')}
        </Link>
        {mayTake && (
          <Link to="/season/own-table" className="act">
            {say('For our own table')}
          </Link>
        )}
        {mayTake && (
          <Link to="/orders/from-file" className="act">
            {say('From a file')}
          </Link>
        )}
        {mayTake && (
          <Link to="/orders/new" className="act act-main">
            {say('Take an order')}
          </Link>
        )}
      </div>
      <ListTools
        chosen={chosen}
        choose={choose}
        find={say('Find an order')}
        hint={say('kale, a grower, a site…')}
        sorts={[
          ['target', say('by day wanted')],
          ['tight', say('tightest first')],
          ['grower', say('by grower')],
          ['number', say('by number')],
        ]}
        groups={[
          ['none', say('all in one')],
          ['week', say('week by week')],
          ['grower', say('grower by grower')],
          ['standing', say('by how they stand')],
        ]}
      />
      {shown.length === 0 ? (
        <Nothing>{nothing(chosen.find, year)}</Nothing>
      ) : (
        <OrderList orders={shown} sort={chosen.sort} group={chosen.group} today={today} />
      )}
    </>
  );
}

function nothing(find: string, year: number | undefined): string {
  if (find !== '') return say('No order fits. Look for fewer words.');
  return year ? say('No orders for that year.') : say('No open orders.');
}

const COLUMNS = 'grid grid-cols-[3rem_1fr] gap-x-4 px-3 sm:grid-cols-[3rem_1fr_1fr] lg:grid-cols-[3rem_17rem_1fr_15rem]';

function OrderList({ orders, sort, group, today }: { orders: OrderView[]; sort: string; group: string; today: string }) {
  const scale = useMemo(() => scaleOf(orders, today), [orders, today]);
  const rows = useMemo(
    () =>
      arranged(orders, sort, group).flatMap(([name, here]): ListRow[] => [
        ...(name === '' ? [] : [{ key: `group ${name}`, heading: true, content: <GroupHead group={group} name={name} count={here.length} /> }]),
        ...here.map((order) => ({ key: String(order.number), content: <OrderRow order={order} scale={scale} today={today} /> })),
      ]),
    [orders, sort, group, scale, today],
  );
  return (
    <>
      <div className={`${COLUMNS} sticky top-0 z-[5] border-b border-ink bg-wall py-1 text-xs text-pencil`}>
        <span className="hidden lg:col-start-3 lg:block">
          <TimeAxis scale={scale} />
        </span>
        <span className="hidden lg:block">{say('box: may be ready; heavy line: wanted')}</span>
      </div>
      <LongList rows={rows} name={say('Orders')} />
    </>
  );
}

/** From a fortnight back to a little after the last day wanted. */
function scaleOf(orders: OrderView[], today: string): TimeScale {
  const last =
    orders
      .map((order) => order.target)
      .sort()
      .at(-1) ?? today;
  const first = orders.map((order) => order.target).sort()[0] ?? today;
  return timeScale(addDays(first < today ? first : today, -DAYS_BEFORE), addDays(last, DAYS_AFTER));
}

function GroupHead({ group, name, count }: { group: string; name: string; count: number }) {
  const words =
    group === 'week' ? say('Week from {day}', { day: shortDay(name) }) : group === 'standing' ? nameWords(name as OrderView['standing']) : name;
  return (
    <h2 className="flex items-baseline gap-2 bg-wash px-3 py-1.5 text-base">
      {words} <span className="font-normal text-pencil">{count}</span>
    </h2>
  );
}

function OrderRow({ order, scale, today }: { order: OrderView; scale: TimeScale; today: string }) {
  const line = leastSure(order);
  const ready = line && readyOf(line);
  const why = whyTight(order);
  return (
    <Link
      to={`/orders/${order.number}`}
      className={`${COLUMNS} min-h-14 items-center py-2 hover:bg-wash`}
      title={ready && say('ready {ready}; wanted {target}', { ready: spreadWords(ready), target: dayWords(order.target) })}
    >
      <span className="font-semibold">{order.number}</span>
      <span className="min-w-0">
        <Wanted lines={order.lines} />
        <span className="block text-sm text-pencil">
          {order.grower}, {altitude(order.altitude)}
        </span>
      </span>
      <span className="col-span-2 min-w-0 sm:col-span-1">
        <TowardsTarget scale={scale} today={today} from={line && begunOf(line)} ready={ready} target={line?.asked.target ?? order.target} />
      </span>
      <span className="col-span-2 text-sm sm:col-start-2 lg:col-span-1 lg:col-start-4">
        <span className="font-semibold">{dayWords(order.target)}</span> <Standing order={order} />
        {why && <span className={`block ${order.chance < 0.5 ? 'font-semibold text-brick' : 'text-ochre'}`}>{why}</span>}
      </span>
    </Link>
  );
}

/** What is wanted: all of a short order, the first lines of a long one. */
function Wanted({ lines }: { lines: LineView[] }) {
  const wanted = lines.filter((line) => !line.cancelledOn);
  if (wanted.length === 0) return <span className="text-pencil line-through">{lines.map((line) => line.asked.variety).join(', ')}</span>;
  return (
    <>
      {wanted.slice(0, 2).map((line) => (
        <span key={line.line} className="block">
          <strong>{line.asked.plants}</strong> {line.asked.variety} <span className="text-pencil">{line.asked.crop.toLowerCase()}</span>
        </span>
      ))}
      {wanted.length > 2 && <span className="text-sm text-pencil">{say('and {wanted} more', { wanted: wanted.length - 2 })}</span>}
    </>
  );
}

/** Plants that could go now, and those whose seed could. */
const readyToGo = (line: LineView) => line.ready + (line.inPlace?.due ? line.inPlace.plants : 0);

function Standing({ order }: { order: OrderView }) {
  const wanted = wantedLines(order);
  const sum = (of: (line: LineView) => number) => wanted.reduce((all, line) => all + of(line), 0);
  const [plants, ready, released] = [sum((line) => line.asked.plants), sum(readyToGo), sum((line) => line.released)];
  return (
    <>
      {nameWords(order.standing).toLowerCase()}
      {order.standing === 'READY' && ready < plants && <strong className="block text-brick">{say('{ready} of {plants}', { ready, plants })}</strong>}
      {order.standing === 'PART_RELEASED' && (
        <span className="block text-pencil">{say('{released} of {plants} gone, {ready} ready', { released, plants, ready })}</span>
      )}
      {(order.standing === 'PLANNED' || order.standing === 'GROWING' || order.standing === 'OPEN') && (
        <span className={`block ${order.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}`}>
          {say('in time {chance}', { chance: chanceWords(order.chance) })}
        </span>
      )}
    </>
  );
}
