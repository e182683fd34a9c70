import type { Consequences } from '../api/client';
import { chanceWords, counted, dayWords } from '../look/words';

/** What a change to an order brings with it, line by line and batch by batch. */
export function ConsequenceWords({ consequences }: { consequences: Consequences }) {
  if (consequences.lines.length === 0) return <p>Nothing changes by that.</p>;
  return (
    <ul className="flex flex-col gap-2 border-l-4 border-dusk bg-wash p-3" aria-label="What follows">
      {consequences.lines.map((line) => (
        <li key={line.line}>
          <strong>{line.variety}</strong>: {line.plantsAfter === 0 ? 'not wanted any more' : `${line.plantsAfter} plants`}
          {line.targetAfter !== line.targetBefore && `, on ${dayWords(line.targetAfter)} instead of ${dayWords(line.targetBefore)}`}.
          {line.plantsAfter > 0 && ` In time ${chanceWords(line.chanceAfter)}, before ${chanceWords(line.chanceBefore)}.`}
          {line.growing && (line.growing.answer === 'NO'
            ? <strong className="block text-brick">{counted(line.growing.plants, 'plant')} more cannot be grown for that day.</strong>
            : <span className="block">{counted(line.growing.plants, 'plant')} more would be sown{line.growing.withBatch != null && ` with batch ${line.growing.withBatch}`}{line.growing.sowDay && ` on ${dayWords(line.growing.sowDay)}`}: {chanceWords(line.growing.chance)}.</span>)}
        </li>
      ))}
      {consequences.batches.map((batch) => (
        <li key={batch.batch}>
          Batch {batch.batch}: {batch.promisedAfter} promised, {batch.promisedBefore} before; {batch.freeAfter} free, {batch.freeBefore} before.
          {batch.sowDayAfter !== batch.sowDayBefore && ` Sown on ${dayWords(batch.sowDayAfter)} instead of ${dayWords(batch.sowDayBefore)}.`}
        </li>
      ))}
    </ul>
  );
}
