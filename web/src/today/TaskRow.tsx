import { Link } from 'react-router';
import type { BatchSummary, StopView, TaskKind, Urgency } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { announce } from '../look/announce';
import { StageMark } from '../look/StageMark';
import { Refusal } from '../look/States';
import { shortDay } from '../words/days';
import { minutesWords } from '../words/phrases';
import { whyWords } from '../words/reasons';
import { say } from '../words/say';

export type Task = StopView['work'][number]['tasks'][number];

/** Somebody to whom work can be handed. */
export interface Hand {
  id: number;
  name: string;
}

/** Whether a task still asks for hands today. */
export const isOpen = (task: Task) => !task.done && task.putOffUntil == null;

export const TASK_WORDS: Record<TaskKind, string> = {
  SOAK: say('Soak seed'),
  SOW: say('Sow'),
  TAKE_IN: say('Take in'),
  LOOK_FOR_FROST: say('Look for frost losses'),
  COUNT: say('Count'),
  DECIDE_ON_FAILING: say('Decide'),
  UNCOVER: say('Cover off, light on'),
  MOVE_TO_GROW_ON: say('Move to grow on'),
  POT_ON: say('Pot on'),
  START_HARDENING: say('Begin hardening'),
  HARDEN: say('Harden'),
  END_HARDENING: say('End hardening'),
  RELEASE: say('Release'),
  CLEAR_SPARES: say('Clear spares'),
  WATCH_DATE: say('Watch the date'),
  FEED: say('Feed'),
  BRUSH: say('Brush'),
  PINCH: say('Pinch'),
  TAKE_FLOWERS: say('Flowers off'),
};

/** Work of which the record of the plants tells. */
const STEPS: Partial<Record<TaskKind, string>> = { BRUSH: 'BRUSHED', PINCH: 'PINCHED', TAKE_FLOWERS: 'FLOWERS_OFF' };

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
    case 'FEED':
      return '/feed';
    case 'DECIDE_ON_FAILING':
      return `/season/reschedule?batch=${batch.number}`;
    case 'RELEASE':
      return orders.length === 1 ? `/orders/${orders[0]}` : `/batches/${batch.number}`;
    default:
      return `/batches/${batch.number}`;
  }
}

/** One task of the round: what and why, to be opened, ticked off with the thumb, or handed to somebody. */
export function TaskRow({ batch, task, today, hands }: { batch: BatchSummary; task: Task; today: string; hands: Hand[] }) {
  const waits = task.putOffUntil != null;
  return (
    <li>
      <div className="flex items-stretch">
        <Link
          to={target(task.kind, batch)}
          className={`grid min-h-14 min-w-0 grow grid-cols-[auto_1fr] items-center gap-x-3 px-3 py-2 hover:bg-wash sm:grid-cols-[auto_10rem_14rem_1fr] ${task.done ? 'line-through decoration-pencil' : ''}`}
        >
          <StageMark stage={batch.stage} size={30} />
          <span className="font-semibold">
            {TASK_WORDS[task.kind]}
            {URGENCY_WORDS[task.urgency] && !task.done && (
              <span
                className={`ml-2 border px-1.5 text-sm ${task.urgency === 'LATE' ? 'border-brick bg-brick-wash text-brick' : 'border-ochre bg-ochre-wash text-ochre'}`}
              >
                {URGENCY_WORDS[task.urgency]}
              </span>
            )}
            <span className="block text-sm font-normal text-pencil">
              {minutesWords(task.minutes)}
              {task.handedTo && <strong className="text-ink">, {task.handedTo}</strong>}
            </span>
          </span>
          <span className="col-start-2 sm:col-start-auto">
            {batch.variety}{' '}
            <span className="text-pencil">
              {batch.crop.toLowerCase()},{' '}
              {batch.trays
                .map((tray) => `T${tray}`)
                .slice(0, 2)
                .join(' ')}
              {batch.trays.length > 2 && ` +${batch.trays.length - 2}`}
            </span>
          </span>
          <span className="col-start-2 text-pencil sm:col-start-auto">
            {waits ? say('put off until {day}', { day: shortDay(task.putOffUntil!) }) : whyWords(task.why, today)}
          </span>
        </Link>
        {waits ? <TodayAfterAll batch={batch.number} task={task} /> : <Tools batch={batch} task={task} hands={hands} />}
      </div>
      {task.kind === 'LOOK_FOR_FROST' && !task.done && <NoneLost batch={batch.number} />}
    </li>
  );
}

/** A tick for the thumb; at the desk also who is to do it. */
function Tools({ batch, task, hands }: { batch: BatchSummary; task: Task; hands: Hand[] }) {
  const what = `${TASK_WORDS[task.kind]}, ${batch.variety}`;
  const tick = useChange((done: boolean) => answered(api.POST('/api/round/ticks', { body: { batch: batch.number, kind: task.kind, done } })));
  const hand = useChange((person: number | null) =>
    answered(api.POST('/api/round/handings', { body: { batch: batch.number, kind: task.kind, person } })),
  );
  const press = (done: boolean) =>
    tick.mutate(done, { onSuccess: () => announce(done ? say('Ticked off: {what}.', { what }) : say('Open again: {what}.', { what })) });
  return (
    <span className="no-print flex shrink-0 items-center gap-2 pr-2">
      {hands.length > 1 && !task.done && (
        <select
          className="entry hidden w-32 lg:block"
          aria-label={say('Who does it: {what}', { what })}
          value={task.handedToId ?? ''}
          onChange={(event) => hand.mutate(event.target.value === '' ? null : Number(event.target.value))}
        >
          <option value="">{say('anyone')}</option>
          {hands.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </select>
      )}
      {task.kind === 'FEED' ? (
        // A tick alone would say nothing of what was given.
        <Link className="act" to="/feed" aria-label={say('Note it: {what}', { what })}>
          {say('Note it')}
        </Link>
      ) : STEPS[task.kind] ? (
        <DoneToPlants what={what} batch={batch.number} step={STEPS[task.kind]!} />
      ) : (
        <Tick what={what} done={task.done} pending={tick.isPending} press={() => press(!task.done)} />
      )}
      {(tick.error ?? hand.error) && <Refusal message={(tick.error ?? hand.error)?.message} />}
    </span>
  );
}

/** What was done to plants goes into their record, also without a signal; it is undone there. */
function DoneToPlants({ what, batch, step }: { what: string; batch: number; step: string }) {
  const tend = useBenchChange<{ step: string }>(`/api/batches/${batch}/tendings`, () => what);
  return (
    <>
      <Tick what={what} done={tend.isSuccess} pending={tend.isPending || tend.isSuccess} press={() => tend.mutate({ step })} />
      <Refusal message={tend.error?.message} />
    </>
  );
}

function Tick({ what, done, pending, press }: { what: string; done: boolean; pending: boolean; press: () => void }) {
  return (
    <button
      type="button"
      className={`grid size-11 place-items-center border-2 ${done ? 'border-alive bg-alive text-on-alive' : 'border-pencil bg-board'}`}
      aria-pressed={done}
      aria-label={say('Done: {what}', { what })}
      disabled={pending}
      onClick={press}
    >
      {done && (
        <svg aria-hidden viewBox="0 0 24 24" className="size-7" fill="none" stroke="currentColor" strokeWidth="3">
          <path d="M5 13l5 5L20 6" />
        </svg>
      )}
    </button>
  );
}

function TodayAfterAll({ batch, task }: { batch: number; task: Task }) {
  const back = useChange(() => answered(api.POST('/api/round/put-offs', { body: { batch, kind: task.kind } })));
  return (
    <span className="no-print flex items-center pr-2">
      <button type="button" className="act" disabled={back.isPending} onClick={() => back.mutate(undefined)}>
        {say('Today after all')}
      </button>
      <Refusal message={back.error?.message} />
    </span>
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
