import { useQueryClient } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useChange, useKeptPhotographs } from '../api/queries';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';

/** Photographs that are kept with a tray, small; each can be looked at and thrown away. */
export function KeptPhotographs({ tray }: { tray: number }) {
  const kept = useKeptPhotographs(tray).data ?? [];
  const client = useQueryClient();
  const forget = useChange((id: number) => answered(api.DELETE('/api/trays/{number}/photographs/{id}', { params: { path: { number: tray, id } } })));
  if (kept.length === 0) return null;
  return (
    <ul className="flex flex-wrap items-center gap-x-4 text-sm">
      {kept.map((each) => (
        <li key={each.id} className="flex items-center gap-2">
          <a
            className="trail inline-flex min-h-11 items-center"
            href={`/api/trays/${tray}/photographs/${each.id}.jpg`}
            target="_blank"
            rel="noreferrer"
          >
            {say('Photograph of {day}', { day: dayWords(each.takenOn) })}
          </a>
          <button
            className="trail min-h-11"
            onClick={() => forget.mutate(each.id, { onSettled: () => void client.invalidateQueries({ queryKey: ['photographs', tray] }) })}
          >
            {say('Throw away')}
          </button>
        </li>
      ))}
      <Refusal message={forget.error?.message} />
    </ul>
  );
}
