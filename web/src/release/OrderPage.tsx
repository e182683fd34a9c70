import { Input } from '@headlessui/react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { BatchSummary, OrderView, OrderWithPicks } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange, useOrder } from '../api/queries';
import { Field } from '../look/Field';
import { StageMark } from '../look/StageMark';
import { Caution, Loading, Nothing, Refusal, Trouble } from '../look/States';
import { chanceWords, counted, dayWords, nameWords, spreadWords, trayWords } from '../look/words';

/** One order: what was asked, what grows for it, and letting it go. */
export function OrderPage({ mayRelease }: { mayRelease: boolean }) {
  const number = Number(useParams().number);
  const order = useOrder(number);
  if (order.isPending) return <Loading what={`order ${number}`} />;
  if (order.isError) return <Trouble error={order.error} retry={() => order.refetch()} />;
  const view = order.data.order;
  return (
    <>
      <p className="text-pencil">Order {view.number}, taken {dayWords(view.placedOn)}</p>
      <h1>
        {view.plants} {view.variety} <span className="font-normal text-pencil">{view.crop.toLowerCase()}</span>
      </h1>
      <p className="mb-5">
        for {view.grower}, {view.site} ({view.altitude} m), wanted on <strong>{dayWords(view.target)}</strong>, with{' '}
        {view.leavesFrom} to {view.leavesTo} true leaves in {view.container.toLowerCase()}
      </p>
      <div className="grid gap-6 lg:grid-cols-[1fr_24rem]">
        <section aria-label="Batches">
          <h2 className="mb-2">What grows for it</h2>
          <ul className="board divide-y divide-rule">
            {view.batches.map((batch) => <BatchLine key={batch.number} batch={batch} />)}
          </ul>
          <h2 className="mt-6 mb-2">How to plant</h2>
          <ul className="list-disc pl-5">
            {view.planting.map((line) => <li key={line}>{line}</li>)}
          </ul>
        </section>
        <section aria-label="Release" className="flex flex-col gap-4">
          <Standing order={view} />
          {mayRelease && view.ready > 0 && <ReleaseForm key={view.released} order={order.data} />}
          {mayRelease && view.ready === 0 && view.released < view.plants && (
            <Nothing>Nothing is ready to go. Plants can be released once their hardening has ended.</Nothing>
          )}
          <Notes order={view} />
        </section>
      </div>
    </>
  );
}

function BatchLine({ batch }: { batch: BatchSummary }) {
  return (
    <li>
      <Link to={`/batches/${batch.number}`} className="flex min-h-14 flex-wrap items-center gap-x-4 px-3 py-2 hover:bg-wash">
        <span className="w-40 font-semibold"><StageMark stage={batch.stage} named size={28} /></span>
        <span>batch {batch.number}, {trayWords(batch.trays)}</span>
        <span className="text-pencil">
          {batch.stage === 'PLANNED' ? `sow on ${dayWords(batch.sowDay)}; ` : ''}
          {batch.traysToSow > 0 && `part sown, ${counted(batch.traysToSow, 'tray')} to go; `}
          {batch.problem ? `${batch.problem} ` : ''}ready {spreadWords(batch.ready)}
        </span>
      </Link>
    </li>
  );
}

function Standing({ order }: { order: OrderView }) {
  return (
    <dl className="board grid grid-cols-2 gap-x-4 gap-y-1 p-4">
      <dt className="text-pencil">Standing</dt>
      <dd className="font-semibold">{nameWords(order.standing)}</dd>
      <dt className="text-pencil">Released</dt>
      <dd>{order.released} of {order.plants}{order.countedIn === 'CLUMPS' && ' clumps'}</dd>
      <dt className="text-pencil">Counts as whole with</dt>
      <dd>{Math.ceil(order.plants * (1 - order.under) - 1e-9)}</dd>
      <dt className="text-pencil">Ready to go</dt>
      <dd>{order.ready}</dd>
      {order.released < order.plants && (
        <>
          <dt className="text-pencil">Whole and in time</dt>
          <dd>{chanceWords(order.chance)}</dd>
        </>
      )}
    </dl>
  );
}

function ReleaseForm({ order }: { order: OrderWithPicks }) {
  const [typed, setTyped] = useState(String(order.order.ready));
  const plants = Number(typed);
  const release = useNumberedChange((entry: { plants: number }, requestId) =>
    answered(api.POST('/api/releases', { body: { requestId, order: order.order.number, ...entry } })),
  );
  return (
    <form
      className="board flex flex-col gap-3 p-4" noValidate
      onSubmit={(event) => {
        event.preventDefault();
        release.mutate({ plants });
      }}
    >
      <h2>Release</h2>
      <ul className="text-sm text-pencil">
        {order.picks.map((pick) => (
          <li key={pick.tray}>
            {pick.wholeTray ? 'all' : ''} {pick.plants} from {pick.tray}, batch {pick.batch}
          </li>
        ))}
      </ul>
      <Field name="Plants" problem={release.error?.problemAt('plants')}>
        <Input className="entry" inputMode="numeric" value={typed} onChange={(event) => setTyped(event.target.value)} aria-invalid={release.error ? true : undefined} />
      </Field>
      <Caution>Full trays are heavy; stack them with two people.</Caution>
      {release.error && release.error.problems.length === 0 && <Refusal message={release.error.message} />}
      <button className="act act-main" disabled={release.isPending || !Number.isInteger(plants)}>
        Release {Number.isInteger(plants) ? counted(plants, 'plant') : 'plants'}
      </button>
    </form>
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
