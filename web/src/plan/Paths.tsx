import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlanView, Refused, Wish } from '../api/client';
import { answered, api } from '../api/client';
import { Refusal } from '../look/States';
import { shortDay, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { nameWords } from '../words/reasons';
import { obstacleWords, provisoWords } from './planWords';
import { say } from '../words/say';
import { figures, volumeUp } from '../words/quantity';

type Kind = NonNullable<Wish['containerPath']>;

const MOST_BESIDE = 3;

/** Paths through containers side by side: dates, room, mix, seeds, labels, cost and chance. */
export function Paths({ wish, today, choose }: { wish: Wish; today: string; choose: (kind: Kind) => void }) {
  const [open, setOpen] = useState(false);
  const [beside, setBeside] = useState<Kind[]>([]);
  const paths = useQuery<Awaited<ReturnType<typeof fetchPaths>>, Refused>({
    queryKey: ['paths', wish],
    enabled: open,
    queryFn: () => fetchPaths(wish),
  });
  const kinds = paths.data?.map((path) => path.kind) ?? [];
  const shown = beside.length > 0 ? beside.filter((kind) => kinds.includes(kind)) : kinds.slice(0, MOST_BESIDE);
  const columns = paths.data?.filter((path) => shown.includes(path.kind)) ?? [];
  const toggle = (kind: Kind) => setBeside(shown.includes(kind) ? shown.filter((each) => each !== kind) : [...shown, kind].slice(-MOST_BESIDE));
  const row = (name: string, of: (path: (typeof columns)[number]) => React.ReactNode) => (
    <tr className="border-t border-rule">
      <th scope="row" className="py-1 pr-2 font-normal text-pencil">
        {name}
      </th>
      {columns.map((path) => (
        <td key={path.kind} className="py-1 pr-2 align-top">
          {of(path)}
        </td>
      ))}
    </tr>
  );
  return (
    <details className="text-sm" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="trail min-h-11 content-center">{say('Compare paths through containers')}</summary>
      {paths.isPending && <p role="status">{say('Following each path…')}</p>}
      <Refusal message={paths.error?.message} />
      {paths.data && (
        <>
          {kinds.length > MOST_BESIDE && (
            <p className="mb-2 flex flex-wrap gap-x-4">
              {kinds.map((kind) => (
                <label key={kind} className="flex min-h-11 items-center gap-2">
                  <input type="checkbox" className="size-5" checked={shown.includes(kind)} onChange={() => toggle(kind)} />
                  {nameWords(kind)}
                </label>
              ))}
            </p>
          )}
          <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={say('Paths compared')}>
            <table className="w-full text-left">
              <thead>
                <tr>
                  <th />
                  {columns.map((path) => (
                    <th key={path.kind} className="pr-2 pb-1 align-top">
                      {nameWords(path.kind)}
                      <span className="block font-normal text-pencil">{path.plan.containers.map((each) => each.name.toLowerCase()).join(', ')}</span>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {row(say('In time'), (path) => (
                  <strong>{path.plan.promise.possible ? chanceWords(path.plan.promise.chance) : say('no')}</strong>
                ))}
                {row(say('Sow'), (path) => (path.plan.dates.window ? shortDay(path.plan.dates.window.best) : '–'))}
                {row(say('Ready'), (path) => spreadWords(path.plan.dates.ready))}
                {row(say('Room, trays × days'), (path) =>
                  path.plan.outlay
                    ? say('{slotDays}, at most {mostSlots}', {
                        slotDays: Math.round(path.plan.outlay.slotDays),
                        mostSlots: path.plan.outlay.mostSlots,
                      })
                    : '–',
                )}
                {row(say('Seeds'), (path) => path.plan.outlay?.seeds ?? '–')}
                {row(say('Mix'), (path) => (path.plan.outlay ? volumeUp(path.plan.outlay.mix) : '–'))}
                {row(say('Labels'), (path) => path.plan.outlay?.labels ?? '–')}
                {row(say('Work'), (path) => (path.plan.outlay ? say('{hours} h', { hours: figures(path.plan.outlay.hours, 1) }) : '–'))}
                {row(say('Cost'), (path) => (path.plan.outlay ? figures(path.plan.outlay.cost) : '–'))}
                {row(say('Mind'), (path) => mind(path.plan, today) || '–')}
                {row('', (path) =>
                  path.kind === (wish.containerPath ?? 'STRAIGHT') ? (
                    <span className="py-2">{say('chosen')}</span>
                  ) : (
                    <button type="button" className="trail min-h-11" disabled={!path.plan.promise.possible} onClick={() => choose(path.kind)}>
                      {say('Take this path')}
                    </button>
                  ),
                )}
              </tbody>
            </table>
          </div>
        </>
      )}
    </details>
  );
}

const fetchPaths = (wish: Wish) => answered(api.POST('/api/paths', { body: wish }));

/** What stands in the way of a path, and what is to be minded beside. */
function mind(plan: PlanView, today: string): string {
  return [
    ...[...plan.promise.reasons, ...plan.promise.conditions].map((proviso) => provisoWords(proviso, plan, today)),
    ...plan.obstacles.filter((each) => each.kind === 'PotTooLarge').map((each) => obstacleWords(each, plan, today)),
  ].join(' ');
}
