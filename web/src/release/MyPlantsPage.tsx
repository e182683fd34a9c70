import type { OrderView } from '../api/client';
import { useOrders } from '../api/queries';
import { StageMark } from '../look/StageMark';
import { Loading, Nothing, Trouble } from '../look/States';
import { chanceWords, dayWords, spreadWords } from '../look/words';
import { Notes } from './OrderPage';

/** The grower's page: will my plants be ready, how sure is it, what do I do on the day. */
export function MyPlantsPage() {
  const orders = useOrders();
  if (orders.isPending) return <Loading what="your plants" />;
  if (orders.isError) return <Trouble error={orders.error} retry={() => orders.refetch()} />;
  const coming = orders.data.filter((order) => order.standing !== 'RELEASED');
  const gone = orders.data.filter((order) => order.standing === 'RELEASED').reverse();
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-4">Your plants</h1>
      {coming.length === 0 && <Nothing>Nothing is being grown for you just now.</Nothing>}
      <ul className="flex flex-col gap-4">
        {coming.map((order) => <Coming key={order.number} order={order} />)}
      </ul>
      {gone.length > 0 && (
        <>
          <h2 className="mt-8 mb-3">With you already</h2>
          <ul className="flex flex-col gap-4">
            {gone.map((order) => (
              <li key={order.number} className="board p-4">
                <p className="mb-2">
                  <strong>{order.plants} {order.variety}</strong> {order.crop.toLowerCase()}, wanted {dayWords(order.target)}
                </p>
                <Notes order={order} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** The answer in plain words. */
export function answer(order: OrderView): string {
  if (order.standing === 'FAILED') return 'This sowing failed. Your propagator will call you about it.';
  if (order.released > 0) return `${order.released} of ${order.plants} have gone to you; the rest follows.`;
  if (order.ready >= order.plants) return 'They are ready and waiting for you.';
  if (order.ready > 0) return `${order.ready} of ${order.plants} are ready.`;
  const ready = order.batches.find((batch) => batch.ready)?.ready;
  if (!ready) return 'They are not likely to be ready this season. Your propagator will call you.';
  if (ready.middle <= order.target) return `They should be ready in time: ${chanceWords(order.chance)}.`;
  return `They are likely to be late: ready ${spreadWords(ready)}.`;
}

function Coming({ order }: { order: OrderView }) {
  const batch = order.batches[0];
  return (
    <li className="board p-4">
      <div className="flex items-start gap-3">
        {batch && <StageMark stage={batch.stage} size={44} />}
        <div className="grow">
          <h2>{order.plants} {order.variety} <span className="font-normal text-pencil">{order.crop.toLowerCase()}</span></h2>
          <p>wanted on <strong>{dayWords(order.target)}</strong> at {order.site}</p>
          <p className="mt-2 text-lg">{answer(order)}</p>
          {batch?.ready && order.ready === 0 && (
            <p className="text-pencil">
              Ready {spreadWords(batch.ready)}.{' '}
              {batch.stage === 'PLANNED' ? `To be sown on ${dayWords(batch.sowDay)}.` : `Sown on ${dayWords(batch.sowDay)}.`}
            </p>
          )}
          <details className="mt-2">
            <summary className="trail min-h-11 content-center">What to do on the day</summary>
            <ul className="list-disc pl-5">
              {order.planting.map((line) => <li key={line}>{line}</li>)}
            </ul>
          </details>
          <Notes order={order} />
        </div>
      </div>
    </li>
  );
}
