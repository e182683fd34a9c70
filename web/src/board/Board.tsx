import type { TimeScale } from '../look/timeScale';
import { type KeyboardEvent, useCallback, useEffect, useRef, useState } from 'react';
import type { BoardBatch } from '../api/client';
import { shortDay } from '../words/days';
import { BoardRow, type RowActs } from './BoardRow';
import { say } from '../words/say';

const DESK_ROW = 46;
const PHONE_ROW = 84;
/** A day further along has no room for its name on a phone, in per cent of the width. */
const LAST_NAMED = 90;
const SPARE_ROWS = 6;

/** All batches under one another. Only the rows in sight are drawn, so that hundreds stay light. */
export function Board({
  batches,
  tried,
  scale,
  today,
  chosen,
  neighbours,
  mayChange,
  acts,
}: {
  batches: BoardBatch[];
  tried: BoardBatch | undefined;
  scale: TimeScale;
  today: string;
  chosen: number | undefined;
  neighbours: Set<number>;
  mayChange: boolean;
  acts: RowActs;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  const [height, setHeight] = useState(480);
  const [row, setRow] = useState(DESK_ROW);
  useEffect(() => {
    const measure = () => {
      setHeight(frame.current?.clientHeight ?? 480);
      setRow(window.innerWidth < 640 ? PHONE_ROW : DESK_ROW);
    };
    measure();
    window.addEventListener('resize', measure);
    return () => window.removeEventListener('resize', measure);
  }, [chosen]);
  const at = batches.findIndex((batch) => batch.number === chosen);
  useEffect(() => {
    const view = frame.current;
    if (!view || at < 0) return;
    if ((at + 1) * row > view.scrollTop + view.clientHeight) view.scrollTop = (at + 1) * row - view.clientHeight;
    else if (at * row < view.scrollTop) view.scrollTop = at * row;
  }, [at, row]);
  // One row can be reached with the tab key; from there the arrow keys lead to the others.
  const [reached, setReached] = useState<number>();
  const [taken, setTaken] = useState(false);
  const begin = Math.max(
    0,
    batches.findIndex((batch) => !batch.sown),
  );
  const sought = batches.findIndex((batch) => batch.number === reached);
  const reachable = sought >= 0 ? sought : begin;
  useEffect(() => {
    const view = frame.current;
    if (!view || !taken) return;
    view.querySelector<HTMLElement>(`[data-row="${reachable}"]`)?.focus();
    setTaken(false);
  }, [taken, reachable]);
  const walk = useCallback(
    (event: KeyboardEvent) => {
      const to = rowFor(event.key, reachable, batches.length, Math.max(1, Math.floor(height / row) - 1));
      const view = frame.current;
      if (to === undefined || !view) return;
      event.preventDefault();
      if ((to + 1) * row > view.scrollTop + view.clientHeight) view.scrollTop = (to + 1) * row - view.clientHeight;
      else if (to * row < view.scrollTop) view.scrollTop = to * row;
      setReached(batches[to]!.number);
      setTaken(true);
    },
    [reachable, batches, height, row],
  );
  const first = Math.max(0, Math.floor(top / row) - SPARE_ROWS);
  const last = Math.min(batches.length, Math.ceil((top + height) / row) + SPARE_ROWS);
  const drawn = Array.from({ length: last - first }, (_, index) => first + index);
  if (batches.length > 0 && (reachable < first || reachable >= last)) drawn.push(reachable);
  const every = Math.ceil(scale.weeks.length / 9);
  return (
    <div className="board overflow-hidden">
      <div className="grid grid-cols-1 border-b border-ink text-xs text-pencil sm:grid-cols-[17rem_1fr]" aria-hidden>
        <span className="hidden px-2 py-1 sm:block">{say('Batch, and its chance')}</span>
        <span className="relative h-6">
          {scale.weeks
            .filter((week, index) => index % every === 0 && scale.at(week) <= LAST_NAMED)
            .map((week) => (
              <span key={week} className="absolute top-1 whitespace-nowrap" style={{ left: `${scale.at(week)}%` }}>
                {shortDay(week)}
              </span>
            ))}
        </span>
      </div>
      <div
        ref={frame}
        className={`relative h-[26rem] overflow-y-auto sm:min-h-72 ${at < 0 ? 'sm:h-[calc(100dvh-19rem)]' : 'sm:h-[calc(100dvh-33rem)]'}`}
        role="group"
        aria-label={say('Season board')}
        onScroll={(event) => setTop(event.currentTarget.scrollTop)}
      >
        <div className="relative" style={{ height: batches.length * row }}>
          <Weeks scale={scale} today={today} />
          {drawn
            .map((index) => [index, batches[index]!] as const)
            .map(([index, batch]) => (
              <div key={batch.number} className="absolute inset-x-0" style={{ top: index * row, height: row }}>
                <BoardRow
                  batch={batch}
                  tried={tried?.number === batch.number ? tried : undefined}
                  scale={scale}
                  chosen={chosen === batch.number}
                  neighbour={neighbours.has(batch.number)}
                  mayChange={mayChange}
                  acts={acts}
                  index={index}
                  reachable={index === reachable}
                  reach={setReached}
                  walk={walk}
                />
              </div>
            ))}
        </div>
      </div>
    </div>
  );
}

/** Where a key leads from a row; nowhere for any other key. */
function rowFor(key: string, from: number, rows: number, page: number): number | undefined {
  const to: Record<string, number> = { ArrowDown: from + 1, ArrowUp: from - 1, PageDown: from + page, PageUp: from - page, Home: 0, End: rows - 1 };
  const row = to[key];
  return row === undefined ? undefined : Math.max(0, Math.min(rows - 1, row));
}

/** The weeks behind the rows, and today. */
function Weeks({ scale, today }: { scale: TimeScale; today: string }) {
  return (
    <div className="pointer-events-none absolute inset-y-0 right-0 left-0 sm:left-[17rem]" aria-hidden>
      {scale.weeks.map((week) => (
        <span key={week} className="absolute inset-y-0 border-l border-rule/60" style={{ left: `${scale.at(week)}%` }} />
      ))}
      <span className="absolute inset-y-0 border-l-2 border-dotted border-pencil" style={{ left: `${scale.at(today)}%` }} />
    </div>
  );
}
