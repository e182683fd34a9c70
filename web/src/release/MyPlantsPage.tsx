import type { GrowerLoss, GrowerRequest, LineView, OrderView } from '../api/client';
import { useFreePlants, useGrowerLosses, useGrowerRequests, useOrders } from '../api/queries';
import { StageMark } from '../look/StageMark';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { AskForLine } from './AskForLine';
import { FreePlants } from './FreePlants';
import { HowTheyDid } from './HowTheyDid';
import { Notes } from './OrderPage';
import { HowToSow } from './SownInPlace';
import { say } from '../words/say';
import { told } from '../words/told';

/** The grower's page: will my plants be ready, how sure is it, what do I do on the day. */
export function MyPlantsPage() {
  const orders = useOrders();
  const asked = useGrowerRequests().data ?? [];
  const losses = useGrowerLosses().data ?? [];
  const free = useFreePlants().data ?? [];
  if (orders.isPending) return <Loading what={say('your plants')} />;
  if (orders.isError) return <Trouble error={orders.error} retry={() => orders.refetch()} />;
  const coming = orders.data.filter((order) => order.standing !== 'RELEASED' && order.standing !== 'CANCELLED');
  const gone = orders.data.filter((order) => order.standing === 'RELEASED').reverse();
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-4">{say('Your plants')}</h1>
      {coming.length === 0 && <Nothing>{say('Nothing is being grown for you just now.')}</Nothing>}
      <ul className="flex flex-col gap-4">
        {coming.map((order) => (
          <Coming key={order.number} order={order} asked={asked} losses={losses} />
        ))}
      </ul>
      {gone.length > 0 && (
        <>
          <h2 className="mt-8 mb-3">{say('With you already')}</h2>
          <ul className="flex flex-col gap-4">
            {gone.map((order) => (
              <li key={order.number} className="board p-4">
                {order.lines
                  .filter((line) => !line.cancelledOn)
                  .map((line) => (
                    <p key={line.line}>
                      <strong>
                        {line.asked.plants} {line.asked.variety}
                      </strong>{' '}
                      {line.asked.crop.toLowerCase()}
                      {line.inPlace &&
                        say(', seed to be sown from {from} to {until}', {
                          from: dayWords(line.inPlace.sowFrom),
                          until: dayWords(line.inPlace.sowUntil),
                        })}
                    </p>
                  ))}
                <p className="mb-2">{say('wanted {target}', { target: dayWords(order.target) })}</p>
                <Notes order={order} />
                <HowTheyDid order={order} losses={losses.filter((loss) => loss.orderNumber === order.number)} />
              </li>
            ))}
          </ul>
        </>
      )}
      <FreePlants free={free} asked={asked} />
    </div>
  );
}

/** The answer in plain words. */
export function answer(line: LineView): string {
  if (line.standing === 'FAILED' || line.standing === 'OPEN') return say('This sowing failed. Your propagator will call you about it.');
  if (line.released >= line.asked.plants) return say('All have gone to you.');
  if (line.released > 0)
    return say('{released} of {plants} have gone to you; the rest follows.', { released: line.released, plants: line.asked.plants });
  if (line.ready >= line.asked.plants) return say('They are ready and waiting for you.');
  if (line.ready > 0) return say('{ready} of {plants} are ready.', { ready: line.ready, plants: line.asked.plants });
  if (line.inPlace && line.supplies.length === 0) return inPlaceAnswer(line.inPlace);
  const ready = line.supplies.find((supply) => supply.batch.dates.ready)?.batch.dates.ready;
  if (!ready) return say('They are not likely to be ready this season. Your propagator will call you.');
  return verdict(line, spreadWords(ready), ready.middle > line.asked.target);
}

/** When they are ready, and what may be wrong with that, in words that need no knowledge of chances. */
function verdict(line: LineView, ready: string, late: boolean): string {
  const target = dayWords(line.asked.target);
  const short = line.promised < line.asked.accepted ? line.asked.plants - line.promised : 0;
  if (short > 0)
    return late
      ? say('Ready {ready}, likely later than wanted and {short, plural, one {# plant} other {# plants}} short.', { ready, short })
      : say('Ready {ready}, but likely {short, plural, one {# plant} other {# plants}} short.', { ready, short });
  if (late) return say('Likely late: ready {ready}.', { ready });
  if (line.chance >= SURE_ENOUGH) return say('Ready {ready}, in time: {chance}.', { ready, chance: chanceWords(line.chance) });
  if (line.chance >= EVEN) return say('Ready {ready}; it is tight for {target}: {chance}.', { ready, target, chance: chanceWords(line.chance) });
  return say('Ready {ready}, but most likely not all of them as you want them on {target}. Your propagator will call you.', { ready, target });
}

const SURE_ENOUGH = 0.8;
const EVEN = 0.5;

/** What the grower is to do, and when, where seed is sown at their own place. */
function inPlaceAnswer(sown: NonNullable<LineView['inPlace']>): string {
  const span = { from: dayWords(sown.sowFrom), until: dayWords(sown.sowUntil) };
  return sown.due
    ? say('To be sown at your place from {from} to {until}; the seed is ready for you.', span)
    : say('To be sown at your place from {from} to {until}; the seed comes before that.', span);
}

function Coming({ order, asked, losses }: { order: OrderView; asked: GrowerRequest[]; losses: GrowerLoss[] }) {
  const wanted = order.lines.filter((line) => !line.cancelledOn);
  return (
    <li className="board p-4">
      <p className="mb-2 text-pencil">
        {told('Order {number}, wanted on <b>{target}</b> at {site}', { number: order.number, target: dayWords(order.target), site: order.site })}
      </p>
      <ul className="flex flex-col gap-4">
        {wanted.map((line) => (
          <ComingLine
            key={line.line}
            line={line}
            order={order}
            asked={asked.filter((each) => each.orderNumber === order.number && each.line === line.line)}
          />
        ))}
      </ul>
      <div className="mt-2">
        <Notes order={order} />
        <HowTheyDid order={order} losses={losses.filter((loss) => loss.orderNumber === order.number)} />
      </div>
    </li>
  );
}

function ComingLine({ line, order, asked }: { line: LineView; order: OrderView; asked: GrowerRequest[] }) {
  const batch = line.supplies[0]?.batch;
  return (
    <li className="flex items-start gap-3">
      {batch && <StageMark stage={batch.stage} size={44} />}
      <div className="grow">
        <h2>
          {line.asked.plants} {line.asked.variety} <span className="font-normal text-pencil">{line.asked.crop.toLowerCase()}</span>
        </h2>
        {line.asked.target !== order.target && <p>{told('for <b>{target}</b>', { target: dayWords(line.asked.target) })}</p>}
        <p className="text-lg">{answer(line)}</p>
        {batch?.dates.ready && line.ready === 0 && line.released < line.asked.plants && (
          <p className="text-pencil">
            {batch.boughtIn
              ? say('They stand here from {sowDay} on.', { sowDay: dayWords(batch.dates.sowDay) })
              : batch.stage === 'PLANNED'
                ? say('To be sown on {sowDay}.', { sowDay: dayWords(batch.dates.sowDay) })
                : say('Sown on {sowDay}.', { sowDay: dayWords(batch.dates.sowDay) })}
          </p>
        )}
        {line.inPlace && <HowToSow how={line.inPlace.how} />}
        {line.before.length > 0 && line.released < line.asked.plants && (
          <details>
            <summary className="trail min-h-11 content-center">{say('What to make ready before')}</summary>
            <ul className="list-disc pl-5">
              {line.before.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </details>
        )}
        <details>
          <summary className="trail min-h-11 content-center">{say('What to do on the day')}</summary>
          <ul className="list-disc pl-5">
            {line.planting.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </details>
        {line.after.length > 0 && (
          <details>
            <summary className="trail min-h-11 content-center">{say('In their first weeks')}</summary>
            <ul className="list-disc pl-5">
              {line.after.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </details>
        )}
        {line.released < line.asked.plants && <AskForLine order={order.number} line={line} asked={asked} />}
      </div>
    </li>
  );
}
