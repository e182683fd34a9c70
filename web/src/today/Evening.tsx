import type { RoundView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { degrees } from '../words/quantity';

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
        <h2 className="inline">
          {say('Before night: bring in or cover {plants, plural, one {# plant} other {# plants}}', {
            plants: tasks.reduce((sum, task) => sum + task.plants, 0),
          })}
        </h2>
        <span className="block sm:inline">
          {' '}
          {say('Worst: {plants} {variety}, {place}, {tonight} tonight', {
            plants: tasks[0]!.plants,
            variety: tasks[0]!.variety,
            place: tasks[0]!.place.toLowerCase(),
            tonight: degrees(tasks[0]!.tonight),
          })}
        </span>
      </summary>
      <Refusal message={tick.error?.message} />
      {places.map((place) => {
        const here = tasks.filter((task) => task.place === place);
        return (
          <div key={place} className="mt-2">
            <h3>{say('{place}, {tonight} tonight', { place, tonight: degrees(here[0]!.tonight) })}</h3>
            <ul className="divide-y divide-rule">
              {here.map((task) => (
                <li key={task.batch} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
                  <span className="min-w-56 grow">
                    <strong>
                      {task.plants} {task.variety}
                    </strong>
                    {say(
                      ', batch {batch}, {trays}{more}: they stand down to {floor}, about {plants, plural, one {# plant} other {# plants}} lost if left',
                      {
                        batch: task.batch,
                        trays: task.trays
                          .map((tray) => `T${tray}`)
                          .slice(0, 4)
                          .join(' '),
                        more: task.trays.length > 4 ? ` +${task.trays.length - 4}` : '',
                        floor: degrees(task.floor),
                        plants: Math.round(task.likelyLoss),
                      },
                    )}
                  </span>
                  <span className="flex gap-2">
                    <button className="act" disabled={tick.isPending} onClick={() => tick.mutate({ batch: task.batch, done: 'BROUGHT_IN' })}>
                      {say('Brought in')}
                    </button>
                    <button className="act" disabled={tick.isPending} onClick={() => tick.mutate({ batch: task.batch, done: 'COVERED' })}>
                      {say('Covered')}
                    </button>
                  </span>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </details>
  );
}
