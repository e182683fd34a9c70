import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { RowChange } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords, timeWords } from '../words/days';
import { say } from '../words/say';

/** What was changed on a sheet, by whom, and taking it back. */
export function SheetChanges({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-4" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="trail min-h-11 content-center">{say('What was changed here')}</summary>
      {open && <Changes name={name} />}
    </details>
  );
}

function Changes({ name }: { name: string }) {
  const changes = useQuery({
    queryKey: ['sheets', name, 'changes'],
    queryFn: () => answered(api.GET('/api/sheets/{name}/changes', { params: { path: { name } } })),
  });
  const undo = useChange((number: number) => answered(api.POST('/api/sheets/{name}/changes/{number}/undo', { params: { path: { name, number } } })));
  if (changes.isPending) return <Loading what={say('what was changed')} />;
  if (changes.isError) return <Trouble error={changes.error} retry={() => changes.refetch()} />;
  if (changes.data.length === 0) return <Nothing>{say('Nothing was changed yet.')}</Nothing>;
  return (
    <>
      <Refusal message={undo.error?.message} />
      <ul className="board divide-y divide-rule px-3">
        {changes.data.map((change) => (
          <li key={change.number} className="flex flex-wrap items-center gap-x-3 py-1">
            <span className="grow [overflow-wrap:anywhere]">
              <strong>{change.row}</strong> {change.added ? say('was added') : <Entries change={change} />}
              <span className="block text-sm text-pencil">
                {change.by}, {dayWords(change.at.slice(0, 10))}, {timeWords(change.at.slice(11, 16))}
                {change.undoes != null && say(', taking a change back')}
                {change.undone && say(', taken back since')}
              </span>
            </span>
            {!change.added && !change.undone && (
              <button
                className="act"
                aria-label={say('Undo the change of {row}', { row: change.row })}
                disabled={undo.isPending}
                onClick={() => undo.mutate(change.number)}
              >
                {say('Undo')}
              </button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

const Entries = ({ change }: { change: RowChange }) => (
  <>
    {change.entries
      .map(({ column, before, after }) =>
        say('{column}: {before} → {after}', {
          column,
          before: before === '' ? say('nothing') : before,
          after: after === '' ? say('nothing') : after,
        }),
      )
      .join('; ')}
  </>
);
