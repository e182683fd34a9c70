import type { ReactNode } from 'react';
import { say } from '../words/say';

/** What a hand looks at when it thins: beside each seedling that stays one that goes, drawn as they stand. */
export function WhichToKeep() {
  return (
    <details className="mb-3" open={!narrow()}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{say('Which to keep')}</summary>
      <ul className="grid gap-2 sm:grid-cols-3">
        <Pair words={say('The newest leaf is large and whole, not small or bent.')}>
          <Seedling x={22} leader={13} />
          <Seedling x={78} leader={5} bent />
        </Pair>
        <Pair words={say('The stem is thick down to the ground, not thin or pinched there.')}>
          <Seedling x={22} leader={9} stem={4.5} />
          <Seedling x={78} leader={9} stem={1.4} tall />
        </Pair>
        <Pair words={say('The colour is deep and even, not pale or blotched.')}>
          <Seedling x={22} leader={9} />
          <Seedling x={78} leader={9} pale />
        </Pair>
      </ul>
    </details>
  );
}

/** On a telephone the drawings would push the tray off the screen; they open by a press. */
const narrow = () => window.innerWidth < 640;

function Pair({ words, children }: { words: string; children: ReactNode }) {
  return (
    <li className="flex items-center gap-3 border-l-4 border-dusk bg-board px-3 py-2">
      <svg viewBox="0 0 100 60" className="h-16 w-28 shrink-0" aria-hidden>
        <path d="M2 54h96" className="stroke-loam" strokeWidth="3" fill="none" />
        {children}
        <path d="M70 6l16 10M86 6L70 16" className="stroke-brick" strokeWidth="2.5" />
        <path d="M14 11l5 5 9-11" className="stroke-dusk" strokeWidth="2.5" fill="none" />
      </svg>
      <span className="text-sm">{words}</span>
    </li>
  );
}

function Seedling({
  x,
  leader,
  stem = 3,
  bent = false,
  tall = false,
  pale = false,
}: {
  x: number;
  leader: number;
  stem?: number;
  bent?: boolean;
  tall?: boolean;
  pale?: boolean;
}) {
  const top = tall ? 26 : 32;
  const fill = pale ? 'fill-ochre-wash stroke-ochre' : 'fill-alive stroke-ink';
  return (
    <g>
      <path d={`M${x} 54V${top}`} className="stroke-ink" strokeWidth={stem} fill="none" />
      <ellipse cx={x - 9} cy={top + 2} rx="8" ry="4" className={fill} />
      <ellipse cx={x + 9} cy={top + 2} rx="8" ry="4" className={fill} strokeDasharray={pale ? '2 2' : undefined} />
      <ellipse
        cx={x + (bent ? 5 : 0)}
        cy={top - leader / 2}
        rx={leader / 2.4}
        ry={leader / 1.6}
        transform={bent ? `rotate(55 ${x} ${top})` : undefined}
        className={fill}
      />
    </g>
  );
}
