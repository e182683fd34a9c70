import type { LessonsView } from '../api/client';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type Proposal = LessonsView['proposals'][number];

const WIDTH = 320;
const HEIGHT = 70;
const AXIS = 44;
const EDGE = 14;
/** Half and one and a half: what lies beyond is drawn at the edge. */
const LEAST = Math.log(0.6);
const MOST = Math.log(1.7);
const MARKS = [0.6, 0.8, 1, 1.25, 1.6];

const across = (times: number) => EDGE + ((Math.min(MOST, Math.max(LEAST, Math.log(times))) - LEAST) / (MOST - LEAST)) * (WIDTH - 2 * EDGE);

/** Each batch as a dot, what all of them say as a bar four times in five as wide, and what plans go by as a tick. */
export function LessonScale({ proposal }: { proposal: Proposal }) {
  const { told, low, high, value, inUse } = proposal;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-sm"
      role="img"
      aria-label={say('{batches, plural, one {# batch} other {# batches}}, together {low} to {high} times, most likely {value}', {
        batches: told.length,
        low: figures(low, 2),
        high: figures(high, 2),
        value: figures(value, 2),
      })}
    >
      <line x1={EDGE} x2={WIDTH - EDGE} y1={AXIS} y2={AXIS} className="stroke-rule" />
      {MARKS.map((mark) => (
        <g key={mark}>
          <line x1={across(mark)} x2={across(mark)} y1={AXIS - 3} y2={AXIS + 3} className="stroke-pencil" />
          <text x={across(mark)} y={AXIS + 22} textAnchor="middle" className="fill-pencil text-[13px]">
            {figures(mark, mark === 1.25 ? 2 : mark === 1 ? 0 : 1)}
          </text>
        </g>
      ))}
      <rect x={across(low)} width={Math.max(2, across(high) - across(low))} y={AXIS - 12} height={8} className="fill-dusk opacity-40" />
      <line x1={across(value)} x2={across(value)} y1={AXIS - 14} y2={AXIS - 2} className="stroke-dusk" strokeWidth={3} />
      <path d={`M${across(inUse)} ${AXIS - 1} l-5 9 h10 z`} className="fill-ink" />
      {told.map((batch, index) => (
        <circle key={batch.batch} cx={across(batch.value)} cy={AXIS - 20 - (index % 3) * 7} r={3} className="fill-none stroke-ink" strokeWidth={1.5}>
          <title>{say('Batch {batch}: {times} times', { batch: batch.batch, times: figures(batch.value, 2) })}</title>
        </circle>
      ))}
    </svg>
  );
}
