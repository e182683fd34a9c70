import type { PottingView } from '../api/client';
import { dayWords } from '../words/days';
import { say } from '../words/say';

export const ROOTS_WORDS: Record<PottingView['roots']['looksLike'], string> = {
  NONE: say('none at the side of the plug yet'),
  AT_EDGE: say('at the edge of the plug'),
  OUT: say('coming out below'),
  CIRCLING: say('circling'),
};

/** Where the bar ends: roots that have circled for long. */
const END = 1.5;

/** The marks between what the hand would see. */
const MARKS = [0.2, 0.75, 1];

/** Roots fill a volume; the bar is drawn by their length. */
const at = (index: number) => `${Math.min(100, Math.cbrt(index / END) * 100)}%`;

/** How full of roots the cells are, as a bar with its band, and until when the plants should go on. */
export function RootsTold({ potting }: { potting: PottingView }) {
  const { roots } = potting;
  return (
    <div>
      <p>
        {roots.seen
          ? say('Roots: {roots} when somebody looked; by now most likely {now}.', {
              roots: ROOTS_WORDS[roots.seen],
              now: ROOTS_WORDS[roots.looksLike],
            })
          : say('Roots: most likely {now}. Nobody has looked: take out three.', { now: ROOTS_WORDS[roots.looksLike] })}{' '}
        {potting.by && <strong>{say('Pot by {day} at the latest.', { day: dayWords(potting.by) })}</strong>}
      </p>
      <div aria-hidden className="relative mt-1 h-3 rounded-full border border-rule bg-sheet">
        <span className="absolute inset-y-0 rounded-full bg-ochre-wash" style={{ left: at(roots.least), right: `calc(100% - ${at(roots.most)})` }} />
        {MARKS.map((mark) => (
          <span key={mark} className="absolute inset-y-0 border-l border-pencil" style={{ left: at(mark) }} />
        ))}
        <span className="absolute -inset-y-0.5 w-1 rounded bg-ink" style={{ left: at(roots.index) }} />
      </div>
      {potting.straightOut && (
        <p className="mt-1 text-sm">
          {say(
            'They are wanted on {day}, before roots circle: fed every week they could go straight to the ground as they stand, if their grower agrees.',
            { day: dayWords(potting.straightOut) },
          )}
        </p>
      )}
    </div>
  );
}
