import { Link } from 'react-router';
import { answered, api, type LoadingView } from '../api/client';
import { useChange, useNumberedChange } from '../api/queries';
import { announce } from '../look/announce';
import { Caution, Refusal } from '../look/States';
import { altitude } from '../words/quantity';
import { say } from '../words/say';

type Drop = LoadingView['round'][number];
type Going = Drop['orders'][number];

/** The sites as they are driven to; what is handed over last is loaded first. */
export function RoundOfDelivery({ view, mayRelease }: { view: LoadingView; mayRelease: boolean }) {
  const set = useChange((sites: number[]) => answered(api.PUT('/api/loading/round', { body: { sites } })));
  const drops = view.round.filter((drop) => drop.stop != null);
  const earlier = (drop: Drop) => {
    const sites = view.round.map((each) => each.site);
    const before = drops[drops.indexOf(drop) - 1];
    if (!before) return;
    const without = sites.filter((site) => site !== drop.site);
    without.splice(without.indexOf(before.site), 0, drop.site);
    set.mutate(without);
  };
  return (
    <section aria-label={say('Round of delivery')}>
      <h2>{say('Round of delivery')}</h2>
      <p className="mb-2 text-sm text-pencil">
        {say('What is handed over last is loaded first. Each order goes with one note; what is picked above goes with it.')}
      </p>
      {drops.length > 0 && <Caution>{say('Full trays are heavy; stack them with two people.')}</Caution>}
      <Refusal message={set.error?.message} />
      <ol className="mt-2 grid gap-3 lg:grid-cols-2">
        {drops.map((drop) => (
          <li key={drop.site} className="board p-3">
            <p className="flex flex-wrap items-center gap-x-3">
              <b>{say('{stop}. {name}', { stop: drop.stop ?? 0, name: drop.name })}</b>
              <span className="text-pencil">
                {say('{grower}, {altitude}; load {load} of {all}', {
                  grower: drop.grower,
                  altitude: altitude(drop.altitude),
                  load: drop.load ?? 0,
                  all: drops.length,
                })}
              </span>
              {mayRelease && (drop.stop ?? 0) > 1 && (
                <button className="act no-print ml-auto text-sm" disabled={set.isPending} onClick={() => earlier(drop)}>
                  {say('One stop earlier')}
                  <span className="sr-only"> {drop.name}</span>
                </button>
              )}
            </p>
            {drop.orders.map((going) => (
              <GoesWith key={going.order} going={going} walk={view.walk} mayRelease={mayRelease} />
            ))}
          </li>
        ))}
      </ol>
    </section>
  );
}

function GoesWith({ going, walk, mayRelease }: { going: Going; walk: LoadingView['walk']; mayRelease: boolean }) {
  const lines = going.lines
    .filter((line) => line.plants > 0)
    .map((line) => ({
      line: line.line,
      plants: line.plants,
      picks: walk
        .flatMap((stop) => stop.picks)
        .filter((pick) => pick.order === going.order && pick.line === line.line)
        .map((pick) => ({ tray: pick.tray, cells: pick.cells })),
    }));
  const plants = lines.reduce((sum, line) => sum + line.plants, 0);
  const release = useNumberedChange((entry: { lines: typeof lines }, requestId) =>
    answered(api.POST('/api/releases', { body: { requestId, order: going.order, ...entry } })),
  );
  return (
    <div className="border-t border-rule py-2">
      <p>
        <Link className="trail inline-flex min-h-11 items-center" to={`/orders/${going.order}`}>
          {say('Order {order}', { order: going.order })}
        </Link>{' '}
        {going.lines
          .map((line) =>
            line.plants < line.wanted
              ? say('{plants} of {wanted} {variety}', { plants: line.plants, wanted: line.wanted, variety: line.variety })
              : say('{plants} {variety}', { plants: line.plants, variety: line.variety }),
          )
          .join(', ')}
      </p>
      <Refusal message={release.error?.message} />
      {mayRelease && plants > 0 && (
        <button
          className="act no-print"
          disabled={release.isPending}
          onClick={() =>
            release.mutate(
              { lines },
              {
                onSuccess: (made) =>
                  announce(say('Released: {plants, plural, one {# plant} other {# plants}}, note {note}.', { plants, note: made.number })),
              },
            )
          }
        >
          {say('Release {plants, plural, one {# plant} other {# plants}} as picked', { plants })}
        </button>
      )}
    </div>
  );
}
