import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { BatchView } from '../api/client';
import { useWidth } from '../look/useWidth';
import { daysBetween, shortDay } from '../words/days';
import { say } from '../words/say';

const USUAL_WIDTH = 420;
const HEIGHT = 250;
const MARGIN = { left: 44, right: 12, top: 14, bottom: 44 };

/** Cells expected to show something, with the band of four batches in five, and what was counted. */
export function EmergenceChart({ batch, today }: { batch: BatchView; today: string }) {
  const [shown, width] = useWidth<HTMLElement>(USUAL_WIDTH);
  const first = batch.emergence.curve[0]?.day;
  if (!first) return null;
  const days = batch.emergence.curve.length - 1;
  const last = Math.max(days, Math.min(daysBetween(first, today), days + 3), 1);
  const sown = batch.summary.balance.sown;
  const x = scaleLinear([0, last], [MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear([0, sown], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  type Point = BatchView['emergence']['curve'][number];
  const at = (point: { day: string }) => x(daysBetween(first, point.day));
  const band = area<Point>(
    at,
    (point) => y(point.low),
    (point) => y(point.high),
  ).curve(curveMonotoneX)(batch.emergence.curve);
  const middle = line<Point>(at, (point) => y(point.middle)).curve(curveMonotoneX)(batch.emergence.curve);
  const counts = batch.emergence.counts.filter((count) => daysBetween(first, count.day) <= last);
  const now = daysBetween(first, today);
  return (
    <figure ref={shown}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={say('Emergence: {emergedCells} of {sown} cells up; about {expectedUp} expected by today', {
          emergedCells: batch.emergence.up,
          sown,
          expectedUp: Math.round(batch.emergence.expectedUp),
        })}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={MARGIN.left} x2={width - MARGIN.right} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
            <text x={MARGIN.left - 6} y={y(tick) + 4} textAnchor="end" fontSize="13" fill="var(--pencil)">
              {tick}
            </text>
          </g>
        ))}
        {x
          .ticks(Math.min(last, 6))
          .filter(Number.isInteger)
          .map((tick) => (
            <text key={tick} x={x(tick)} y={HEIGHT - MARGIN.bottom + 16} textAnchor="middle" fontSize="13" fill="var(--pencil)">
              {tick}
            </text>
          ))}
        <text x={(MARGIN.left + width) / 2} y={HEIGHT - 8} textAnchor="middle" fontSize="13" fill="var(--ink)">
          {say('days since sowing on {first}', { first: shortDay(first) })}
        </text>
        <text transform={`translate(12 ${HEIGHT / 2 - 12}) rotate(-90)`} textAnchor="middle" fontSize="13" fill="var(--ink)">
          {say('cells with something up')}
        </text>
        {band && <path d={band} fill="var(--wash)" stroke="var(--dusk)" strokeOpacity="0.35" />}
        {middle && <path d={middle} fill="none" stroke="var(--dusk)" strokeWidth="2" strokeDasharray="6 4" />}
        {batch.plan.cellsNeeded <= sown && (
          <g>
            <line
              x1={MARGIN.left}
              x2={width - MARGIN.right}
              y1={y(batch.plan.cellsNeeded)}
              y2={y(batch.plan.cellsNeeded)}
              stroke="var(--brick)"
              strokeWidth="1.5"
            />
            <text x={MARGIN.left + 4} y={y(batch.plan.cellsNeeded) - 4} fontSize="13" fill="var(--brick)">
              {say('{cellsNeeded} needed', { cellsNeeded: batch.plan.cellsNeeded })}
            </text>
          </g>
        )}
        {now >= 0 && now <= last && (
          <line x1={x(now)} x2={x(now)} y1={MARGIN.top} y2={HEIGHT - MARGIN.bottom} stroke="var(--pencil)" strokeDasharray="2 4" />
        )}
        {counts.map((count) => (
          <circle key={count.day} cx={at(count)} cy={y(count.cells)} r="5" fill="var(--board)" stroke="var(--ink)" strokeWidth="2.5" />
        ))}
      </svg>
      <figcaption className="text-sm text-pencil">
        {say('Dashed: to be expected; band: four batches in five; rings: counted; dotted: today.')}
      </figcaption>
    </figure>
  );
}
