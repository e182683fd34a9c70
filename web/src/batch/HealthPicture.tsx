import { scaleLinear } from 'd3-scale';
import type { HealthView } from '../api/client';
import { useWidth } from '../look/useWidth';
import { addDays, daysBetween, shortDay } from '../words/days';
import { degrees, figures, temperature, temperatureUnit } from '../words/quantity';
import { say } from '../words/say';

const LEFT = 44;
const RIGHT = 10;
const WORDS = 'text-xs';

interface Strip {
  view: HealthView;
  at: (day: string) => number;
  width: number;
}

/** All that bears on a batch's health, one strip below the other on one axis of days. */
export function HealthPicture({ view }: { view: HealthView }) {
  const [box, width] = useWidth<HTMLDivElement>(800);
  const last = view.target > view.today ? view.target : view.today;
  const days = Math.max(14, daysBetween(view.began, last) + 1);
  const x = scaleLinear()
    .domain([0, days])
    .range([LEFT, width - RIGHT]);
  const at = (day: string) => x(daysBetween(view.began, day));
  const strip: Strip = { view, at, width };
  return (
    <div ref={box} className="board flex flex-col gap-1 p-3">
      <Doings {...strip} />
      <Warmth {...strip} />
      <Light {...strip} />
      <Water {...strip} />
      <Feed {...strip} />
      <Leaves {...strip} />
      <Days {...strip} days={days} />
    </div>
  );
}

/** A strip with its name above it and the line of today through it. */
function Frame({ name, words, height, strip, children }: { name: string; words: string; height: number; strip: Strip; children: React.ReactNode }) {
  const now = strip.at(strip.view.today);
  return (
    <figure>
      <figcaption className="text-sm font-semibold">{name}</figcaption>
      <svg viewBox={`0 0 ${strip.width} ${height}`} className="w-full" role="img" aria-label={words}>
        <line x1={now} x2={now} y1={0} y2={height} className="stroke-brick" strokeWidth={1} strokeDasharray="2 3" />
        {children}
      </svg>
    </figure>
  );
}

const DOINGS: Record<HealthView['care']['done'][number]['doing'], string> = {
  SOWN: say('sown'),
  COUNTED: say('counted'),
  POTTED: say('potted'),
  MOVED: say('moved'),
  HARDENED: say('hardened'),
  LOST: say('losses'),
  RELEASED: say('released'),
};

const ROOM_FOR_WORDS = 58;

/** Where there is room for words: not over those before, and not beyond the end. */
function worded(places: number[], end: number): Set<number> {
  const shown = new Set<number>();
  let free = -Infinity;
  places.forEach((place, index) => {
    if (place >= free && place < end) {
      shown.add(index);
      free = place + ROOM_FOR_WORDS;
    }
  });
  return shown;
}

function Doings(strip: Strip) {
  const shown = worded(
    strip.view.care.done.map((each) => strip.at(each.day)),
    strip.width - ROOM_FOR_WORDS + RIGHT,
  );
  return (
    <Frame
      name={say('What was done')}
      words={strip.view.care.done.map((each) => `${shortDay(each.day)} ${DOINGS[each.doing]}`).join(', ')}
      height={34}
      strip={strip}
    >
      {strip.view.care.done.map((each, index) => {
        const here = strip.at(each.day);
        return (
          <g key={`${each.day} ${each.doing}`}>
            <path
              d={`M${here} 20 v12`}
              className={each.doing === 'LOST' ? 'stroke-brick' : 'stroke-ink'}
              strokeWidth={each.doing === 'COUNTED' || each.doing === 'HARDENED' ? 1.5 : 3}
            />
            {shown.has(index) && (
              <text x={here} y={13} className={`fill-ink ${WORDS}`}>
                {DOINGS[each.doing]}
              </text>
            )}
          </g>
        );
      })}
    </Frame>
  );
}

function Warmth(strip: Strip) {
  const { view, at } = strip;
  const height = 110;
  const lows = view.days.map((day) => day.minimum);
  const highs = view.days.map((day) => day.maximum);
  const y = scaleLinear()
    .domain([Math.min(view.lines.nightFloor - 2, ...lows), Math.max(view.lines.nightFloor + 10, ...highs) + 1])
    .range([height - 4, 6]);
  const up = view.days.map((day) => `${at(day.day)},${y(day.maximum)}`);
  const down = [...view.days].reverse().map((day) => `${at(day.day)},${y(day.minimum)}`);
  const cold = view.days.filter((day) => day.minimum < view.lines.nightFloor && day.leaves != null);
  const hot = view.days.filter((day) => day.maximum >= view.lines.heatFrom && day.leaves != null);
  return (
    <Frame
      name={say('Warmth by night and day, {unit}', { unit: temperatureUnit() })}
      words={say('{cold} nights below {floor}, {hot} days from {heat} on', {
        cold: cold.length,
        floor: degrees(view.lines.nightFloor, 0),
        hot: hot.length,
        heat: degrees(view.lines.heatFrom, 0),
      })}
      height={height}
      strip={strip}
    >
      {y.ticks(4).map((tick) => (
        <text key={tick} x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className={`fill-pencil ${WORDS}`}>
          {figures(temperature(tick))}
        </text>
      ))}
      <polygon points={[...up, ...down].join(' ')} className="fill-dusk/25 stroke-dusk" strokeWidth={1} />
      <line
        x1={LEFT}
        x2={strip.width - RIGHT}
        y1={y(view.lines.nightFloor)}
        y2={y(view.lines.nightFloor)}
        className="stroke-ink"
        strokeDasharray="5 4"
      />
      <text x={strip.width - RIGHT} y={y(view.lines.nightFloor) - 4} textAnchor="end" className={`fill-ink ${WORDS}`}>
        {say('stunted below {floor}', { floor: degrees(view.lines.nightFloor, 0) })}
      </text>
      {cold.map((day) => (
        <path key={day.day} d={`M${at(day.day) - 4} ${y(day.minimum) - 7} h8 l-4 7 z`} className="fill-brick" />
      ))}
      {hot.map((day) => (
        <path key={day.day} d={`M${at(day.day) - 4} ${y(day.maximum) + 7} h8 l-4 -7 z`} className="fill-ochre" />
      ))}
    </Frame>
  );
}

/** Words at the very bottom would be cut in half. */
const aboveTheEdge = (tick: number) => tick > 0;

function Light(strip: Strip) {
  const { view, at } = strip;
  const height = 76;
  const most = Math.max(view.lines.light * 1.3, ...view.days.map((day) => day.light));
  const y = scaleLinear()
    .domain([0, most])
    .range([height - 2, 4]);
  const wide = Math.max(1, at(addDays(view.began, 1)) - at(view.began) - 1);
  return (
    <Frame
      name={say('Light, mol a day')}
      words={say('{dark} days darker than {light} mol', {
        dark: view.days.filter((day) => day.light < view.lines.light).length,
        light: figures(view.lines.light, 1),
      })}
      height={height}
      strip={strip}
    >
      {y
        .ticks(3)
        .filter(aboveTheEdge)
        .map((tick) => (
          <text key={tick} x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className={`fill-pencil ${WORDS}`}>
            {figures(tick)}
          </text>
        ))}
      {view.days.map((day) => (
        <rect
          key={day.day}
          x={at(day.day)}
          y={y(day.light)}
          width={wide}
          height={height - 2 - y(day.light)}
          className={day.light < view.lines.light ? 'fill-none stroke-brick' : 'fill-ochre-wash stroke-ochre'}
        />
      ))}
      <line x1={LEFT} x2={strip.width - RIGHT} y1={y(view.lines.light)} y2={y(view.lines.light)} className="stroke-ink" strokeDasharray="5 4" />
    </Frame>
  );
}

function Water(strip: Strip) {
  const { view, at } = strip;
  const height = 70;
  const y = scaleLinear()
    .domain([0, 1])
    .range([height - 3, 12]);
  const moment = (point: HealthView['care']['water'][number]) =>
    at(point.at.slice(0, 10)) + (Number(point.at.slice(11, 13)) / 24) * (at(addDays(view.began, 1)) - at(view.began));
  return (
    <Frame
      name={say('Water in most of them, share of what they hold')}
      words={
        view.care.water.length === 0
          ? say('Nobody has noted their water.')
          : say('watered {times, plural, =0 {never} one {once} other {# times}} as far as was noted', { times: view.care.watered.length })
      }
      height={height}
      strip={strip}
    >
      {[0.5, 1].map((tick) => (
        <text key={tick} x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className={`fill-pencil ${WORDS}`}>
          {figures(tick * 100)} %
        </text>
      ))}
      <line x1={LEFT} x2={strip.width - RIGHT} y1={y(view.lines.water)} y2={y(view.lines.water)} className="stroke-ink" strokeDasharray="5 4" />
      <polyline
        points={view.care.water.map((point) => `${moment(point)},${y(point.share)}`).join(' ')}
        fill="none"
        className="stroke-dusk"
        strokeWidth={2}
      />
      {view.care.watered.map((each, index) => (
        <path
          key={`${each.day} ${index}`}
          d={`M${at(each.day) + 3} 0 c4 5 4 10 0 10 c-4 0 -4 -5 0 -10`}
          className={each.how === 'SPRAY' ? 'fill-none stroke-dusk' : 'fill-dusk'}
        />
      ))}
    </Frame>
  );
}

function Feed(strip: Strip) {
  const { view, at } = strip;
  const ends = view.reserveEnds;
  return (
    <Frame
      name={say('Feed: what the mix gives, then by hand, mg of nitrogen per L')}
      words={say('fed {times, plural, =0 {never} one {once} other {# times}} by hand', { times: view.care.fed.length })}
      height={34}
      strip={strip}
    >
      {ends && (
        <rect
          x={LEFT}
          y={18}
          width={Math.max(0, Math.min(at(ends), strip.width - RIGHT) - LEFT)}
          height={10}
          className="fill-ochre-wash stroke-ochre"
        />
      )}
      {view.care.fed.map((each, index) => (
        <g key={`${each.day} ${index}`}>
          <path d={`M${at(each.day)} 14 v16`} className="stroke-ink" strokeWidth={3} />
          <text x={at(each.day)} y={11} textAnchor="middle" className={`fill-ink ${WORDS}`}>
            {figures(each.strength)}
          </text>
        </g>
      ))}
    </Frame>
  );
}

const ROOTS: Record<'NONE' | 'AT_EDGE' | 'OUT' | 'CIRCLING', string> = {
  NONE: say('no roots at the side'),
  AT_EDGE: say('roots at the edge'),
  OUT: say('roots out below'),
  CIRCLING: say('roots circle'),
};

function Leaves(strip: Strip) {
  const { view, at } = strip;
  const height = 110;
  const up = view.days.filter((day) => day.leaves != null);
  const most = Math.max(
    view.lines.leaves + 1,
    view.leavesNow + 1,
    ...up.map((day) => day.leaves!),
    ...view.care.looked.map((look) => look.leaves ?? 0),
  );
  const y = scaleLinear()
    .domain([0, most])
    .range([height - 4, 8]);
  return (
    <Frame
      name={say('True leaves: as worked out, as counted, and as wanted')}
      words={say('{now} true leaves by now, {wanted} wanted for hardening', { now: figures(view.leavesNow, 1), wanted: figures(view.lines.leaves) })}
      height={height}
      strip={strip}
    >
      {y.ticks(4).map((tick) => (
        <text key={tick} x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className={`fill-pencil ${WORDS}`}>
          {figures(tick)}
        </text>
      ))}
      <line x1={LEFT} x2={strip.width - RIGHT} y1={y(view.lines.leaves)} y2={y(view.lines.leaves)} className="stroke-ink" strokeDasharray="5 4" />
      <polyline
        points={up.map((day) => `${at(day.day)},${y(day.leaves!)}`).join(' ')}
        fill="none"
        className="stroke-dusk"
        strokeWidth={2}
        strokeDasharray="6 4"
      />
      {up.length > 0 && <path d={`M${at(view.today) - 6} ${y(view.leavesNow)} l6 -6 l6 6 l-6 6 z`} className="fill-dusk" />}
      {view.care.looked.map((look) => (
        <g key={look.day}>
          {look.leaves != null && <circle cx={at(look.day)} cy={y(look.leaves)} r={5} className="fill-board stroke-ink" strokeWidth={2} />}
          {look.roots && (
            <text x={at(look.day)} y={height - 6} textAnchor="middle" className={`fill-ink ${WORDS}`}>
              {ROOTS[look.roots]}
            </text>
          )}
        </g>
      ))}
    </Frame>
  );
}

function Days({ view, at, width, days }: Strip & { days: number }) {
  const every = Math.max(7, Math.ceil(days / Math.max(1, Math.floor((width - LEFT) / 70)) / 7) * 7);
  const marks = Array.from({ length: Math.ceil(days / every) }, (_, index) => addDays(view.began, index * every)).filter(
    (day) => at(day) < width - 40,
  );
  return (
    <svg viewBox={`0 0 ${width} 20`} className="w-full" aria-hidden>
      {marks.map((day) => (
        <text key={day} x={at(day)} y={14} className={`fill-pencil ${WORDS}`}>
          {shortDay(day)}
        </text>
      ))}
    </svg>
  );
}
