import { say } from '../words/say';
import { firstCell, type Step, type Walked } from './along';

const CELL = 10;

interface Props {
  step: Step;
  walked: Walked;
  /** How far the seed went, where the packet was short. */
  chosen?: number | undefined;
  /** Cells that seed fell into by mistake. */
  spilled?: number[];
  /** Those that can be chosen; all of the run where none are named. */
  choices?: number[];
  choose?: ((cell: number) => void) | undefined;
}

/** The tray as it lies before one, the cells of the run lit; a tap on a cell says how far the seed went, or where it fell. */
export function RunDrawn({ step, walked, chosen, spilled = [], choices, choose }: Props) {
  const { run } = step;
  const first = firstCell(step, walked);
  const cells = [...Array(run.rows * run.columns).keys()].map((index) => index + 1);
  const lit = (cell: number) => cell >= first && cell <= (chosen ?? run.lastCell);
  const look = (cell: number) => {
    if (spilled.includes(cell)) return 'fill-ochre stroke-ink';
    if (lit(cell)) return 'fill-dusk stroke-ink';
    return choices?.includes(cell) ? 'fill-wash stroke-ink' : 'fill-board stroke-pencil';
  };
  const canChoose = (cell: number) => (choices ? choices.includes(cell) : cell >= first && cell <= run.lastCell);
  return (
    <svg
      viewBox={`0 0 ${run.columns * CELL} ${run.rows * CELL}`}
      className="max-h-[38vh] w-full"
      role="img"
      aria-label={say('Tray {code}, {rows} by {columns}: cells {first} to {last} lit', {
        code: run.code,
        rows: run.rows,
        columns: run.columns,
        first,
        last: chosen ?? run.lastCell,
      })}
    >
      {cells.map((cell) => (
        <rect
          key={cell}
          x={((cell - 1) % run.columns) * CELL + 1}
          y={Math.floor((cell - 1) / run.columns) * CELL + 1}
          width={CELL - 2}
          height={CELL - 2}
          rx="1"
          className={look(cell)}
          strokeWidth={lit(cell) ? 0.8 : 0.4}
          onClick={choose && canChoose(cell) ? () => choose(cell) : undefined}
        />
      ))}
    </svg>
  );
}
