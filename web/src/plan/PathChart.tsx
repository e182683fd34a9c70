import type { DateSpread } from '../api/client';
import { type Mark, StageMark } from '../look/StageMark';
import { addDays, beginsWeek, daysBetween, dayWords, shortDay, spreadWords } from '../words/days';
import { say } from '../words/say';

/** One mark on the path: a window or a spread of dates. */
export interface PathRow {
  name: string;
  stage: Mark;
  spread?: DateSpread | undefined;
  /** What is written instead of the spread's words. */
  words?: string;
  /** A window that one may choose from, drawn open, rather than a spread that happens to one. */
  window?: boolean;
}

/**
 * The path counted back from its target: time runs to the right, the day wanted is the heavy line. Drawn in page
 * elements rather than as a picture, so that it reads on a phone.
 */
export function PathChart({ rows, target, today }: { rows: PathRow[]; target: string; today: string }) {
  const spreads = rows.flatMap((row) => (row.spread ? [row.spread.early, row.spread.late] : []));
  const latest = [target, ...spreads].sort().at(-1)!;
  const capped = daysBetween(target, latest) > 45 ? addDays(target, 45) : latest;
  const first = [today, target, ...spreads].sort()[0]!;
  const start = addDays(first, -2);
  const length = daysBetween(start, capped) + 4;
  const at = (day: string) => Math.min(100, Math.max(0, (daysBetween(start, day) / length) * 100));
  const weeks = weekStarts(start, length);
  return (
    <figure aria-label={say('Path towards {target}', { target: dayWords(target) })}>
      <div className="grid grid-cols-1 gap-y-2 sm:grid-cols-[17.5rem_1fr] sm:gap-y-0">
        {rows.map((row) => (
          <div key={row.name} className="contents">
            <div className="flex items-center gap-3 pt-1 text-sm sm:py-1.5">
              <StageMark stage={row.stage} size={28} />
              <p>
                <span className="block font-semibold">{row.name}</span>
                <span className="text-pencil">{row.words ?? spreadWords(row.spread)}</span>
              </p>
            </div>
            <div className="relative min-h-9 border-rule sm:border-l">
              {weeks.map((week) => (
                <span key={week} aria-hidden className="absolute inset-y-0 border-l border-rule/60" style={{ left: `${at(week)}%` }} />
              ))}
              <span aria-hidden className="absolute inset-y-0 border-l-2 border-dotted border-pencil" style={{ left: `${at(today)}%` }} />
              <span aria-hidden className="absolute inset-y-0 border-l-3 border-brick" style={{ left: `${at(target)}%` }} />
              {row.spread && <Bar row={row} left={at(row.spread.early)} right={at(addDays(row.spread.late, 1))} middle={at(row.spread.middle)} />}
            </div>
          </div>
        ))}
        <div className="hidden sm:block" />
        <div className="relative h-11 border-t border-ink text-xs text-pencil" aria-hidden>
          {weeks
            .filter((_, index) => index % Math.ceil(weeks.length / 6) === 0)
            .map((week) => (
              <span key={week} className="absolute top-0.5 whitespace-nowrap" style={{ left: `${Math.min(at(week), 88)}%` }}>
                {shortDay(week)}
              </span>
            ))}
          <span className="absolute top-5 -translate-x-full pr-1 font-semibold whitespace-nowrap text-brick" style={{ left: `${at(target)}%` }}>
            {say('wanted {target}', { target: dayWords(target) })}
          </span>
          {at(target) - at(today) > 55 && (
            <span className="absolute top-5 whitespace-nowrap" style={{ left: `${at(today)}%` }}>
              {say('today')}
            </span>
          )}
        </div>
      </div>
    </figure>
  );
}

function Bar({ row, left, right, middle }: { row: PathRow; left: number; right: number; middle: number }) {
  return (
    <>
      {row.spread?.early !== row.spread?.late && (
        <span
          aria-hidden
          className={`absolute top-1/2 h-4 -translate-y-1/2 ${row.window ? 'border-2 border-dusk bg-board' : 'bg-dusk/35'}`}
          style={{ left: `${left}%`, width: `${right - left}%` }}
        />
      )}
      <span aria-hidden className="absolute top-1/2 h-6 w-1.5 -translate-y-1/2 bg-dusk" style={{ left: `calc(${middle}% - 1px)` }} />
    </>
  );
}

/** The Mondays inside the span. */
function weekStarts(start: string, days: number): string[] {
  const weeks: string[] = [];
  for (let day = 0; day < days; day++) {
    const date = addDays(start, day);
    if (beginsWeek(date)) weeks.push(date);
  }
  return weeks;
}
