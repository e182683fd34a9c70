import type { Consequences } from '../api/client';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';

/** What a change to an order brings with it, line by line and batch by batch. */
export function ConsequenceWords({ consequences }: { consequences: Consequences }) {
  if (consequences.lines.length === 0) return <p>{say('Nothing changes by that.')}</p>;
  return (
    <ul className="flex flex-col gap-2 border-l-4 border-dusk bg-wash p-3" aria-label={say('What follows')}>
      {consequences.lines.map((line) => (
        <li key={line.line}>
          <strong>{line.variety}</strong>:{' '}
          {line.plantsAfter === 0 ? say('not wanted any more') : say('{plantsAfter} plants', { plantsAfter: line.plantsAfter })}
          {line.targetAfter !== line.targetBefore &&
            say(', on {targetAfter} instead of {targetBefore}', {
              targetAfter: dayWords(line.targetAfter),
              targetBefore: dayWords(line.targetBefore),
            })}
          .
          {line.plantsAfter > 0 &&
            say(' In time {chanceAfter}, before {chanceBefore}.', {
              chanceAfter: chanceWords(line.chanceAfter),
              chanceBefore: chanceWords(line.chanceBefore),
            })}
          {line.growing &&
            (line.growing.answer === 'NO' ? (
              <strong className="block text-brick">
                {say('{plants, plural, one {# plant} other {# plants}} more cannot be grown for that day.', { plants: line.growing.plants })}
              </strong>
            ) : (
              <span className="block">
                {say('{plants, plural, one {# plant} other {# plants}} more would be sown{more}{more2}: {chance}.', {
                  plants: line.growing.plants,
                  more: line.growing.withBatch != null ? say(' with batch {withBatch}', { withBatch: line.growing.withBatch }) : '',
                  more2: line.growing.sowDay ? say(' on {sowDay}', { sowDay: dayWords(line.growing.sowDay) }) : '',
                  chance: chanceWords(line.growing.chance),
                })}
              </span>
            ))}
        </li>
      ))}
      {consequences.batches.map((batch) => (
        <li key={batch.batch}>
          {say('Batch {batch}: {promisedAfter} promised, {promisedBefore} before; {freeAfter} free, {freeBefore} before.{more}', {
            batch: batch.batch,
            promisedAfter: batch.promisedAfter,
            promisedBefore: batch.promisedBefore,
            freeAfter: batch.freeAfter,
            freeBefore: batch.freeBefore,
            more:
              batch.sowDayAfter !== batch.sowDayBefore
                ? say(' Sown on {sowDayAfter} instead of {sowDayBefore}.', {
                    sowDayAfter: dayWords(batch.sowDayAfter),
                    sowDayBefore: dayWords(batch.sowDayBefore),
                  })
                : '',
          })}
          {batch.canBeSownFor != null && say(' It could be sown for {plants} only.', { plants: batch.canBeSownFor })}
        </li>
      ))}
    </ul>
  );
}
