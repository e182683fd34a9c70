import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** A row of a long list: something, or the heading of what follows. */
export interface ListRow {
  key: string;
  content: ReactNode;
  heading?: boolean;
}

const DRAWN_WHOLE = 120;
const USUAL_HEIGHT = 60;

/** A list that draws only what is on the screen once it is long; a short one is drawn whole, for finding and printing. */
export function LongList({ rows, name }: { rows: ListRow[]; name: string }) {
  return rows.length <= DRAWN_WHOLE ? (
    <ul aria-label={name} className="board divide-y divide-rule">
      {rows.map((row) => (
        <li key={row.key}>{row.content}</li>
      ))}
    </ul>
  ) : (
    <Windowed rows={rows} name={name} />
  );
}

function Windowed({ rows, name }: { rows: ListRow[]; name: string }) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const window = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => USUAL_HEIGHT,
    overscan: 10,
    scrollMargin: top,
    getItemKey: (index) => rows[index]!.key,
  });
  return (
    <ul ref={list} aria-label={name} className="board relative" style={{ height: window.getTotalSize() }}>
      {window.getVirtualItems().map((item) => (
        <li
          key={item.key}
          ref={window.measureElement}
          data-index={item.index}
          aria-setsize={rows.length}
          aria-posinset={item.index + 1}
          className="absolute inset-x-0 border-b border-rule"
          style={{ transform: `translateY(${item.start - window.options.scrollMargin}px)` }}
        >
          {rows[item.index]!.content}
        </li>
      ))}
    </ul>
  );
}
