import { Link } from 'react-router';
import type { LineView, OrderView } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { StageMark } from '../look/StageMark';
import { Refusal } from '../look/States';
import { chanceWords, counted, dayWords, nameWords, spreadWords, trayWords } from '../look/words';

/** One line of an order: what was asked, which batches grow it, and how to plant it. */
export function LineBoard({ line, order, mayGrow }: { line: LineView; order: OrderView; mayGrow: boolean }) {
  const missing = line.plants - line.promised;
  if (line.cancelledOn) {
    return (
      <article className="board p-3 text-pencil" aria-label={`Line ${line.line}`}>
        <span className="line-through">{line.plants} {line.variety}</span> cancelled {dayWords(line.cancelledOn)}
      </article>
    );
  }
  return (
    <article className="board p-3" aria-label={`Line ${line.line}`}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="grow">{line.plants}{line.countedIn === 'CLUMPS' && ' clumps of'} {line.variety} <span className="font-normal text-pencil">{line.crop.toLowerCase()}</span></h2>
        <span>
          {nameWords(line.standing)}
          {line.released < line.plants && <span className={line.chance < 0.5 ? 'font-semibold text-brick' : 'text-pencil'}>, in time {chanceWords(line.chance)}</span>}
        </span>
      </div>
      <p className="text-pencil">
        {line.leavesFrom} to {line.leavesTo} true leaves in {line.container.toLowerCase()}
        {line.target !== order.target && <>, wanted on <strong>{dayWords(line.target)}</strong></>}
        ; {line.accepted} count as whole
      </p>
      {(line.released > 0 || line.ready > 0) && <p>{line.released} of {line.plants} gone, {line.ready} ready to go.</p>}
      <ul className="mt-1 divide-y divide-rule border-t border-rule">
        {line.supplies.map(({ batch, plants }) => (
          <li key={batch.number}>
            <Link to={`/batches/${batch.number}`} className="grid min-h-12 items-center gap-x-3 py-1 hover:bg-wash sm:grid-cols-[10.500rem_1fr]">
              <span className="font-semibold"><StageMark stage={batch.stage} named size={28} /></span>
              <span>
                {plants === line.plants ? '' : `${plants} from `}batch {batch.number}, {trayWords(batch.trays)},{' '}
              <span className="text-pencil">
                {batch.stage === 'PLANNED' ? `sow on ${dayWords(batch.sowDay)}; ` : ''}
                {batch.traysToSow > 0 && `part sown, ${counted(batch.traysToSow, 'tray')} to go; `}
                {batch.problem ? `${batch.problem} ` : ''}ready {spreadWords(batch.ready)}
                {batch.promises.length > 1 && `; shared with ${counted(batch.promises.length - 1, 'other line')}`}
              </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {line.promised < line.accepted && <Missing line={line} order={order} missing={missing} mayGrow={mayGrow} />}
      <details>
        <summary className="trail min-h-8 content-center text-sm">How to plant</summary>
        <ul className="list-disc pl-5">
          {line.planting.map((words) => <li key={words}>{words}</li>)}
        </ul>
      </details>
    </article>
  );
}

/** Plants of a line that nothing grows for. */
function Missing({ line, order, missing, mayGrow }: { line: LineView; order: OrderView; missing: number; mayGrow: boolean }) {
  const grow = useNumberedChange((entry: { line: number }, requestId) =>
    answered(api.POST('/api/orders/{number}/lines/{line}/supplies', { params: { path: { number: order.number, line: entry.line } }, body: { requestId } })),
  );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3 border-l-4 border-brick bg-brick-wash p-3">
      <strong className="text-brick">Nothing grows for {missing} of them.</strong>
      {mayGrow && (
        <button className="act" disabled={grow.isPending} onClick={() => grow.mutate({ line: line.line })}>Sow {counted(missing, 'plant')} for this line</button>
      )}
      <Refusal message={grow.error?.message} />
    </div>
  );
}
