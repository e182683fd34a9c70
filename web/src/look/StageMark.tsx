import marks from '../../../server/src/main/resources/marks.json';
import type { Stage } from '../api/client';
import { say } from '../words/say';

/** What is drawn: a stage, a move into a larger container on the way, or that a plant has outgrown its cell. */
export type Mark = Stage | 'POTTED_ON' | 'PAST_BEST';

/** Each stage as it would be pencilled on a board: what one sees at the surface of the cell. */
const STROKES: Record<Mark, string> = marks;

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
