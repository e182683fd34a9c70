import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api } from '../api/client';
import { useSession } from '../api/queries';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { degrees, figures } from '../words/quantity';
import { say } from '../words/say';

type LotOrPlaceView = Awaited<ReturnType<typeof fetchJudged>>;
type Evidence = NonNullable<LotOrPlaceView['here']>;

const fetchJudged = (number: number) => answered(api.GET('/api/batches/{number}/lot-or-place', { params: { path: { number } } }));

const BLAME: Record<NonNullable<LotOrPlaceView['blame']>, string> = {
  CHANCE: say('Neither: so few come up by chance alone more than once in twenty sowings.'),
  LOT: say('The lot. It does badly, while others do well where it was sown, or it does as badly elsewhere.'),
  PLACE: say('The place. Others do badly there, too, or the lot does well elsewhere.'),
  BOTH: say('Both: the lot does badly elsewhere, too, and others do badly here.'),
  THIS_SOWING: say('Neither lot nor place: both do well otherwise. Think of depth, water, cover, or what was done on the day.'),
  CANNOT_TELL: say('Cannot tell yet: the lot was counted in no other place, and no other lot here.'),
};

/** Is it the seed or the place? With the counts that it rests on, and a letter to whom the seed came from. */
export function LotOrPlace({ batch }: { batch: number }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="trail min-h-11 content-center">{say('Is it the seed or the place?')}</summary>
      {open && <Judged batch={batch} />}
    </details>
  );
}

function Judged({ batch }: { batch: number }) {
  const mayWrite = useSession().data?.role === 'PROPAGATOR';
  const judged = useQuery({ queryKey: ['batches', batch, 'lot-or-place'], queryFn: () => fetchJudged(batch) });
  if (judged.isPending) return <p role="status">{say('Looking it up…')}</p>;
  if (judged.isError) return <Refusal message={judged.error.message} />;
  const { blame, here, elsewhere, othersHere, tailElsewhere, tailOthers } = judged.data;
  if (blame == null || here == null) return <p>{say('It is told after the last look: until then more may come.')}</p>;
  return (
    <div className="board p-3">
      <p className="font-semibold">{BLAME[blame]}</p>
      <Counts name={say('This batch')} counts={[here]} />
      <Counts name={say('The same lot elsewhere')} counts={elsewhere} together={tailElsewhere} none={say('It was counted in no other place.')} />
      <Counts
        name={say('Other lots in {place}', { place: here.place })}
        bad={othersHere.filter((count) => count.tail <= SELDOM).length}
        counts={othersHere}
        together={tailOthers}
        none={say('No other lot was counted here.')}
      />
      <p className="mt-2 text-sm text-pencil">
        {say(
          'How often so few would come up if the label were true; of other lots allowing for batches that differ. Seldom means one sowing in twenty, or fewer.',
        )}
      </p>
      {mayWrite && (
        <a className="act mt-2" href={`/api/lots/${here.lotId}/claim.pdf`} target="_blank" rel="noreferrer">
          {say('Letter to whom lot {lot} came from', { lot: here.lot })}
        </a>
      )}
    </div>
  );
}

function Counts({
  name,
  counts,
  together,
  bad,
  none,
}: {
  name: string;
  counts: Evidence[];
  together?: number | null | undefined;
  bad?: number;
  none?: string;
}) {
  return (
    <section className="mt-2 border-t border-rule pt-1" aria-label={name}>
      <h3 className="text-sm">
        {name}
        {together != null && counts.length > 1 && bad === undefined && `: ${once(together)}`}
        {together != null &&
          bad !== undefined &&
          say(': {bad} of {counts} did badly; as many by chance and mishap alone: {once}', { bad, counts: counts.length, once: chanceOf(together) })}
      </h3>
      {counts.length === 0 && <p className="text-sm text-pencil">{none}</p>}
      <ul className="text-sm">
        {counts.slice(0, SHOWN).map((count) => (
          <li key={`${count.batch} ${count.lot}`} className="grid grid-cols-[1fr_6rem] items-center gap-2">
            <span>
              <Link className="trail" to={`/batches/${count.batch}`}>
                {say('Batch {batch}', { batch: count.batch })}
              </Link>{' '}
              {say('{lot}, {place}{warm}, {day}: {up} of {tried} {cells, select, true {cells} other {seeds}}, {once}', {
                lot: count.lot,
                place: count.place,
                warm: count.meanCelsius == null ? '' : ` (${degrees(count.meanCelsius)})`,
                day: dayWords(count.sown),
                up: figures(count.up),
                tried: figures(count.tried),
                cells: String(count.cells),
                once: once(count.tail),
              })}
            </span>
            <svg viewBox="0 0 100 12" className="h-3 w-full" preserveAspectRatio="none" aria-hidden>
              <rect width="100" height="12" className="fill-none stroke-pencil" vectorEffect="non-scaling-stroke" />
              <rect width={(100 * count.up) / Math.max(count.tried, 1)} height="12" className="fill-dusk" />
            </svg>
          </li>
        ))}
      </ul>
      {counts.length > SHOWN && <p className="text-sm text-pencil">{say('and {more} earlier ones', { more: counts.length - SHOWN })}</p>}
    </section>
  );
}

const SHOWN = 6;
const SELDOM = 0.05;

/** How often something happens, in words. */
const chanceOf = (tail: number) =>
  tail > 0.5 ? say('more often than not') : tail > SELDOM ? say('about one time in {times}', { times: Math.round(1 / tail) }) : once(tail);

/** How often something so unlikely happens, in words. */
function once(tail: number): string {
  if (tail > SELDOM) return tail > 0.5 ? say('as good as its label, or better') : say('about one time in {times}', { times: Math.round(1 / tail) });
  return tail < 0.0001 ? say('seldom: less than once in 10,000') : say('seldom: once in {times}', { times: figures(Math.round(1 / tail)) });
}
