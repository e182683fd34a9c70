import { shortDay } from '../words/days';
import type { TimeScale } from './timeScale';
import { useWidth } from './useWidth';

const ROOM_FOR_A_DAY = 64;

/** The weeks above a drawing through time, as many named as there is room for. */
export function TimeAxis({ scale }: { scale: TimeScale }) {
  const [box, width] = useWidth<HTMLDivElement>(600);
  const every = Math.max(1, Math.ceil(scale.weeks.length / Math.max(1, Math.floor(width / ROOM_FOR_A_DAY))));
  return (
    <div ref={box} className="relative h-6 overflow-hidden text-xs text-pencil" aria-hidden>
      {scale.weeks
        .filter((week, index) => index % every === 0 && scale.at(week) < 100 - (ROOM_FOR_A_DAY / Math.max(1, width)) * 100)
        .map((week) => (
          <span key={week} className="absolute top-1 whitespace-nowrap border-l border-rule pl-1" style={{ left: `${scale.at(week)}%` }}>
            {shortDay(week)}
          </span>
        ))}
    </div>
  );
}
