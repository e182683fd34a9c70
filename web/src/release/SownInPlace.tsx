import { useState } from 'react';
import type { LineView, OrderView } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Refusal } from '../look/States';
import { dayWords, shortDay, spreadWords } from '../words/days';
import { say } from '../words/say';

/** Seed of a line that is sown where its plants are to stand: when, how much, and where the seed is. */
export function SownInPlace({ line, order, mayTakeBack }: { line: LineView; order: OrderView; mayTakeBack: boolean }) {
  const [sure, setSure] = useState(false);
  const back = useNumberedChange((entry: { line: number }, requestId) =>
    answered(
      api.POST('/api/orders/{number}/lines/{line}/seed-returns', {
        params: { path: { number: order.number, line: entry.line } },
        body: { requestId },
      }),
    ),
  );
  const sown = line.inPlace;
  if (!sown) return null;
  return (
    <div className="mt-1 border-t border-rule py-2">
      <p>
        <strong>{say('Sown in place')}</strong>
        {sown.plants !== line.asked.plants && say(', {plants} of them', { plants: sown.plants })}:{' '}
        {say('{seeds, number} seeds of {lot}, from {from} to {until}', {
          seeds: sown.seeds,
          lot: sown.lot,
          from: shortDay(sown.sowFrom),
          until: dayWords(sown.sowUntil),
        })}
        {sown.atStage && <span className="text-pencil">{say('; as wanted {ready}', { ready: spreadWords(sown.atStage) })}</span>}
      </p>
      <HowToSow how={sown.how} />
      {sown.note != null && (
        <p className="flex flex-wrap items-center gap-3">
          {say('The seed went with note {note}.', { note: sown.note })}
          {mayTakeBack && (
            <button
              className="trail min-h-11 px-2"
              disabled={back.isPending}
              onClick={() => (sure ? back.mutate({ line: line.line }) : setSure(true))}
            >
              {sure ? say('Yes, it did not go') : say('It did not go')}
            </button>
          )}
          <Refusal message={back.error?.message} />
        </p>
      )}
    </div>
  );
}

/** How it is to be sown, to be folded out. */
export function HowToSow({ how }: { how: string[] }) {
  return (
    <details>
      <summary className="trail min-h-11 content-center">{say('How to sow it')}</summary>
      <ul className="list-disc pl-5">
        {how.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </details>
  );
}
