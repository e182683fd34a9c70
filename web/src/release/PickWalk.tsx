import type { LoadingView } from '../api/client';
import { say } from '../words/say';

type Pick = LoadingView['walk'][number]['picks'][number];

/** What is taken where, in walking order, with the cells drawn; for the hand that carries it. */
export function PickWalk({ walk }: { walk: LoadingView['walk'] }) {
  return (
    <section aria-label={say('Pick list')} className="mb-6">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h2>{say('Pick list')}</h2>
        <button type="button" className="act no-print" onClick={() => window.print()}>
          {say('Print')}
        </button>
      </div>
      {walk.map((stop) => (
        <div key={stop.place} className="board mb-3 p-3">
          <h3>{stop.place}</h3>
          <ul className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
            {stop.picks.map((pick) => (
              <li key={`${pick.tray} ${pick.order} ${pick.line}`} className="flex items-start gap-3 border-t border-rule py-2">
                <CellsDrawn pick={pick} />
                <span className="min-w-0">
                  <b>{say('T{tray}', { tray: pick.tray })}</b>{' '}
                  {pick.wholeTray
                    ? say('whole, {plants, plural, one {# plant} other {# plants}}', { plants: pick.plants })
                    : say('{plants, plural, one {# plant} other {# plants}} of it', { plants: pick.plants })}
                  <span className="block">{pick.variety}</span>
                  <span className="block text-sm text-pencil">
                    {say('order {order}, {grower}; load {load}', { order: pick.order, grower: pick.grower, load: pick.load })}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

const CELL = 5;

/** The tray as it lies: what is taken is filled, what stays is empty. */
function CellsDrawn({ pick }: { pick: Pick }) {
  const taken = new Set(pick.cells);
  return (
    <svg
      viewBox={`0 0 ${pick.columns * CELL} ${pick.rows * CELL}`}
      className="w-20 shrink-0 border border-ink"
      role="img"
      aria-label={say('{cells, plural, one {one cell} other {# cells}} of {all}, row by row from {first}', {
        cells: pick.cells.length,
        all: pick.rows * pick.columns,
        first: pick.cells[0] ?? 1,
      })}
    >
      {Array.from({ length: pick.rows * pick.columns }, (_, index) => (
        <rect
          key={index}
          x={(index % pick.columns) * CELL + 0.5}
          y={Math.floor(index / pick.columns) * CELL + 0.5}
          width={CELL - 1}
          height={CELL - 1}
          className={taken.has(index + 1) ? 'fill-dusk' : 'fill-none stroke-rule'}
          strokeWidth={0.5}
        />
      ))}
    </svg>
  );
}
