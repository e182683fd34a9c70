import { useParams } from 'react-router';
import type { LineView, OrderView } from '../api/client';
import { useOrder } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { chanceWords, counted, dayWords, nameWords } from '../look/words';
import { ChangeOrder } from './ChangeOrder';
import { LineBoard } from './LineBoard';
import { OrderHistory } from './OrderHistory';
import { ReleaseForm } from './ReleaseForm';

/** One order: what was asked, what grows for it, letting it go, and changing it. */
export function OrderPage({ mayRelease }: { mayRelease: boolean }) {
  const number = Number(useParams().number);
  const order = useOrder(number);
  if (order.isPending) return <Loading what={`order ${number}`} />;
  if (order.isError) return <Trouble error={order.error} retry={() => order.refetch()} />;
  const view = order.data.order;
  const wanted = view.lines.filter((line) => !line.cancelledOn);
  const ready = wanted.some((line) => line.ready > 0);
  const open = wanted.some((line) => line.released < line.plants);
  return (
    <>
      <p className="text-pencil">Order {view.number}, taken {dayWords(view.placedOn)}</p>
      <h1>{wanted.length === 1 ? <What line={wanted[0]!} /> : `${counted(wanted.length, 'line')}, ${counted(total(wanted, (line) => line.plants), 'plant')}`}</h1>
      <p className="mb-5">
        for {view.grower}, {view.site} ({view.altitude} m), wanted on <strong>{dayWords(view.target)}</strong>
      </p>
      <div className="grid gap-6 lg:grid-cols-[1fr_24rem]">
        <section aria-label="Lines" className="flex min-w-0 flex-col gap-4">
          {view.lines.map((line) => <LineBoard key={line.line} line={line} order={view} mayGrow={mayRelease} />)}
          <OrderHistory order={view} />
        </section>
        <section aria-label="Release" className="flex flex-col gap-4">
          <Standing order={view} wanted={wanted} />
          {mayRelease && ready && <ReleaseForm key={view.lines.map((line) => `${line.released}/${line.ready}`).join()} order={order.data} />}
          {mayRelease && !ready && open && (
            <Nothing>Nothing is ready to go. Plants can be released once their hardening has ended.</Nothing>
          )}
          <Notes order={view} />
          {mayRelease && open && <ChangeOrder order={view} />}
        </section>
      </div>
    </>
  );
}

function What({ line }: { line: LineView }) {
  return <>{line.plants} {line.variety} <span className="font-normal text-pencil">{line.crop.toLowerCase()}</span></>;
}

const total = (lines: LineView[], of: (line: LineView) => number) => lines.reduce((sum, line) => sum + of(line), 0);

function Standing({ order, wanted }: { order: OrderView; wanted: LineView[] }) {
  const plants = total(wanted, (line) => line.plants);
  const released = total(wanted, (line) => line.released);
  return (
    <dl className="board grid grid-cols-2 gap-x-4 gap-y-1 p-4">
      <dt className="text-pencil">Standing</dt>
      <dd className="font-semibold">{nameWords(order.standing)}</dd>
      <dt className="text-pencil">Released</dt>
      <dd>{released} of {plants}{wanted.every((line) => line.countedIn === 'CLUMPS') && wanted.length > 0 && ' clumps'}</dd>
      {wanted.length === 1 && (
        <>
          <dt className="text-pencil">Counts as whole with</dt>
          <dd>{wanted[0]!.accepted}</dd>
        </>
      )}
      <dt className="text-pencil">Ready to go</dt>
      <dd>{total(wanted, (line) => line.ready)}</dd>
      {released < plants && (
        <>
          <dt className="text-pencil">{wanted.length > 1 ? 'Its least sure line' : 'Whole and in time'}</dt>
          <dd>{chanceWords(order.chance)}</dd>
        </>
      )}
    </dl>
  );
}

/** Notes of what has gone. */
export function Notes({ order }: { order: OrderView }) {
  if (order.releases.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2">
      {order.releases.map((release) => (
        <li key={release.number}>
          {release.plants === 0 ? (
            <p className="text-pencil">Delivery note {release.number}, {dayWords(release.day)}: taken back</p>
          ) : (
            <a className="act w-full" href={`/api/releases/${release.number}/note.pdf`} target="_blank" rel="noreferrer">
              Delivery note {release.number}, {dayWords(release.day)}, {counted(release.plants, 'plant')} (PDF)
            </a>
          )}
        </li>
      ))}
    </ul>
  );
}
