import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { CellView, TrayView } from '../api/client';
import { useWidth } from '../look/useWidth';
import { say } from '../words/say';

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
  /** A sweep; called once at its end with every cell it crossed, in order. */
  sweep: (cells: CellView[]) => void;
  /** A digit typed on a cell. */
  digit?: (cell: CellView, digit: number) => void;
  /** The minus key on a cell. */
  fewer?: (cell: CellView) => void;
}

/**
 * A tray as it lies on the bench, worked on directly. A mouse sweeps by dragging; a finger scrolls unless sweeping was
 * switched on. Arrow keys, Home, End and the page keys walk over all cells, also those that cannot be worked on. Where it is
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
  const [current, setCurrent] = useState(1);
  const [whole, setWhole] = useState(false);
  const [frame, width] = useWidth<HTMLDivElement>(USUAL_WIDTH);
  const wide = tray.columns * (FINGER + GAP) > width;
  const swept = useRef<CellView[]>([]);
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
    if (swept.current.length > 1) work.sweep(swept.current);
  };
  const onClick = (cell: CellView) => {
    const partOfSweep = swept.current.length > 1;
    swept.current = [];
    if (!partOfSweep) work.tap(cell);
  };
  const onKeyDown = (event: KeyboardEvent, cell: CellView) => {
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
  };
  const focus = (number: number) => grid.current?.querySelector<HTMLElement>(`[data-cell="${number}"]`)?.focus();
  return (
    <div ref={frame}>
      {wide && (
        <button type="button" className="trail min-h-11 px-2 text-sm" aria-pressed={whole} onClick={() => setWhole(!whole)}>
          {whole ? say('Larger cells') : say('See the whole tray')}
        </button>
      )}
      <div className="overflow-x-auto rounded-md border-4 border-loam bg-loam p-1.5" tabIndex={-1} data-small>
        <div
          ref={grid}
          role="group"
          aria-label={say('{code}, {rows} rows of {columns} cells', { code: tray.code, rows: tray.rows, columns: tray.columns })}
          className={`grid min-w-full select-none ${whole && wide ? 'gap-px text-xs' : 'w-max gap-1 text-lg'} ${fingerSweeps ? 'touch-none' : ''}`}
          style={{ gridTemplateColumns: `repeat(${tray.columns}, minmax(${whole && wide ? '0' : `${FINGER}px`}, 1fr))` }}
          onPointerDown={onPointerDown}
          onPointerMove={onPointerMove}
          onPointerUp={onPointerUp}
        >
          {tray.cells.map((cell) => {
            const look = draw(cell);
            return (
              <button
                key={cell.number}
                data-cell={cell.number}
                tabIndex={cell.number === current ? 0 : -1}
                aria-label={say('Cell {number}, row {row}, column {column}, {words}', {
                  number: cell.number,
                  row: Math.ceil(cell.number / tray.columns),
                  column: ((cell.number - 1) % tray.columns) + 1,
                  words: look.words,
                })}
                onFocus={() => setCurrent(cell.number)}
                aria-disabled={look.disabled}
                className={`relative grid place-items-center rounded-sm font-bold ring-dusk ${whole && wide ? 'min-h-6' : 'min-h-11'} ${look.look}`}
                onClick={() => !look.disabled && onClick(cell)}
                onKeyDown={(event) => onKeyDown(event, cell)}
              >
                {look.text}
              </button>
            );
          })}
        </div>
      </div>
    </div>
  );
}

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
