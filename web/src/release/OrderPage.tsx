import { Link, useParams } from 'react-router';
import type { LineView, OrderView } from '../api/client';
import { useOrder } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { nameWords } from '../words/reasons';
import { ChangeOrder } from './ChangeOrder';
import { GrowerLink } from './GrowerLink';
import { LineBoard } from './LineBoard';
import { OrderHistory } from './OrderHistory';
import { ReleaseForm } from './ReleaseForm';
import { say } from '../words/say';
import { told } from '../words/told';
import { altitude } from '../words/quantity';

/** One order: what was asked, what grows for it, letting it go, and changing it. */
export function OrderPage({ mayRelease }: { mayRelease: boolean }) {
  const number = Number(useParams().number);
  const order = useOrder(number);
  if (order.isPending) return <Loading what={say('order {number}', { number })} />;
  if (order.isError) return <Trouble error={order.error} retry={() => order.refetch()} />;
  const view = order.data.order;
  const wanted = view.lines.filter((line) => !line.cancelledOn);
  const ready = wanted.some((line) => line.ready + line.readyMixed > 0 || (line.inPlace && line.inPlace.note == null));
  const open = wanted.some((line) => line.released < line.asked.plants);
  return (
    <>
      <p className="text-pencil">{say('Order {number}, taken {placedOn}', { number: view.number, placedOn: dayWords(view.placedOn) })}</p>
      <h1>
        {wanted.length === 1 ? (
          <What line={wanted[0]!} />
        ) : (
          `${say('{lines, plural, one {# line} other {# lines}}', { lines: wanted.length })}, ${say('{plants, plural, one {# plant} other {# plants}}', { plants: total(wanted, (line) => line.asked.plants) })}`
        )}
      </h1>
      <p className="mb-5">
        {told('for {grower}, {site} ({altitude}), wanted on <b>{target}</b>', {
          grower: view.grower,
          site: view.site,
          altitude: altitude(view.altitude),
          target: dayWords(view.target),
        })}
      </p>
      <div className="grid gap-6 lg:grid-cols-[1fr_24rem]">
        <section aria-label={say('Lines')} className="flex min-w-0 flex-col gap-4">
          {view.lines.map((line) => (
            <LineBoard key={line.line} line={line} order={view} mayGrow={mayRelease} />
          ))}
          <OrderHistory order={view} />
        </section>
        <section aria-label={say('Release')} className="flex flex-col gap-4">
          <Standing order={view} wanted={wanted} />
          {mayRelease && ready && (
            <ReleaseForm
              key={view.lines.map((line) => `${line.released}/${line.ready}/${line.readyMixed}/${line.inPlace?.note}`).join()}
              order={order.data}
            />
          )}
          {mayRelease && !ready && open && <Nothing>{say('Nothing is ready to go. Plants can be released once their hardening has ended.')}</Nothing>}
          <Notes order={view} traced />
          {mayRelease && open && <ChangeOrder order={view} />}
          {mayRelease && <GrowerLink grower={view.growerId} name={view.grower} />}
        </section>
      </div>
    </>
  );
}

function What({ line }: { line: LineView }) {
  return (
    <>
      {line.asked.plants} {line.asked.variety} <span className="font-normal text-pencil">{line.asked.crop.toLowerCase()}</span>
    </>
  );
}

const total = (lines: LineView[], of: (line: LineView) => number) => lines.reduce((sum, line) => sum + of(line), 0);

function Standing({ order, wanted }: { order: OrderView; wanted: LineView[] }) {
  const plants = total(wanted, (line) => line.asked.plants);
  const released = total(wanted, (line) => line.released);
  const seed = total(wanted, (line) => (line.inPlace?.due ? line.inPlace.plants : 0));
  return (
    <dl className="board grid grid-cols-2 gap-x-4 gap-y-1 p-4">
      <dt className="text-pencil">{say('Standing')}</dt>
      <dd className="font-semibold">{nameWords(order.standing)}</dd>
      <dt className="text-pencil">{say('Released')}</dt>
      <dd>
        {say('{released} of {plants}{more}', {
          released,
          plants,
          more: wanted.every((line) => line.asked.countedIn === 'CLUMPS') && wanted.length > 0 ? say(' clumps') : '',
        })}
      </dd>
      {wanted.length === 1 && (
        <>
          <dt className="text-pencil">{say('Counts as whole with')}</dt>
          <dd>{wanted[0]!.asked.accepted}</dd>
        </>
      )}
      <dt className="text-pencil">{say('Ready to go')}</dt>
      <dd>
        {total(wanted, (line) => line.ready)}
        {seed > 0 && say(' and the seed for {seed}', { seed })}
      </dd>
      {released < plants && (
        <>
          <dt className="text-pencil">{wanted.length > 1 ? say('Its least sure line') : say('Whole and in time')}</dt>
          <dd>{chanceWords(order.chance)}</dd>
        </>
      )}
    </dl>
  );
}

/** Notes of what has gone. */
export function Notes({ order, traced = false }: { order: OrderView; traced?: boolean }) {
  if (order.releases.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2">
      {order.releases.map((release) => (
        <li key={release.number} className="flex flex-col">
          {release.plants === 0 ? (
            <p className="text-pencil">{say('Delivery note {number}, {day}: taken back', { number: release.number, day: dayWords(release.day) })}</p>
          ) : (
            <a className="act w-full" href={`/api/releases/${release.number}/note.pdf`} target="_blank" rel="noreferrer">
              {say('Delivery note {number}, {day}, {what} (PDF)', {
                number: release.number,
                day: dayWords(release.day),
                what: whatWent(order, release.number, release.plants),
              })}
            </a>
          )}
          {traced && release.plants > 0 && (
            <Link className="trail flex min-h-11 items-center" to={`/trace/notes/${release.number}`}>
              {say('Where note {number} came from', { number: release.number })}
            </Link>
          )}
        </li>
      ))}
    </ul>
  );
}

/** Plants that went, and those for which seed did. */
function whatWent(order: OrderView, note: number, plants: number): string {
  const seed = total(order.lines, (line) => (line.inPlace?.note === note ? line.inPlace.plants : 0));
  const words = say('{plants, plural, one {# plant} other {# plants}}', { plants: plants - seed });
  if (seed === 0) return words;
  return plants === seed ? say('seed for {seed}', { seed }) : say('{words} and seed for {seed}', { words, seed });
}
