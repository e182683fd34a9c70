import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api } from '../api/client';
import { dayOfYear } from '../words/days';
import { say } from '../words/say';

const SHOWN = 12;

/** What was noted in the same week of earlier years; nothing to see where nothing was. */
export function NotesOfEarlierYears({ around }: { around: string }) {
  const notes = useQuery({
    queryKey: ['notes', around],
    queryFn: () => answered(api.GET('/api/notes', { params: { query: { around } } })),
    staleTime: 600_000,
  });
  if (!notes.data || notes.data.length === 0) return null;
  return (
    <section aria-label={say('This week in earlier years')} className="mt-6">
      <h2 className="mb-2">{say('This week in earlier years')}</h2>
      <ul className="board divide-y divide-rule px-3">
        {notes.data.slice(0, SHOWN).map((note) => (
          <li key={`${note.batch} ${note.day} ${note.text}`} className="py-2">
            <p>{note.text}</p>
            <p className="text-sm text-pencil">
              {note.by ? say('{day}, {by}', { day: dayOfYear(note.day), by: note.by }) : dayOfYear(note.day)}{' '}
              <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${note.batch}`}>
                {say('Batch {batch}, {variety}', { batch: note.batch, variety: note.variety })}
              </Link>
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
