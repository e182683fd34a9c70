import type { BatchView, Verdict } from '../api/client';
import { forWhom } from '../look/forWhom';
import { VERDICT_WORDS, chanceWords, counted, dayWords, daysBetween } from '../look/words';

const LOOK: Record<Verdict, string> = {
  TOO_SOON_TO_TELL: 'border-pencil',
  EARLY: 'border-dusk',
  ON_COURSE: 'border-dusk',
  LATE: 'border-ochre bg-ochre-wash',
  FAILING: 'border-brick bg-brick-wash',
};

/** What to make of the counts, and what to do about it. */
export function VerdictWords({ batch, today }: { batch: BatchView; today: string }) {
  const { verdict, stage } = batch.summary;
  if (stage === 'PLANNED') return null;
  const resowBy = batch.latestSowDay;
  const last = batch.counts.at(-1);
  const age = last ? daysBetween(last.day, today) : 0;
  const trouble = verdict === 'LATE' || verdict === 'FAILING';
  return (
    <div className={`border-l-4 p-3 ${LOOK[verdict]}`} role="status">
      <p className="font-semibold">{batch.completelyCounted && verdict === 'FAILING' ? 'Short of the order' : VERDICT_WORDS[verdict]}</p>
      <p>
        {batch.emergedCells} of {batch.summary.balance.sown} cells up
        {last && !batch.completelyCounted && ` on ${dayWords(last.day)}${age === 0 ? '' : `, ${counted(age, 'day')} ago`}; about ${Math.round(batch.expectedAtCount)} were expected then`}
        {!last && !batch.completelyCounted && `, about ${Math.round(batch.expectedUp)} expected by today`}
        {last && !batch.completelyCounted && age > 0 && `, ${Math.round(batch.expectedUp)} by today`}. Enough for the order
        {batch.accepted < batch.summary.plants && ` (${batch.accepted} count as whole)`}: {chanceWords(batch.chanceEnough)}.
      </p>
      {trouble && resowBy && resowBy >= today && <p>A resowing would still make the order until {dayWords(resowBy)}.</p>}
      {trouble && (!resowBy || resowBy < today) && (
        <p>A resowing would now be late for {dayWords(batch.summary.target)}: tell {forWhom(batch.summary.promises)} and offer fewer plants or a later day.</p>
      )}
    </div>
  );
}
