import { Link } from 'react-router';
import type { BatchSummary, StopView, TaskKind, Urgency } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { StageMark } from '../look/StageMark';
import { Refusal } from '../look/States';
import { whyWords } from '../words/reasons';
import { say } from '../words/say';
import { told } from '../words/told';
import { degrees, figures, temperature } from '../words/quantity';

const TASK_WORDS: Record<TaskKind, string> = {
  SOW: say('Sow'),
  TAKE_IN: say('Take in'),
  LOOK_FOR_FROST: say('Look for frost losses'),
  COUNT: say('Count'),
  DECIDE_ON_FAILING: say('Decide'),
  MOVE_TO_GROW_ON: say('Move to grow on'),
  POT_ON: say('Pot on'),
  START_HARDENING: say('Begin hardening'),
  HARDEN: say('Harden'),
  END_HARDENING: say('End hardening'),
  RELEASE: say('Release'),
  CLEAR_SPARES: say('Clear spares'),
  WATCH_DATE: say('Watch the date'),
};

const URGENCY_WORDS: Record<Urgency, string> = { LATE: say('late'), AT_RISK: say('at risk'), TODAY: '' };

/** The thing itself, ready to be worked on. */
function target(kind: TaskKind, batch: BatchSummary): string {
  const orders = [...new Set(batch.promises.map((promise) => promise.order))];
  switch (kind) {
    case 'SOW':
    case 'TAKE_IN':
    case 'COUNT':
    case 'LOOK_FOR_FROST':
      return `/trays/${(kind === 'SOW' || kind === 'TAKE_IN') && batch.traysToSow > 0 ? batch.trays.at(-1) : batch.trays[0]}`;
    case 'DECIDE_ON_FAILING':
      return `/season/reschedule?batch=${batch.number}`;
    case 'RELEASE':
      return orders.length === 1 ? `/orders/${orders[0]}` : `/batches/${batch.number}`;
    default:
      return `/batches/${batch.number}`;
  }
}

/** One stop on the round. */
export function Stop({ stop, today }: { stop: StopView; today: string }) {
  const over = stop.slotsTaken > stop.slots;
  return (
    <li className="relative mb-6">
      <span
        aria-hidden
        className={`absolute top-1.5 -left-[33px] size-4 rounded-full border-2 border-dusk ${stop.work.length ? 'bg-dusk' : 'bg-wall'}`}
      />
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-0.5">
        <h2>{stop.place}</h2>
        {stop.lastMinimum != null && stop.lastMaximum != null && (
          <span className="text-sm text-pencil">
            {say('yesterday {lastMinimum} to {lastMaximum}{more}', {
              lastMinimum: figures(temperature(stop.lastMinimum), 1),
              lastMaximum: degrees(stop.lastMaximum),
              more:
                stop.setMinimum != null
                  ? say(', set {setMinimum} to {setMaximum}', {
                      setMinimum: figures(temperature(stop.setMinimum)),
                      setMaximum: degrees(stop.setMaximum!, 0),
                    })
                  : '',
            })}
          </span>
        )}
        <span className={`text-sm ${over ? 'font-semibold text-brick' : 'text-pencil'}`}>
          {say('{slotsTaken} of {slots} tray places taken{more}', {
            slotsTaken: stop.slotsTaken,
            slots: stop.slots,
            more: over ? say(', {slotsTaken} too many', { slotsTaken: stop.slotsTaken - stop.slots }) : '',
          })}
        </span>
      </div>
      {stop.caution && <p className="text-sm text-ochre">{told('<b>Mind:</b> {caution}', { caution: stop.caution })}</p>}
      {stop.work.length === 0 ? (
        <p className="text-sm text-pencil">
          {stop.quietBatches > 0
            ? say('Nothing to do; {batches, plural, one {# batch} other {# batches}} to look over.', { batches: stop.quietBatches })
            : say('Empty.')}
        </p>
      ) : (
        <>
          <ul className="board mt-2 divide-y divide-rule">
            {stop.work.flatMap((work) =>
              work.tasks.map((task) => (
                <li key={`${work.batch.number} ${task.kind}`}>
                  <Link
                    to={target(task.kind, work.batch)}
                    className="grid min-h-14 grid-cols-[auto_1fr] items-center gap-x-3 px-3 py-2 hover:bg-wash sm:grid-cols-[auto_11rem_15rem_1fr]"
                  >
                    <StageMark stage={work.batch.stage} size={30} />
                    <span className="font-semibold">
                      {TASK_WORDS[task.kind]}
                      {URGENCY_WORDS[task.urgency] && (
                        <span
                          className={`ml-2 border px-1.5 text-sm ${task.urgency === 'LATE' ? 'border-brick bg-brick-wash text-brick' : 'border-ochre bg-ochre-wash text-ochre'}`}
                        >
                          {URGENCY_WORDS[task.urgency]}
                        </span>
                      )}
                    </span>
                    <span className="col-start-2 sm:col-start-auto">
                      {work.batch.variety}{' '}
                      <span className="text-pencil">
                        {work.batch.crop.toLowerCase()},{' '}
                        {work.batch.trays
                          .map((tray) => `T${tray}`)
                          .slice(0, 2)
                          .join(' ')}
                        {work.batch.trays.length > 2 && ` +${work.batch.trays.length - 2}`}
                      </span>
                    </span>
                    <span className="col-start-2 text-pencil sm:col-start-auto">{whyWords(task.why, today)}</span>
                  </Link>
                  {task.kind === 'LOOK_FOR_FROST' && <NoneLost batch={work.batch.number} />}
                </li>
              )),
            )}
          </ul>
          {stop.quietBatches > 0 && (
            <p className="mt-1 text-sm text-pencil">
              {say('{batches, plural, one {# other batch} other {# other batches}} to look over.', { batches: stop.quietBatches })}
            </p>
          )}
        </>
      )}
    </li>
  );
}

/** After a cold night: looked at, and whole. */
function NoneLost({ batch }: { batch: number }) {
  const tick = useChange((entry: { batch: number }) => answered(api.POST('/api/round/evening', { body: { ...entry, done: 'NONE_LOST' } })));
  return (
    <div className="px-3 pb-2">
      <button className="act" disabled={tick.isPending} onClick={() => tick.mutate({ batch })}>
        {say('Looked at batch {batch}: none lost', { batch })}
      </button>
      <Refusal message={tick.error?.message} />
    </div>
  );
}
