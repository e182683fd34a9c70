import { say } from '../words/say';
import { firstCell, type Step, type Walked } from './along';

const CELL = 10;

/** The tray as it lies before one, the cells of the run lit; a tap on one of them says how far the seed went. */
export function RunDrawn({
  step,
  walked,
  chosen,
  choose,
}: {
  step: Step;
  walked: Walked;
  chosen: number | undefined;
  choose: ((cell: number) => void) | undefined;
}) {
  const { run } = step;
  const first = firstCell(step, walked);
  const cells = [...Array(run.rows * run.columns).keys()].map((index) => index + 1);
  const lit = (cell: number) => cell >= first && cell <= (chosen ?? run.lastCell);
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
          className={lit(cell) ? 'fill-dusk stroke-ink' : 'fill-board stroke-pencil'}
          strokeWidth={lit(cell) ? 0.8 : 0.4}
          onClick={choose && cell >= first && cell <= run.lastCell ? () => choose(cell) : undefined}
        />
      ))}
    </svg>
  );
}
