import { Link } from 'react-router';
import type { PottingDayView } from '../api/client';
import { volume } from '../words/quantity';
import { say } from '../words/say';

/** The batches in their turn, each with a bar for when it is at the bench. */
export function PottingOrder({ view }: { view: PottingDayView }) {
  return (
    <ol className="divide-y divide-rule">
      {view.steps.map((step) => (
        <li key={step.batch} className="py-2">
          {step.changesPots && <p className="mb-1 text-sm font-semibold">{say('Fetch: {into}', { into: step.into })}</p>}
          <div className="flex flex-wrap items-baseline gap-x-3">
            <Link className="trail inline-flex min-h-11 items-center font-semibold" to={`/batches/${step.batch}`}>
              {say('{variety}, batch {batch}', { variety: step.variety, batch: step.batch })}
            </Link>
            <span className="text-sm">
              {say(
                '{plants, plural, one {# plant} other {# plants}} from {trays} into {carriers, plural, one {# carrier} other {# carriers}}, {litres} of mix, to {place}',
                {
                  plants: step.plants,
                  trays: step.trays.map((tray) => `T${tray}`).join(', '),
                  carriers: step.carriers,
                  litres: volume(step.litres),
                  place: step.place,
                },
              )}
            </span>
            <span className="ml-auto text-sm text-pencil tabular-nums">
              {say('minute {from} to {until}', { from: Math.round(step.fromMinute), until: Math.round(step.untilMinute) })}
            </span>
          </div>
          <div aria-hidden className="relative mt-1 h-2 rounded bg-sheet">
            <span
              className="absolute inset-y-0 rounded bg-dusk"
              style={{
                left: `${(100 * step.fromMinute) / Math.max(1, view.minutes)}%`,
                width: `${Math.max(0.6, (100 * (step.untilMinute - step.fromMinute)) / Math.max(1, view.minutes))}%`,
              }}
            />
          </div>
        </li>
      ))}
    </ol>
  );
}
