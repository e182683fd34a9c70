import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { OfNote, Refused } from '../api/client';
import { answered, api } from '../api/client';
import { Loading, Trouble } from '../look/States';
import { StageMark } from '../look/StageMark';
import { dayWords, shortDay } from '../words/days';
import { degrees } from '../words/quantity';
import { say } from '../words/say';

type Line = OfNote['lines'][number];
type Origin = Line['origins'][number];

/** A delivery note, followed back: seed, mix, trays, places, counts and hands of everything that went with it. */
export function TraceBackPage() {
  const number = Number(useParams().number);
  const note = useQuery<OfNote, Refused>({
    queryKey: ['traces', 'note', number],
    queryFn: () => answered(api.GET('/api/traces/notes/{number}', { params: { path: { number } } })),
  });
  if (note.isPending) return <Loading what={say('delivery note {number}', { number })} />;
  if (note.isError) return <Trouble error={note.error} retry={() => note.refetch()} />;
  const view = note.data;
  return (
    <>
      <div className="mb-4 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1>{say('Where delivery note {number} came from', { number })}</h1>
        <p>
          {say('{day}, to {grower}, {site}', { day: dayWords(view.day), grower: view.grower, site: view.site })} ·{' '}
          <Link className="trail" to={`/orders/${view.order}`}>
            {say('order {number}', { number: view.order })}
          </Link>{' '}
          ·{' '}
          <a className="trail" href={`/api/releases/${number}/note.pdf`} target="_blank" rel="noreferrer">
            {say('the note (PDF)')}
          </a>
        </p>
        <button type="button" className="act no-print ml-auto" onClick={() => window.print()}>
          {say('Print')}
        </button>
      </div>
      {view.takenBack && <p className="board border-dashed p-4 text-pencil">{say('All of it was taken back; nothing of it is with the grower.')}</p>}
      <div className="flex flex-col gap-5">
        {view.lines.map((line) => (
          <section key={line.line} aria-label={line.variety} className="board p-4">
            <h2>
              {line.plants > 0 && `${line.plants} `}
              {line.variety} <span className="font-normal text-pencil">{line.crop.toLowerCase()}</span>
            </h2>
            {line.seed.map((seed) => (
              <p key={seed.lot.id} className="mt-1">
                {say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: seed.seeds })}, <LotLink lot={seed.lot} />
              </p>
            ))}
            <ul className="mt-2 grid gap-x-6 gap-y-4 lg:grid-cols-2">
              {line.origins.map((origin, place) => (
                <OriginView key={place} origin={origin} />
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}

function LotLink({ lot }: { lot: Origin['lot'] }) {
  return (
    <>
      <Link className="trail font-semibold" to={`/trace/lots/${lot.id}`} title={say('Everything that came of it')}>
        {say('lot {code}', { code: lot.code })}
      </Link>{' '}
      <span className="text-pencil">{lot.supplier}</span>
    </>
  );
}

/** From the seed to the tray that left, in the order in which it happened. */
function OriginView({ origin }: { origin: Origin }) {
  const potted = origin.tray !== origin.startedIn;
  return (
    <li className="border-t border-rule pt-2">
      <p className="font-semibold">
        {say('{plants, plural, one {# plant} other {# plants}} from tray T{tray}{mixed, select, true {, mixed} other {}}', {
          plants: origin.plants,
          tray: String(origin.tray),
          mixed: String(origin.mixed),
        })}
      </p>
      <ol className="mt-1 flex flex-col gap-1.5 text-sm">
        <Step mark="SOWN" day={origin.day}>
          {origin.medium === '' ? say('came from') : say('sown from')} <LotLink lot={origin.lot} />
          {origin.medium !== '' && (
            <>
              {' '}
              {say('in')}{' '}
              <Link className="trail" to={`/trace/mix?of=${encodeURIComponent(origin.medium)}`}>
                {origin.medium}
              </Link>
            </>
          )}
          , {say('tray T{tray}', { tray: String(origin.startedIn) })}, {say('batch')}{' '}
          <Link className="trail" to={`/batches/${origin.batch}`}>
            {origin.batch}
          </Link>
        </Step>
        {origin.stays.map((stay) => (
          <Step key={stay.place + stay.from} mark="GROWING_ON" day={stay.from}>
            {stay.until
              ? say('at {place} until {until}', { place: stay.place, until: shortDay(stay.until) })
              : say('at {place} until they left', { place: stay.place })}
            {stay.mean != null && <span className="text-pencil"> {say('{mean} on average', { mean: degrees(stay.mean) })}</span>}
          </Step>
        ))}
        {origin.counts.length > 0 && <Counts counts={origin.counts} />}
      </ol>
      {potted && (
        <p className="mt-1 text-sm">
          {say('Potted on from tray T{from} into tray T{into}.', { from: String(origin.startedIn), into: String(origin.tray) })}
        </p>
      )}
      <p className="mt-1 text-sm text-pencil">{say('Hands: {hands}', { hands: origin.hands.join(', ') })}</p>
    </li>
  );
}

/** How often it was counted and what was lost, in a line that opens. */
function Counts({ counts }: { counts: Origin['counts'] }) {
  const counted = counts.filter((count) => count.kind === 'COUNTED').length;
  const lost = counts.filter((count) => count.kind === 'LOST').reduce((sum, count) => sum + count.cells, 0);
  return (
    <li className="grid grid-cols-[1.25rem_1fr] items-start gap-x-2">
      <StageMark stage="EMERGING" size={18} />
      <details>
        <summary className="min-h-11 content-center">
          {say(
            'counted {counted, plural, one {once} other {# times}} from {first} to {last}{lost, plural, =0 {} one {; # cell lost} other {; # cells lost}}',
            { counted, lost, first: shortDay(counts[0]!.day), last: shortDay(counts.at(-1)!.day) },
          )}
        </summary>
        <ol className="mt-1 flex flex-col gap-1">
          {counts.map((count, place) => (
            <Step key={place} mark={count.kind === 'COUNTED' ? 'EMERGING' : 'FAILED'} day={count.day}>
              {count.kind === 'COUNTED'
                ? say('{cells, plural, one {# cell} other {# cells}} with something up', { cells: count.cells })
                : say('{cells, plural, one {# cell} other {# cells}} lost', { cells: count.cells })}
              <span className="text-pencil"> {count.by}</span>
            </Step>
          ))}
        </ol>
      </details>
    </li>
  );
}

function Step({ mark, day, children }: { mark: 'SOWN' | 'GROWING_ON' | 'EMERGING' | 'FAILED'; day: string; children: React.ReactNode }) {
  return (
    <li className="grid grid-cols-[1.25rem_4.5rem_1fr] items-start gap-x-2">
      <StageMark stage={mark} size={18} />
      <span className="text-pencil">{shortDay(day)}</span>
      <span>{children}</span>
    </li>
  );
}
