import type { RoundView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { counted } from '../look/words';

/** On a narrow screen the list is folded: its summary says what is at stake. */
const WIDE = 640;

type Task = RoundView['evening'][number];

/** What must come in or be covered before night, place by place, the worst loss first; it stays until it is ticked. */
export function Evening({ tasks }: { tasks: Task[] }) {
  const tick = useChange((entry: { batch: number; done: 'BROUGHT_IN' | 'COVERED' }) => answered(api.POST('/api/round/evening', { body: entry })));
  if (tasks.length === 0) return null;
  const places = [...new Set(tasks.map((task) => task.place))];
  return (
    <details open={window.innerWidth >= WIDE} className="mb-5 border-l-4 border-brick bg-brick-wash p-3">
      <summary className="min-h-11 cursor-pointer content-center">
        <h2 className="inline">Before night: bring in or cover {counted(tasks.reduce((sum, task) => sum + task.plants, 0), 'plant')}</h2>
        <span className="block sm:inline">
          {' '}Worst: {tasks[0]!.plants} {tasks[0]!.variety}, {tasks[0]!.place.toLowerCase()}, {degrees(tasks[0]!.tonight)} tonight
        </span>
      </summary>
      <Refusal message={tick.error?.message} />
      {places.map((place) => {
        const here = tasks.filter((task) => task.place === place);
        return (
          <div key={place} className="mt-2">
            <h3>{place}, {degrees(here[0]!.tonight)} tonight</h3>
            <ul className="divide-y divide-rule">
              {here.map((task) => (
                <li key={task.batch} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
                  <span className="min-w-56 grow">
                    <strong>{task.plants} {task.variety}</strong>, batch {task.batch}, {task.trays.map((tray) => `T${tray}`).slice(0, 4).join(' ')}
                    {task.trays.length > 4 && ` +${task.trays.length - 4}`}: they stand down to {degrees(task.floor)},{' '}
                    about {counted(Math.round(task.likelyLoss), 'plant')} lost if left
                  </span>
                  <button className="act" disabled={tick.isPending} onClick={() => tick.mutate({ batch: task.batch, done: 'BROUGHT_IN' })}>Brought in</button>
                  <button className="act" disabled={tick.isPending} onClick={() => tick.mutate({ batch: task.batch, done: 'COVERED' })}>Covered</button>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </details>
  );
}

const degrees = (temperature: number) => `${temperature.toFixed(1).replace('-', '−')} °C`;
