import { useId, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { degrees, degreesBetween } from '../words/quantity';

/** A mark on the glass that is dragged, or moved with the arrow keys. */
export interface Mark {
  key: string;
  name: string;
  /** °C, or K where the scale is a difference. */
  value: number;
}

const WIDTH = 220;
const HEIGHT = 250;
const TOP = 14;
const BOTTOM = 216;
const TUBE = 96;
const HALF_A_DEGREE = 0.5;

/** A drawn thermometer: what a place has by day and by night, set by dragging its marks. */
export function Thermometer({
  title,
  marks,
  least,
  most,
  difference = false,
  set,
}: {
  title: string;
  marks: [Mark, Mark];
  least: number;
  most: number;
  /** Whether it tells how much warmer than outdoors. */
  difference?: boolean;
  set: (key: string, value: number) => void;
}) {
  const name = useId();
  const drawn = useRef<SVGSVGElement>(null);
  const y = (value: number) => BOTTOM - ((value - least) / (most - least)) * (BOTTOM - TOP);
  const words = (value: number) => (difference ? degreesBetween(value) : degrees(value));
  const within = (value: number) => Math.min(most, Math.max(least, Math.round(value / HALF_A_DEGREE) * HALF_A_DEGREE));
  const drag = (key: string) => (event: PointerEvent<SVGGElement>) => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    else if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = drawn.current!.getBoundingClientRect();
    const at = ((event.clientY - box.top) / box.height) * HEIGHT;
    set(key, within(least + ((BOTTOM - at) / (BOTTOM - TOP)) * (most - least)));
  };
  const steps: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 6, PageDown: -6 };
  const press = (mark: Mark) => (event: KeyboardEvent) => {
    const step = steps[event.key];
    if (step === undefined) return;
    event.preventDefault();
    set(mark.key, within(mark.value + step * HALF_A_DEGREE));
  };
  const top = Math.max(marks[0].value, marks[1].value);
  const ticks = Array.from({ length: Math.floor((most - least) / 5) + 1 }, (_, index) => least + 5 * index);
  return (
    <figure>
      <figcaption id={name} className="text-sm font-semibold">
        {title}
      </figcaption>
      <svg ref={drawn} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-64 touch-none select-none" aria-labelledby={name} role="group">
        <rect x={TUBE - 9} y={TOP - 8} width="18" height={BOTTOM - TOP + 14} rx="9" className="fill-board stroke-ink" strokeWidth="1.500" />
        <circle cx={TUBE} cy={BOTTOM + 16} r="15" className="fill-dusk stroke-ink" strokeWidth="1.500" />
        <rect x={TUBE - 5} y={y(top)} width="10" height={BOTTOM + 8 - y(top)} className="fill-dusk" />
        {ticks.map((tick) => (
          <g key={tick} aria-hidden>
            <line x1={TUBE - 18} x2={TUBE - 11} y1={y(tick)} y2={y(tick)} className="stroke-pencil" />
            <text x={TUBE - 22} y={y(tick) + 4} textAnchor="end" className="fill-pencil text-[13px]">
              {difference ? degreesBetween(tick, 0) : degrees(tick, 0)}
            </text>
          </g>
        ))}
        {marks.map((mark, index) => (
          <g
            key={mark.key}
            role="slider"
            tabIndex={0}
            aria-label={mark.name}
            aria-valuemin={least}
            aria-valuemax={most}
            aria-valuenow={mark.value}
            aria-valuetext={words(mark.value)}
            className="cursor-ns-resize"
            onKeyDown={press(mark)}
            onPointerDown={drag(mark.key)}
            onPointerMove={drag(mark.key)}
          >
            <rect x={TUBE - 12} y={y(mark.value) - 22} width={WIDTH - TUBE + 10} height="44" className="fill-transparent" />
            <path
              d={`M${TUBE + 10} ${y(mark.value)} l10 -6 v12 z`}
              className={index === 0 ? 'fill-ink' : 'fill-board stroke-ink'}
              strokeWidth="1.500"
            />
            <text x={TUBE + 25} y={y(mark.value) + 4} className="fill-ink text-[13px] font-semibold">
              {mark.name} {words(mark.value)}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
