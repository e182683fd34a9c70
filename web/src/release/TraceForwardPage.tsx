import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Forward, Refused } from '../api/client';
import { answered, api } from '../api/client';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayWords, shortDay } from '../words/days';
import { say } from '../words/say';

/** Everything that came of a seed lot or a consignment. */
export function LotTracePage() {
  const id = Number(useParams().id);
  return <ForwardPage at={['lot', id]} fetched={() => answered(api.GET('/api/traces/lots/{id}', { params: { path: { id } } }))} />;
}

/** Everything that was sown in a mix. */
export function MixTracePage() {
  const [search] = useSearchParams();
  const medium = search.get('of') ?? '';
  return <ForwardPage at={['mix', medium]} fetched={() => answered(api.GET('/api/traces/mix', { params: { query: { medium } } }))} />;
}

function ForwardPage({ at, fetched }: { at: (string | number)[]; fetched: () => Promise<Forward> }) {
  const trace = useQuery<Forward, Refused>({ queryKey: ['traces', ...at], queryFn: fetched });
  if (trace.isPending) return <Loading what={say('what came of it')} />;
  if (trace.isError) return <Trouble error={trace.error} retry={() => trace.refetch()} />;
  return <ForwardView view={trace.data} />;
}

const sum = (of: { plants: number }[]) => of.reduce((total, each) => total + each.plants, 0);

/** A list to telephone along when a lot or a mix turns out bad: who has plants of it, what is still here, who waits. */
export function ForwardView({ view }: { view: Forward }) {
  const growers = new Set([...view.gone.map((gone) => gone.grower), ...view.seedGone.map((gone) => gone.grower)]);
  return (
    <>
      <div className="mb-1 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1>{view.lot ? say('What came of lot {code}', { code: view.lot.code }) : say('What was sown in {medium}', { medium: view.medium })}</h1>
        {view.lot && (
          <p className="text-pencil">
            {view.variety}, {view.lot.supplier}
          </p>
        )}
        <button type="button" className="act no-print ml-auto" onClick={() => window.print()}>
          {say('Print the list')}
        </button>
      </div>
      <p className="mb-4 text-lg">
        {say(
          '{gone, plural, one {# plant} other {# plants}} with {growers, plural, one {# grower} other {# growers}}, {here} still here, {promised} promised.',
          { gone: sum(view.gone), growers: growers.size, here: sum(view.standing), promised: sum(view.promised) },
        )}
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <div className="flex min-w-0 flex-col gap-5">
          <Part name={say('With growers')} empty={view.gone.length + view.seedGone.length === 0} nothing={say('Nothing of it has left.')}>
            {view.gone.map((gone, place) => (
              <Row key={place} figure={gone.plants} to={`/trace/notes/${gone.note}`} link={say('note {note}', { note: String(gone.note) })}>
                <strong>{gone.grower}</strong> <span className="text-pencil">{gone.site}</span>
                <span className="block text-sm">
                  {gone.variety}
                  {gone.mixed && say(', mixed')}, {dayWords(gone.day)}
                </span>
              </Row>
            ))}
            {view.seedGone.map((gone, place) => (
              <Row key={`seed ${place}`} to={`/trace/notes/${gone.note}`} link={say('note {note}', { note: String(gone.note) })}>
                <strong>{gone.grower}</strong> <span className="text-pencil">{gone.site}</span>
                <span className="block text-sm">{say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: gone.seeds })}</span>
              </Row>
            ))}
          </Part>
          <Part name={say('Who waits for it')} empty={view.promised.length === 0} nothing={say('Nothing of it is promised.')}>
            {view.promised.map((line, place) => (
              <Row key={place} figure={line.plants} to={`/orders/${line.order}`} link={say('order {number}', { number: line.order })}>
                <strong>{line.grower}</strong>
                <span className="block text-sm">
                  {line.variety}, {say('wanted {day}', { day: dayWords(line.target) })}
                </span>
              </Row>
            ))}
          </Part>
        </div>
        <div className="flex min-w-0 flex-col gap-5">
          <Part name={say('Still here')} empty={view.standing.length === 0} nothing={say('No living plant of it is here.')}>
            {view.standing.map((standing, place) => (
              <Row key={place} figure={standing.plants} to={`/trays/${standing.tray}`} link={`T${standing.tray}`}>
                <strong>{standing.place ?? say('nowhere said')}</strong>
                <span className="block text-sm">
                  {standing.variety}
                  {standing.mixed && say(', mixed')}, {say('batch {batch}', { batch: String(standing.batch) })}
                </span>
              </Row>
            ))}
          </Part>
          <Part
            name={say('Sown, {seeds, plural, one {# seed} other {# seeds}}', { seeds: view.seeds })}
            empty={view.batches.length === 0}
            nothing={say('Nothing of it was sown.')}
          >
            {sownTogether(view.batches).map((sown, place) => (
              <Row key={place} figure={sown.seeds} to={`/batches/${sown.batch}`} link={say('batch {batch}', { batch: String(sown.batch) })}>
                <strong>{shortDay(sown.day)}</strong>
                <span className="block text-sm">
                  {sown.variety}
                  {!view.lot && `, ${say('lot {code}', { code: sown.lot.code })}`}
                </span>
              </Row>
            ))}
          </Part>
        </div>
      </div>
    </>
  );
}

/** What was sown of a lot for a batch on a day is one entry, over however many trays it went. */
function sownTogether(parts: Forward['batches']): Forward['batches'] {
  const together = new Map<string, Forward['batches'][number]>();
  for (const part of parts) {
    const key = `${part.batch} ${part.day} ${part.lot.id}`;
    together.set(key, { ...part, seeds: part.seeds + (together.get(key)?.seeds ?? 0) });
  }
  return [...together.values()];
}

function Part({ name, empty, nothing, children }: { name: string; empty: boolean; nothing: string; children: React.ReactNode }) {
  return (
    <section aria-label={name} className="board p-4">
      <h2 className="mb-1">{name}</h2>
      {empty ? <Nothing>{nothing}</Nothing> : <ul>{children}</ul>}
    </section>
  );
}

function Row({ figure, to, link, children }: { figure?: number; to: string; link: string; children: React.ReactNode }) {
  return (
    <li className="grid grid-cols-[4rem_1fr_auto] items-center gap-x-3 border-t border-rule">
      <span className="text-right font-semibold">{figure}</span>
      <span className="py-1.5">{children}</span>
      <Link className="trail flex min-h-11 items-center" to={to}>
        {link}
      </Link>
    </li>
  );
}
