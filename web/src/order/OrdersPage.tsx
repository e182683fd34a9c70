import { useState } from 'react';
import { Link } from 'react-router';
import type { OrderView } from '../api/client';
import { useOrders } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { chanceWords, dayWords, nameWords } from '../look/words';

/** All orders, soonest first; those that are done are folded away. */
export function OrdersPage({ mayTake }: { mayTake: boolean }) {
  const orders = useOrders();
  const [withDone, setWithDone] = useState(false);
  if (orders.isPending) return <Loading what="orders" />;
  if (orders.isError) return <Trouble error={orders.error} retry={() => orders.refetch()} />;
  const open = orders.data.filter((order) => order.standing !== 'RELEASED');
  const shown = withDone ? orders.data : open;
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-4">
        <h1>Orders</h1>
        <span className="text-pencil">{open.length} open</span>
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={withDone} onChange={(event) => setWithDone(event.target.checked)} />
          with those released
        </label>
        {mayTake && (
          <Link to="/orders/new" className="act act-main ml-auto">Take an order</Link>
        )}
      </div>
      {shown.length === 0 ? <Nothing>No open orders.</Nothing> : <OrderList orders={shown} />}
    </>
  );
}

function OrderList({ orders }: { orders: OrderView[] }) {
  return (
    <ul className="board divide-y divide-rule">
      {orders.map((order) => (
        <li key={order.number}>
          <Link to={`/orders/${order.number}`} className="grid min-h-14 gap-x-4 px-3 py-2 hover:bg-wash sm:grid-cols-[3.500rem_8rem_15rem_1fr_11rem] sm:items-center">
            <span className="font-semibold">{order.number}</span>
            <span>{dayWords(order.target)}</span>
            <span>
              <strong>{order.plants}</strong> {order.variety} <span className="text-pencil">{order.crop.toLowerCase()}</span>
            </span>
            <span className="text-pencil">{order.grower}, {order.altitude} m</span>
            <span>
              {nameWords(order.standing)}
              {order.standing === 'READY' && order.ready < order.plants && (
                <strong className="block text-sm text-brick">{order.ready} of {order.plants}</strong>
              )}
              {order.standing === 'PART_RELEASED' && (
                <span className="block text-sm text-pencil">{order.released} of {order.plants} gone, {order.ready} ready</span>
              )}
              {(order.standing === 'PLANNED' || order.standing === 'GROWING') && (
                <span className={`block text-sm ${order.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}`}>
                  in time {chanceWords(order.chance)}
                </span>
              )}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
