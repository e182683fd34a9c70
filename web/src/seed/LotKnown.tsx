import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api } from '../api/client';
import { Refusal } from '../look/States';
import { dayOfYear } from '../words/days';
import { figures } from '../words/quantity';
import { say } from '../words/say';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** What is expected of a lot; opens to its label, its age and every batch that was counted, step by step. */
export function LotKnown({ lot, low, high }: { lot: number; low: number; high: number }) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="trail min-h-11 content-center">
        {say('expected {low} to {high} %', { low: Math.round(low * 100), high: Math.round(high * 100) })}
      </summary>
      {open && <Steps lot={lot} />}
    </details>
  );
}

function Steps({ lot }: { lot: number }) {
  const knowledge = useQuery({
    queryKey: ['lots', lot, 'knowledge'],
    queryFn: () => answered(api.GET('/api/lots/{id}/knowledge', { params: { path: { id: lot } } })),
  });
  if (knowledge.isPending) return <p role="status">{say('Looking it up…')}</p>;
  if (knowledge.isError) return <Refusal message={knowledge.error.message} />;
  const known = knowledge.data;
  return (
    <ol className="my-1 border-l-2 border-rule pl-3">
      <li>
        {say('Label: {label} of {seeds, plural, one {# seed} other {# seeds}} tested {day}; so long ago it is worth {worth} seeds.', {
          label: percent(known.label),
          seeds: known.testedSeeds,
          day: dayOfYear(known.testedOn),
          worth: figures(known.labelWorth),
        })}
      </li>
      {known.lessons.map((lesson) => (
        <li key={lesson.batch}>
          <Link className="trail" to={`/batches/${lesson.batch}`}>
            {say('Batch {batch}', { batch: lesson.batch })}
          </Link>
          {': '}
          {[
            lesson.seedsUp + lesson.seedsFailed > 0 &&
              say('{up} of {seeds, plural, one {# seed} other {# seeds}} up', { up: lesson.seedsUp, seeds: lesson.seedsUp + lesson.seedsFailed }),
            lesson.cellsSeenUp > 0 && say('{cells, plural, one {# cell} other {# cells}} with something up', { cells: lesson.cellsSeenUp }),
          ]
            .filter(Boolean)
            .join(', ')}
          {say('; then {mean}', { mean: percent(lesson.mean) })}
        </li>
      ))}
      {known.lessons.length === 0 && <li className="text-pencil">{say('No batch of it was counted to the end yet.')}</li>}
      <li>
        {say('Batches of one lot differ: the next comes up at {mean}, eight times in ten from {low} to {high}.', {
          mean: percent(known.mean),
          low: percent(known.low),
          high: percent(known.high),
        })}
      </li>
    </ol>
  );
}
