import type { DateSpread } from '../api/client';
import { addDays } from '../words/days';
import type { TimeScale } from './timeScale';

/**
 * How plants come towards the day on which they are wanted: a line while they grow, a box for the days on which they may be
 * ready with its likeliest day, and the heavy line of the day wanted. What of the box lies behind that line is hatched.
 */
export function TowardsTarget({
  scale,
  today,
  from,
  ready,
  target,
}: {
  scale: TimeScale;
  today: string;
  from: string | undefined;
  ready: DateSpread | undefined;
  target: string;
}) {
  const left = ready && scale.at(ready.early);
  const right = ready && scale.at(addDays(ready.late, 1));
  const wanted = scale.at(target);
  return (
    <div className="relative h-8 min-w-0" aria-hidden>
      <span className="absolute inset-y-0 w-0 border-l border-dashed border-pencil" style={{ left: `${scale.at(today)}%` }} />
      {ready && left !== undefined && right !== undefined && (
        <>
          {from && from < ready.early && (
            <span
              className="absolute top-1/2 h-0 border-t-2 border-dusk"
              style={{ left: `${scale.at(from)}%`, width: `${Math.max(0, left - scale.at(from))}%` }}
            />
          )}
          <span
            className="absolute inset-y-2 min-w-1 border-2 border-dusk bg-dusk/20"
            style={{ left: `${left}%`, width: `${Math.max(0.4, right - left)}%` }}
          />
          {right > wanted && ready.late > target && (
            <span
              className="behind-target absolute inset-y-2 min-w-1 border-2 border-brick"
              style={{ left: `${Math.max(left, wanted)}%`, width: `${Math.max(0.4, right - Math.max(left, wanted))}%` }}
            />
          )}
          <span className="absolute inset-y-1 w-0 border-l-2 border-dusk" style={{ left: `${scale.at(ready.middle)}%` }} />
        </>
      )}
      <span className="absolute inset-y-0 w-0 border-l-[3px] border-brick" style={{ left: `${wanted}%` }} />
    </div>
  );
}
