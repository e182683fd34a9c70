import { useState } from 'react';
import { Link } from 'react-router';
import type { LineView, OrderView } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { StageMark } from '../look/StageMark';
import { Refusal } from '../look/States';
import { dayWords, spreadWords } from '../words/days';
import { coverWords, trayWords } from '../words/phrases';
import { nameWords } from '../words/reasons';
import { say } from '../words/say';
import { told } from '../words/told';
import { LineChance } from './LineChance';
import { SownInPlace } from './SownInPlace';
import { WaysSheet } from './WaysSheet';

/** One line of an order: what was asked, which batches grow it, and how to plant it. */
export function LineBoard({ line, order, mayGrow }: { line: LineView; order: OrderView; mayGrow: boolean }) {
  const [comparing, setComparing] = useState(false);
  const missing = line.asked.plants - line.promised;
  if (line.cancelledOn) {
    return (
      <article className="board p-3 text-pencil" aria-label={say('Line {line}', { line: line.line })}>
        <span className="line-through">
          {line.asked.plants} {line.asked.variety}
        </span>{' '}
        {say('cancelled {cancelledOn}', { cancelledOn: dayWords(line.cancelledOn) })}
      </article>
    );
  }
  return (
    <article className="board p-3" aria-label={say('Line {line}', { line: line.line })}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="grow">
          {line.asked.plants}
          {line.asked.countedIn === 'CLUMPS' && say(' clumps of')} {line.asked.variety}{' '}
          <span className="font-normal text-pencil">{line.asked.crop.toLowerCase()}</span>
        </h2>
        <span>{nameWords(line.standing)}</span>
      </div>
      {line.released < line.asked.plants && <LineChance line={line} />}
      <p className="text-pencil">
        {say('{leavesFrom} to {leavesTo} true leaves in {container}', {
          leavesFrom: line.asked.leavesFrom,
          leavesTo: line.asked.leavesTo,
          container: line.asked.container.toLowerCase(),
        })}
        {line.asked.protection && say(', to stand {cover}', { cover: coverWords(line.asked.protection) })}
        {line.asked.target !== order.target && told(', wanted on <b>{target}</b>', { target: dayWords(line.asked.target) })}
        {say('; {accepted} count as whole', { accepted: line.asked.accepted })}
      </p>
      {line.released + line.ready + line.readyMixed > 0 && (
        <p>
          {say('{released} of {plants} gone, {ready} ready to go{mixed, plural, =0 {} other {, # more as mixed}}.', {
            released: line.released,
            plants: line.asked.plants,
            ready: line.ready,
            mixed: line.readyMixed,
          })}
        </p>
      )}
      <ul className="mt-1 divide-y divide-rule border-t border-rule">
        {line.supplies.map(({ batch, plants }) => (
          <li key={batch.number}>
            <Link to={`/batches/${batch.number}`} className="grid min-h-12 items-center gap-x-3 py-1 hover:bg-wash sm:grid-cols-[10.500rem_1fr]">
              <span className="font-semibold">
                <StageMark stage={batch.stage} named size={28} />
              </span>
              <span>
                {say('{what}batch {number}, {trays},', {
                  what: plants === line.asked.plants ? '' : say('{plants} from ', { plants }),
                  number: batch.number,
                  trays: trayWords(batch.trays),
                })}{' '}
                <span className="text-pencil">
                  {say('{what}{more}{what2}ready {ready}{more2}', {
                    what:
                      batch.stage !== 'PLANNED'
                        ? ''
                        : batch.boughtIn
                          ? say('to arrive on {sowDay}; ', { sowDay: dayWords(batch.dates.sowDay) })
                          : say('sow on {sowDay}; ', { sowDay: dayWords(batch.dates.sowDay) }),
                    more:
                      batch.traysToSow > 0
                        ? say('part sown, {trays, plural, one {# tray} other {# trays}} to go; ', { trays: batch.traysToSow })
                        : '',
                    what2: batch.problem ? `${batch.problem} ` : '',
                    ready: spreadWords(batch.dates.ready),
                    more2:
                      batch.promises.length > 1
                        ? say('; shared with {lines, plural, one {# other line} other {# other lines}}', { lines: batch.promises.length - 1 })
                        : '',
                  })}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <SownInPlace line={line} order={order} mayTakeBack={mayGrow} />
      {mayGrow && line.released < line.asked.plants && (
        <button className="trail min-h-11 text-sm" onClick={() => setComparing(true)}>
          {say('Compare the ways: raised, sown in place, bought in')}
        </button>
      )}
      {comparing && <WaysSheet line={line} order={order} close={() => setComparing(false)} />}
      {line.promised < line.asked.accepted && <Missing line={line} order={order} missing={missing} mayGrow={mayGrow} />}
      <details>
        <summary className="trail min-h-11 content-center text-sm">{say('How to plant')}</summary>
        <ul className="list-disc pl-5">
          {line.planting.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </details>
    </article>
  );
}

/** Plants of a line that nothing grows for. */
function Missing({ line, order, missing, mayGrow }: { line: LineView; order: OrderView; missing: number; mayGrow: boolean }) {
  const grow = useNumberedChange((entry: { line: number }, requestId) =>
    answered(
      api.POST('/api/orders/{number}/lines/{line}/supplies', { params: { path: { number: order.number, line: entry.line } }, body: { requestId } }),
    ),
  );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3 border-l-4 border-brick bg-brick-wash p-3">
      <strong className="text-brick">{say('Nothing grows for {missing} of them.', { missing })}</strong>
      {mayGrow && (
        <button className="act" disabled={grow.isPending} onClick={() => grow.mutate({ line: line.line })}>
          {say('Sow {plants, plural, one {# plant} other {# plants}} for this line', { plants: missing })}
        </button>
      )}
      {mayGrow && (
        <Link className="act" to={`/batches/buy?order=${order.number}&line=${line.line}`}>
          {say('Buy them in')}
        </Link>
      )}
      <Refusal message={grow.error?.message} />
    </div>
  );
}
