import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useWidth } from './useWidth';

export interface Point {
  x: number;
  y: number;
}
export interface Band {
  x: number;
  low: number;
  high: number;
}
/** A line; one without a name goes with the named one of its stroke. */
export interface Series {
  name: string;
  points: Point[];
  dashed?: boolean;
  dotted?: boolean;
  unnamed?: boolean;
}

const USUAL_WIDTH = 640;
const HEIGHT = 270;
const LEFT = 56;
const TOP = 28;
const BOTTOM = 56;

const WORDS = 'text-[13px]';
/** So much room has a word under the axis. */
const ROOM_FOR_WORD = 62;

/** Lines are told apart by their stroke, never by colour. */
const strokeOf = ({ dashed, dotted }: Series) =>
  dashed ? { strokeDasharray: '6 5' } : dotted ? { strokeDasharray: '1.500 4', strokeLinecap: 'round' as const } : {};

/** A small chart with titled axes; series are told apart by their stroke, and end where they leave the chart above. */
export function LineChart({
  title,
  xTitle,
  yTitle,
  series,
  bands = [],
  dots = [],
  xTicks,
  xWords,
  yWords,
  yMost,
  marks = [],
}: {
  title: string;
  xTitle: string;
  yTitle: string;
  series: Series[];
  bands?: Band[];
  dots?: Point[];
  xTicks?: number[];
  xWords?: (x: number) => string;
  yWords?: (y: number) => string;
  yMost?: number;
  marks?: { x: number; words: string }[];
}) {
  const [shown, width] = useWidth<HTMLElement>(USUAL_WIDTH);
  const all = [
    ...series.flatMap((each) => each.points),
    ...dots,
    ...bands.flatMap((band) => [
      { x: band.x, y: band.low },
      { x: band.x, y: band.high },
    ]),
  ];
  if (all.length === 0) return null;
  const words = Math.max(2, Math.floor((width - LEFT) / ROOM_FOR_WORD));
  const spread = Math.ceil((xTicks?.length ?? 0) / words) || 1;
  const xs = all.map((point) => point.x);
  const ys = all.map((point) => point.y);
  const x = scaleLinear([Math.min(...xs), Math.max(...xs)], [LEFT, width - 12]);
  const y = scaleLinear([Math.min(0, ...ys), yMost ?? Math.max(...ys)], [HEIGHT - BOTTOM, TOP]).clamp(true);
  const path = line<Point>(
    (point) => x(point.x),
    (point) => y(point.y),
  ).defined((point) => yMost === undefined || point.y <= yMost);
  const surface = area<Band>(
    (band) => x(band.x),
    (band) => y(band.low),
    (band) => y(band.high),
  );
  return (
    <figure ref={shown}>
      <figcaption className="mb-1 text-sm font-semibold">{title}</figcaption>
      <svg viewBox={`0 0 ${width} ${HEIGHT}`} className="w-full" role="img" aria-label={title}>
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width - 12} y1={y(tick)} y2={y(tick)} className="stroke-rule" strokeWidth="1" />
            <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className={`fill-pencil ${WORDS}`}>
              {yWords ? yWords(tick) : tick}
            </text>
          </g>
        ))}
        {(xTicks?.filter((_, index) => index % spread === 0) ?? x.ticks(Math.min(6, words))).map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - BOTTOM + 21} textAnchor="middle" className={`fill-pencil ${WORDS}`}>
            {xWords ? xWords(tick) : tick}
          </text>
        ))}
        <text x={width - 12} y={HEIGHT - 8} textAnchor="end" className={`fill-pencil ${WORDS}`}>
          {xTitle}
        </text>
        <text x={LEFT} y={18} className={`fill-pencil ${WORDS}`}>
          {yTitle}
        </text>
        {bands.length > 0 && <path d={surface(bands) ?? ''} className="fill-dusk/25" />}
        {marks.map((mark) => (
          <g key={mark.words}>
            <line x1={x(mark.x)} x2={x(mark.x)} y1={TOP} y2={HEIGHT - BOTTOM} className="stroke-brick" strokeWidth="2" />
            <text x={x(mark.x) + 4} y={TOP + 14} className={`fill-brick font-semibold ${WORDS}`}>
              {mark.words}
            </text>
          </g>
        ))}
        {series.map((each) => (
          <path key={each.name} d={path(each.points) ?? ''} fill="none" className="stroke-dusk" strokeWidth="2.500" {...strokeOf(each)} />
        ))}
        {dots.map((dot) => (
          <circle key={`${dot.x}/${dot.y}`} cx={x(dot.x)} cy={y(dot.y)} r="4.500" className="fill-board stroke-ink" strokeWidth="2" />
        ))}
      </svg>
      {series.length > 1 && (
        <p className="flex flex-wrap gap-x-5 text-xs text-pencil">
          {series
            .filter((each) => !each.unnamed)
            .map((each) => (
              <span key={each.name} className="flex items-center gap-2">
                <svg width="28" height="8" aria-hidden>
                  <line x1="0" x2="28" y1="4" y2="4" className="stroke-dusk" strokeWidth="2.500" {...strokeOf(each)} />
                </svg>
                {each.name}
              </span>
            ))}
        </p>
      )}
    </figure>
  );
}
