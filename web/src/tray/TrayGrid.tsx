import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { CellView, TrayView } from '../api/client';
import { say } from '../words/say';

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
}

/**
 * A tray as it lies on the bench, worked on directly. A mouse sweeps by dragging; a finger scrolls unless sweeping was
 * switched on. Arrow keys walk over the cells.
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
    if (/^[0-9]$/.test(event.key) && work.digit) {
      work.digit(cell, Number(event.key));
      focus(cell.number + 1);
      event.preventDefault();
      return;
    }
    const steps: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: tray.columns, ArrowUp: -tray.columns };
    const step = steps[event.key];
    if (step !== undefined) {
      focus(cell.number + step);
      event.preventDefault();
    }
  };
  const focus = (number: number) => grid.current?.querySelector<HTMLElement>(`[data-cell="${number}"]`)?.focus();
  return (
    <div className="overflow-x-auto rounded-md border-4 border-loam bg-loam p-1.5" tabIndex={-1}>
      <div
        ref={grid}
        role="group"
        aria-label={say('{code}, {rows} rows of {columns} cells', { code: tray.code, rows: tray.rows, columns: tray.columns })}
        className={`grid w-max min-w-full gap-1 select-none ${fingerSweeps ? 'touch-none' : ''}`}
        style={{ gridTemplateColumns: `repeat(${tray.columns}, minmax(44px, 1fr))` }}
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
              tabIndex={cell.number === 1 ? 0 : -1}
              aria-label={say('Cell {number}, {words}', { number: cell.number, words: look.words })}
              aria-disabled={look.disabled}
              className={`relative grid min-h-11 place-items-center rounded-sm text-lg font-bold ring-dusk ${look.look}`}
              onClick={() => !look.disabled && onClick(cell)}
              onKeyDown={(event) => !look.disabled && onKeyDown(event, cell)}
            >
              {look.text}
            </button>
          );
        })}
      </div>
    </div>
  );
}
