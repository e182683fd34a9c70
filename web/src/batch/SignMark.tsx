import type { Sign } from './failingWords';

const SOUND = 'M24 42 V24 M24 24 C14 24 10 18 9 12 C18 12 23 16 24 24 C25 16 30 12 39 12 C38 18 34 24 24 24';

/** A seedling drawn with what is wrong with it. */
const DRAWN: Record<Sign, { lines: string; filled?: string; accent?: string }> = {
  YELLOW: { lines: SOUND, filled: 'M24 24 C14 24 10 18 9 12 C18 12 23 16 24 24Z', accent: 'M30 17 h3 M32 20 h3 M28 20 h2' },
  PINCHED_AT_BASE: {
    lines: 'M24 30 V22 M24 42 V36 M24 22 C15 22 11 17 10 11 C18 11 23 15 24 22 C25 15 30 11 38 11 C37 17 33 22 24 22',
    accent: 'M20 30 L24 33 L20 36 M28 30 L24 33 L28 36',
  },
  STRETCHED: {
    lines: 'M22 44 C20 30 26 22 24 10 M24 10 C19 10 17 7 16 4 C21 4 24 6 24 10 C24 6 27 4 32 4 C31 7 29 10 24 10',
    accent: 'M36 40 V14 M33 17 L36 14 L39 17',
  },
  PURPLE: { lines: SOUND, accent: 'M13 15 L20 21 M16 13 L22 19 M28 21 L35 15 M26 19 L32 13' },
  STUNTED: { lines: 'M24 42 V35 M24 35 C19 35 17 32 16 29 C21 29 24 31 24 35 C24 31 27 29 32 29 C31 32 29 35 24 35', accent: 'M8 42 V12 M5 12 H11' },
  DROOPING: {
    lines: 'M24 42 V22 M24 22 C16 20 11 26 10 36 M24 22 C32 20 37 26 38 36',
    accent: 'M10 36 L7 33 M10 36 L13 33 M38 36 L35 33 M38 36 L41 33',
  },
  SNAPPED_OFF: { lines: 'M24 42 V32 M22 30 L26 32 M30 36 C34 30 40 30 44 34 M30 36 L42 40', accent: 'M20 27 L24 30 M28 26 L25 30' },
};

/** A sign as one would pencil it; its name stands beside it. */
export function SignMark({ sign }: { sign: Sign }) {
  const drawn = DRAWN[sign];
  return (
    <svg viewBox="0 0 48 48" className="size-12" aria-hidden fill="none" strokeWidth={2} strokeLinecap="round" strokeLinejoin="round">
      <path d="M4 44 H44" className="stroke-pencil" />
      {drawn.filled && <path d={drawn.filled} className="fill-ochre-wash" />}
      <path d={drawn.lines} className="stroke-ink" />
      {drawn.accent && <path d={drawn.accent} className="stroke-brick" />}
    </svg>
  );
}
