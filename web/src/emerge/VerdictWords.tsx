import type { BatchView, Verdict } from '../api/client';
import { forWhom } from '../look/forWhom';
import { dayWords, daysBetween } from '../words/days';
import { VERDICT_WORDS, chanceWords } from '../words/phrases';
import { say } from '../words/say';
import { LotOrPlace } from './LotOrPlace';
import { WaysOut } from './WaysOut';

const LOOK: Record<Verdict, string> = {
  TOO_SOON_TO_TELL: 'border-pencil',
  EARLY: 'border-dusk',
  ON_COURSE: 'border-dusk',
  LATE: 'border-ochre bg-ochre-wash',
  FAILING: 'border-brick bg-brick-wash',
};

/** When something was first seen, when half were up, and whether that was the last look. */
function Milestones({ batch }: { batch: BatchView }) {
  const { counts, completelyCounted } = batch.emergence;
  const first = counts.find((count) => count.cells > 0);
  const half = counts.find((count) => 2 * count.cells >= batch.summary.balance.sown);
  if (!first) return null;
  return (
    <p className="text-sm">
      {[
        say('First seen {day}', { day: dayWords(first.day) }),
        half && say('half up {day}', { day: dayWords(half.day) }),
        completelyCounted && say('last look {day}', { day: dayWords(counts.at(-1)!.day) }),
      ]
        .filter(Boolean)
        .join(', ')}
      .
    </p>
  );
}

/** What to make of the counts, and what to do about it. */
export function VerdictWords({ batch, today }: { batch: BatchView; today: string }) {
  const { verdict, stage } = batch.summary;
  if (stage === 'PLANNED') return null;
  const resowBy = batch.plan.latestSowDay;
  const last = batch.emergence.counts.at(-1);
  const age = last ? daysBetween(last.day, today) : 0;
  const trouble = verdict === 'LATE' || verdict === 'FAILING';
  return (
    <div className={`border-l-4 p-3 ${LOOK[verdict]}`} role="status">
      <p className="font-semibold">
        {batch.emergence.completelyCounted && verdict === 'FAILING' ? say('Short of the order') : VERDICT_WORDS[verdict]}
      </p>
      <p>
        {say('{emergedCells} of {sown} cells up{more}{more2}{more3}. Enough for the order{more4}: {chanceEnough}.', {
          emergedCells: batch.emergence.up,
          sown: batch.summary.balance.sown,
          more:
            last && !batch.emergence.completelyCounted
              ? say(' on {day}{what}; about {expectedAtCount} were expected then', {
                  day: dayWords(last.day),
                  what: age === 0 ? '' : say(', {days, plural, one {# day} other {# days}} ago', { days: age }),
                  expectedAtCount: Math.round(batch.emergence.expectedAtCount),
                })
              : '',
          more2:
            !last && !batch.emergence.completelyCounted
              ? say(', about {expectedUp} expected by today', { expectedUp: Math.round(batch.emergence.expectedUp) })
              : '',
          more3:
            last && !batch.emergence.completelyCounted && age > 0
              ? say(', {expectedUp} by today', { expectedUp: Math.round(batch.emergence.expectedUp) })
              : '',
          more4: batch.plan.accepted < batch.summary.plants ? say(' ({accepted} count as whole)', { accepted: batch.plan.accepted }) : '',
          chanceEnough: chanceWords(batch.chances.enough),
        })}
      </p>
      <Milestones batch={batch} />
      {trouble && resowBy && resowBy >= today && (
        <p>{say('A resowing would still make the order until {resowBy}.', { resowBy: dayWords(resowBy) })}</p>
      )}
      {trouble && (!resowBy || resowBy < today) && (
        <p>
          {say('A resowing would now be late for {target}: tell {promises} and offer fewer plants or a later day.', {
            target: dayWords(batch.summary.dates.target),
            promises: forWhom(batch.summary.promises),
          })}
        </p>
      )}
      {trouble && <WaysOut batch={batch} />}
      {trouble && <LotOrPlace batch={batch.summary.number} />}
    </div>
  );
}
