import { useState } from 'react';
import { Link } from 'react-router';
import type { LineView, OrderView } from '../api/client';
import { useOrders } from '../api/queries';
import { YearChoice } from '../look/YearChoice';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { nameWords } from '../words/reasons';
import { altitude } from '../words/quantity';
import { say } from '../words/say';

const isOver = (order: OrderView) => order.standing === 'RELEASED' || order.standing === 'CANCELLED';

/** All orders, soonest first; those that are done are folded away. */
export function OrdersPage({ mayTake }: { mayTake: boolean }) {
  const [withDone, setWithDone] = useState(false);
  const [year, setYear] = useState<number>();
  const orders = useOrders(withDone, year);
  if (orders.isPending) return <Loading what={say('orders')} />;
  if (orders.isError) return <Trouble error={orders.error} retry={() => orders.refetch()} />;
  const open = orders.data.filter((order) => !isOver(order));
  const shown = withDone || year ? orders.data : open;
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-4">
        <h1>{say('Orders')}</h1>
        <span className="text-pencil">{year ? say('{orders} orders', { orders: shown.length }) : say('{open} open', { open: open.length })}</span>
        {!year && (
          <label className="flex min-h-11 items-center gap-2">
            <input type="checkbox" className="size-5" checked={withDone} onChange={(event) => setWithDone(event.target.checked)} />
            {say('with those released')}
          </label>
        )}
        <YearChoice year={year} choose={setYear} />
        {mayTake && (
          <Link to="/orders/new" className="act act-main ml-auto">
            {say('Take an order')}
          </Link>
        )}
      </div>
      {shown.length === 0 ? <Nothing>{year ? say('No orders for that year.') : say('No open orders.')}</Nothing> : <OrderList orders={shown} />}
    </>
  );
}

function OrderList({ orders }: { orders: OrderView[] }) {
  return (
    <ul className="board divide-y divide-rule">
      {orders.map((order) => (
        <li key={order.number}>
          <Link
            to={`/orders/${order.number}`}
            className="grid min-h-14 gap-x-4 px-3 py-2 hover:bg-wash lg:grid-cols-[3.500rem_8rem_15rem_1fr_11rem] lg:items-center"
          >
            <span className="font-semibold">{order.number}</span>
            <span>{dayWords(order.target)}</span>
            <span>
              <Wanted lines={order.lines} />
            </span>
            <span className="text-pencil">
              {order.grower}, {altitude(order.altitude)}
            </span>
            <span>
              <Standing order={order} />
            </span>
          </Link>
        </li>
      ))}
    </ul>
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
  const wanted = order.lines.filter((line) => !line.cancelledOn);
  const sum = (of: (line: LineView) => number) => wanted.reduce((all, line) => all + of(line), 0);
  const [plants, ready, released] = [sum((line) => line.asked.plants), sum(readyToGo), sum((line) => line.released)];
  return (
    <>
      {nameWords(order.standing)}
      {order.standing === 'READY' && ready < plants && (
        <strong className="block text-sm text-brick">{say('{ready} of {plants}', { ready, plants })}</strong>
      )}
      {order.standing === 'PART_RELEASED' && (
        <span className="block text-sm text-pencil">{say('{released} of {plants} gone, {ready} ready', { released, plants, ready })}</span>
      )}
      {(order.standing === 'PLANNED' || order.standing === 'GROWING' || order.standing === 'OPEN') && (
        <span className={`block text-sm ${order.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}`}>
          {say('in time {chance}', { chance: chanceWords(order.chance) })}
        </span>
      )}
    </>
  );
}
