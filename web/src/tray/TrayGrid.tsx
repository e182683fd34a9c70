import { memo, useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { CellView, TrayView } from '../api/client';
import { useWidth } from '../look/useWidth';
import { say } from '../words/say';
import { encircled } from './encircled';

/** px that a finger needs, and that lie between two cells. */
const FINGER = 44;
const GAP = 4;
const USUAL_WIDTH = 900;

/** How one cell is drawn. */
export interface CellLook {
  text: string;
  words: string;
  look: string;
  disabled: boolean;
}

interface Work {
  /** A tap, or Enter. */
  tap: (cell: CellView) => void;
  /** How a cell looks right after a tap, where that is to be seen before all else is drawn. */
  tapped?: (cell: CellView) => CellLook;
  /** A sweep; called once at its end with every cell it crossed, in order. */
  sweep: (cells: CellView[]) => void;
  /** A digit typed on a cell. */
  digit?: (cell: CellView, digit: number) => void;
  /** The minus key on a cell. */
  fewer?: (cell: CellView) => void;
  /** A whole row, by the mark at its head; rows have none where it is missing. */
  row?: (cells: CellView[]) => void;
}

/**
 * A tray as it lies on the bench, worked on directly. A mouse sweeps by dragging; a finger scrolls unless sweeping was
 * switched on; what it leads around is swept, too. Arrow keys, Home, End and the page keys walk over all cells, also those that cannot be worked on. Where it is
 * wider than the screen it can be looked at whole, with small cells, or with cells for a finger.
 */
export function TrayGrid({
  tray,
  draw,
  work,
  fingerSweeps,
}: {
  tray: TrayView;
  draw: (cell: CellView) => CellLook;
  work: Work;
  fingerSweeps: boolean;
}) {
  const grid = useRef<HTMLDivElement>(null);
  const [whole, setWhole] = useState(false);
  const [frame, width] = useWidth<HTMLDivElement>(USUAL_WIDTH);
  const columns = tray.columns + (work.row ? 1 : 0);
  const wide = columns * (FINGER + GAP) > width;
  const small = whole && wide;
  const swept = useRef<CellView[]>([]);
  const shown = useRef(new Map<number, CellLook>());
  const cellAt = (element: Element | null): CellView | undefined => {
    const number = element?.closest<HTMLElement>('[data-cell]')?.dataset.cell;
    return number ? tray.cells[Number(number) - 1] : undefined;
  };
  const onPointerDown = (event: PointerEvent) => {
    const cell = cellAt(event.target as Element);
    swept.current = cell && (event.pointerType === 'mouse' || fingerSweeps) ? [cell] : [];
  };
  const onPointerMove = (event: PointerEvent) => {
    if (swept.current.length === 0 || event.buttons === 0) return;
    const cell = cellAt(document.elementFromPoint(event.clientX, event.clientY));
    if (cell && !swept.current.includes(cell)) {
      swept.current.push(cell);
      grid.current?.querySelector(`[data-cell="${cell.number}"]`)?.classList.add('ring-4');
    }
  };
  const onPointerUp = () => {
    grid.current?.querySelectorAll('.ring-4').forEach((each) => each.classList.remove('ring-4'));
    if (swept.current.length < 2) return;
    const around = encircled(
      swept.current.map((cell) => cell.number),
      tray.rows,
      tray.columns,
    );
    work.sweep([...swept.current, ...around.flatMap((number) => tray.cells[number - 1] ?? [])]);
  };
  const show = (cell: CellView, look: CellLook) => {
    const element = grid.current?.querySelector<HTMLElement>(`[data-cell="${cell.number}"]`);
    if (!element) return;
    const row = Math.floor((cell.number - 1) / tray.columns);
    element.textContent = look.text;
    element.className = cellClass(look.look, small);
    element.setAttribute('aria-label', cellWords(cell, row + 1, cell.number - row * tray.columns, look.words));
  };
  // What was shown ahead is held against what is drawn: a tap taken back at once leaves nothing to draw, and would stay.
  useLayoutEffect(() => {
    shown.current.forEach((look, number) => {
      const cell = tray.cells[number - 1];
      if (cell && !isSame(draw(cell), look)) show(cell, draw(cell));
    });
    shown.current.clear();
  });
  const focus = (number: number) => grid.current?.querySelector<HTMLElement>(`[data-cell="${number}"]`)?.focus();
  const handled: Handled = {
    row: (cells) => work.row?.(cells),
    click: (cell: CellView) => {
      const partOfSweep = swept.current.length > 1;
      swept.current = [];
      if (partOfSweep || draw(cell).disabled) return;
      work.tap(cell);
      const look = work.tapped?.(cell);
      if (look) {
        shown.current.set(cell.number, look);
        show(cell, look);
      }
    },
    keyDown: (event: KeyboardEvent, cell: CellView) => {
      const workable = !draw(cell).disabled;
      if (/^[0-9]$/.test(event.key) && work.digit) {
        if (workable) work.digit(cell, Number(event.key));
        focus(cell.number + 1);
      } else if (event.key === '-' && work.fewer) {
        if (workable) work.fewer(cell);
      } else if ((event.key === 'Delete' || event.key === 'Backspace') && work.digit) {
        if (workable) work.digit(cell, 0);
      } else {
        const to = cellFor(event.key, event.ctrlKey, cell.number, tray);
        if (to === undefined) return;
        focus(to);
      }
      event.preventDefault();
    },
    // One cell of the grid is a stop for the tab key, the one last worked on; that is no reason to draw all of them.
    focus: (cell: CellView) => {
      grid.current?.querySelectorAll<HTMLElement>('[data-cell][tabindex="0"]').forEach((each) => (each.tabIndex = -1));
      const now = grid.current?.querySelector<HTMLElement>(`[data-cell="${cell.number}"]`);
      if (now) now.tabIndex = 0;
    },
  };
  const on = useUnchanging(handled);
  const rows = useMemo(() => Array.from({ length: tray.rows }, (_, row) => tray.cells.slice(row * tray.columns, (row + 1) * tray.columns)), [tray]);
  const template = `${work.row ? `${small ? 24 : FINGER}px ` : ''}repeat(${tray.columns}, minmax(${small ? '0' : `${FINGER}px`}, 1fr))`;
  return (
    <div ref={frame} className="isolate [contain:layout_style]">
      {wide && (
        <button type="button" className="trail min-h-11 px-2 text-sm" aria-pressed={whole} onClick={() => setWhole(!whole)}>
          {whole ? say('Larger cells') : say('See the whole tray')}
        </button>
      )}
      {/* What scrolls has square corners and scrolls only where it must: cutting them round would cost each tap a picture. */}
      <div className="rounded-md border-4 border-loam bg-loam p-1.5">
        <div className={wide && !whole ? 'overflow-x-auto' : ''} tabIndex={-1} data-small>
          <div
            ref={grid}
            role="group"
            aria-label={say('{code}, {rows} rows of {columns} cells', { code: tray.code, rows: tray.rows, columns: tray.columns })}
            className={`grid min-w-full select-none ${small ? 'gap-px text-xs' : 'w-max gap-1 text-lg'} ${fingerSweeps ? 'touch-none' : ''}`}
            onPointerDown={onPointerDown}
            onPointerMove={onPointerMove}
            onPointerUp={onPointerUp}
          >
            {rows.map((cells, row) => (
              <Row
                key={row}
                row={row + 1}
                cells={cells}
                looks={cells.map(draw)}
                small={small}
                headed={work.row !== undefined}
                template={template}
                on={on}
              />
            ))}
          </div>
        </div>
      </div>
    </div>
  );
}

/** A row; drawn again only when one of its cells is, and laid out and painted apart from the others: hundreds of cells would take longer than a tap. */
const Row = memo(
  function Row({ row, cells, looks, small, headed, template, on }: RowOfCells) {
    return (
      <div className={`isolate grid [contain:layout_style] ${small ? 'gap-px' : 'gap-1'}`} style={{ gridTemplateColumns: template }}>
        {headed && (
          <button
            type="button"
            aria-label={say('Row {row}', { row })}
            className={`border-r-2 border-ink/40 text-sm text-ink ${small ? 'min-h-6' : 'min-h-11'}`}
            onClick={() => on.row(cells)}
          >
            {row}
          </button>
        )}
        {cells.map((cell, column) => (
          <Cell key={cell.number} cell={cell} row={row} column={column + 1} small={small} on={on} {...looks[column]!} />
        ))}
      </div>
    );
  },
  (before, after) =>
    before.cells === after.cells &&
    before.small === after.small &&
    before.template === after.template &&
    before.looks.every((look, column) => isSame(look, after.looks[column]!)),
);

interface RowOfCells {
  row: number;
  cells: CellView[];
  looks: CellLook[];
  small: boolean;
  headed: boolean;
  template: string;
  on: Handled;
}

const isSame = (one: CellLook, other: CellLook) =>
  one === other || (one.text === other.text && one.words === other.words && one.look === other.look && one.disabled === other.disabled);

interface Handled {
  row: (cells: CellView[]) => void;
  click: (cell: CellView) => void;
  keyDown: (event: KeyboardEvent, cell: CellView) => void;
  focus: (cell: CellView) => void;
}

/** Functions that stay the same over the years and do what the newest ones do, so that what is handed them is not drawn again. */
function useUnchanging(newest: Handled): Handled {
  const latest = useRef(newest);
  useLayoutEffect(() => {
    latest.current = newest;
  });
  return useMemo(
    () => ({
      row: (cells) => latest.current.row(cells),
      click: (cell) => latest.current.click(cell),
      keyDown: (event, cell) => latest.current.keyDown(event, cell),
      focus: (cell) => latest.current.focus(cell),
    }),
    [],
  );
}

const cellWords = (cell: CellView, row: number, column: number, words: string) =>
  say('Cell {number}, row {row}, column {column}, {words}', { number: cell.number, row, column, words });

const cellClass = (look: string, small: boolean) =>
  `relative grid place-items-center rounded-sm font-bold ring-dusk ${small ? 'min-h-6' : 'min-h-11'} ${look}`;

/** One cell. A tap changes one of hundreds, and only that one is drawn again. */
const Cell = memo(function Cell({
  cell,
  row,
  column,
  small,
  text,
  words,
  look,
  disabled,
  on,
}: CellLook & { cell: CellView; row: number; column: number; small: boolean; on: Handled }) {
  return (
    <button
      type="button"
      data-cell={cell.number}
      // Kept by the grid from then on.
      tabIndex={cell.number === 1 ? 0 : -1}
      aria-label={cellWords(cell, row, column, words)}
      onFocus={() => on.focus(cell)}
      aria-disabled={disabled}
      className={cellClass(look, small)}
      onClick={() => on.click(cell)}
      onKeyDown={(event) => on.keyDown(event, cell)}
    >
      {text}
    </button>
  );
});

/** Where a key leads from a cell; nowhere for any other key. */
function cellFor(key: string, control: boolean, from: number, tray: TrayView): number | undefined {
  const column = (from - 1) % tray.columns;
  const cells = tray.cells.length;
  const to: Record<string, number> = {
    ArrowRight: from + 1,
    ArrowLeft: from - 1,
    ArrowDown: from + tray.columns,
    ArrowUp: from - tray.columns,
    Home: control ? 1 : from - column,
    End: control ? cells : from - column + tray.columns - 1,
    PageUp: column + 1,
    PageDown: (tray.rows - 1) * tray.columns + column + 1,
  };
  const cell = to[key];
  return cell === undefined ? undefined : cell < 1 || cell > cells ? from : cell;
}
