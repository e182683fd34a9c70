import { Link, useParams, useSearchParams } from 'react-router';
import type { FailingView } from '../api/client';
import { useBatch, useFailing } from '../api/queries';
import { Loading, Trouble } from '../look/States';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { ADVICE, CAUSES, SIGNS, type Sign } from './failingWords';
import { SignMark } from './SignMark';

const ALL = Object.keys(SIGNS) as Sign[];

/** Why are they failing? From what one sees to what most likely lies behind it, by this batch's own record. */
export function FailingPage() {
  const number = Number(useParams().number);
  const [search, setSearch] = useSearchParams();
  const sign = ALL.find((each) => each === search.get('sign'));
  const batch = useBatch(number).data;
  return (
    <>
      <p>
        <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${number}`}>
          {batch ? say('{variety}, batch {number}', { variety: batch.summary.variety, number }) : say('Batch {each}', { each: number })}
        </Link>
      </p>
      <h1 className="mb-2">{say('Why are they failing?')}</h1>
      <p className="mb-2">{say('What do you see most of?')}</p>
      <div role="group" aria-label={say('What you see')} className="mb-5 grid grid-cols-2 gap-2 sm:grid-cols-4 lg:grid-cols-7">
        {ALL.map((each) => (
          <button
            key={each}
            className={`act flex-col ${each === sign ? 'bg-wash' : ''}`}
            aria-pressed={each === sign}
            onClick={() => setSearch({ sign: each }, { replace: true })}
          >
            <SignMark sign={each} />
            {SIGNS[each]}
          </button>
        ))}
      </div>
      {sign && <Suspects key={sign} number={number} sign={sign} />}
    </>
  );
}

function Suspects({ number, sign }: { number: number; sign: Sign }) {
  const failing = useFailing(number, sign);
  if (failing.isPending) return <Loading what={say('its record')} />;
  if (!failing.data) return <Trouble error={failing.error} retry={() => failing.refetch()} />;
  const { clear, suspects } = failing.data;
  return (
    <section aria-label={say('What may lie behind it')}>
      <p className="mb-2 font-semibold">
        {clear
          ? say('Most likely: {cause}.', { cause: CAUSES[suspects[0]!.cause].toLowerCase() })
          : say('The record cannot tell: look at what tells these apart, in this order.')}
      </p>
      <ol className="flex flex-col gap-3">
        {suspects.map((suspect) => (
          <SuspectCard key={suspect.cause} suspect={suspect} />
        ))}
      </ol>
      <p className="mt-3 text-sm text-pencil">
        {say(
          'This weighs what was noted here against what usually lies behind the sign; it is no diagnosis. Notifiable pests and diseases are a matter for the local authority.',
        )}
      </p>
    </section>
  );
}

const EVIDENCE = { FOR: say('speaks for it'), AGAINST: say('speaks against it'), NONE: say('cannot tell') };

function SuspectCard({ suspect }: { suspect: FailingView['suspects'][number] }) {
  const advice = ADVICE[suspect.cause];
  return (
    <li className="board p-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2>{CAUSES[suspect.cause]}</h2>
        <span className="text-pencil">{say('about {share} in 10', { share: figures(Math.max(1, Math.round(suspect.share * 10))) })}</span>
      </div>
      {suspect.noted && (
        <p className={suspect.evidence === 'FOR' ? 'font-semibold' : 'text-pencil'}>
          {say('{noted} That {evidence}.', { noted: suspect.noted, evidence: EVIDENCE[suspect.evidence] })}
        </p>
      )}
      <dl className="mt-1 grid gap-x-3 gap-y-0.5 text-sm sm:grid-cols-[7rem_1fr]">
        <dt className="text-pencil">{say('Look')}</dt>
        <dd>{advice.look}</dd>
        <dt className="text-pencil">{say('Now')}</dt>
        <dd>{advice.act}</dd>
        <dt className="text-pencil">{say('Next time')}</dt>
        <dd>{advice.next}</dd>
      </dl>
    </li>
  );
}
