import type { Stage } from '../api/client';
import { say } from '../words/say';

/** What is drawn: a stage, a move into a larger container on the way, or that a plant has outgrown its cell. */
export type Mark = Stage | 'POTTED_ON' | 'PAST_BEST';

/** Each stage as it would be pencilled on a board: what one sees at the surface of the cell. */
const STROKES: Record<Mark, string> = {
  PLANNED: 'M3 15h3M9 15h3M15 15h3M21 15h1M12 19.5v.01',
  SOWN: 'M3 13h18M10.5 18a1.6 1.6 0 1 0 3 0a1.6 1.6 0 1 0-3 0',
  EMERGING: 'M3 17h18M12 17v-3c0-4 4-4 4-1',
  GROWING_ON: 'M3 20h18M12 20V9M12 13c-4 0-6-2-6-5c3 0 6 1 6 5M12 10c0-4 2-6 6-6c0 4-2 6-6 6',
  POTTED_ON: 'M3 15h5l-1 5H4zM5.500 15v-4M10 12h3M15 11h6l-1.500 9h-3zM18 11V6M18 8c-2 0-3-1-3-3M18 7c0-2 1-3 3-3',
  HARDENING_OFF: 'M3 20h9M8 20v-8M8 14c-3 0-4-2-4-4c2 0 4 1 4 4M8 12c0-3 1-4 4-5M14 9h5a2 2 0 1 0-2-2M14 13h7M14 17h4',
  READY: 'M6 14h12l-2 7H8zM12 14V7M12 10c-3 0-4-2-4-4c2 0 4 1 4 4M12 8c0-3 2-4 4-4c0 3-1 4-4 4',
  RELEASED: 'M4 14h9l-2 6H6zM8.500 14V9M8.500 11c-2 0-3-1-3-3M13 8h8M18 5l3 3l-3 3',
  FAILED: 'M3 17h18M8 6l8 8M16 6l-8 8',
  PAST_BEST: 'M7 13h10l-2 8H9zM12 13V3M12 9C8 9 5 7 4 3M12 9c4 0 7-2 8-6M9.500 16a3 2 0 1 0 5 0M10 18.500h4',
};

export const STAGE_WORDS: Record<Mark, string> = {
  PLANNED: say('Planned'),
  SOWN: say('Sown'),
  EMERGING: say('Emerging'),
  GROWING_ON: say('Growing on'),
  POTTED_ON: say('Potted on'),
  HARDENING_OFF: say('Hardening off'),
  READY: say('Ready'),
  RELEASED: say('Released'),
  FAILED: say('Failed'),
  PAST_BEST: say('Past its best'),
};

export function StageMark({ stage, size = 24, named = false }: { stage: Mark; size?: number; named?: boolean }) {
  return (
    <span className="inline-flex shrink-0 items-center gap-1.5 whitespace-nowrap">
      <svg
        viewBox="0 0 24 24"
        width={size}
        height={size}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
        strokeLinecap="round"
        strokeLinejoin="round"
        role="img"
        aria-label={named ? undefined : STAGE_WORDS[stage]}
        aria-hidden={named}
      >
        <path d={STROKES[stage]} />
      </svg>
      {named && <span>{STAGE_WORDS[stage]}</span>}
    </span>
  );
}
