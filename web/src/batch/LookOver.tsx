import { useState } from 'react';
import { useBenchChange } from '../bench/useOutbox';
import { Refusal } from '../look/States';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type Roots = 'NONE' | 'AT_EDGE' | 'OUT' | 'CIRCLING';

interface Look extends Record<string, unknown> {
  leaves: number[];
  roots?: Roots;
}

/** A seedling past these is counted on a few plants only; the last button stands for so many. */
const MOST = 12;

const ENOUGH = 5;

const ROOTS: [Roots, string][] = [
  ['NONE', say('none at the side')],
  ['AT_EDGE', say('at the edge')],
  ['OUT', say('out below')],
  ['CIRCLING', say('circling')],
];

/** A close look at a few plants: one tap for the leaves of each, and how far the roots have come. Also without a signal. */
export function LookOver({ batch, expected }: { batch: number; expected: number }) {
  const [leaves, setLeaves] = useState<number[]>([]);
  const [roots, setRoots] = useState<Roots | ''>('');
  const look = useBenchChange<Look>(`/api/batches/${batch}/looks`, () => say('look at the plants of batch {batch}', { batch }));
  const mean = leaves.reduce((sum, each) => sum + each, 0) / leaves.length;
  const save = () =>
    look.mutate(
      { leaves, ...(roots && { roots }) },
      {
        onSuccess: () => {
          setLeaves([]);
          setRoots('');
        },
      },
    );
  return (
    <div className="mb-3 flex flex-col gap-3">
      <p className="text-sm text-pencil">
        {say('About {expected} true leaves are expected by now. Tap the leaves of each of five plants, not only the best.', {
          expected: figures(expected, 1),
        })}
      </p>
      <div role="group" aria-label={say('True leaves of the next plant')} className="flex flex-wrap gap-1.5">
        {Array.from({ length: MOST + 1 }, (_, count) => (
          <button
            key={count}
            type="button"
            className="act min-w-11"
            disabled={leaves.length >= 20}
            aria-label={say('{count, plural, one {# leaf} other {# leaves}}', { count })}
            onClick={() => setLeaves([...leaves, count])}
          >
            {count}
          </button>
        ))}
      </div>
      <p className="flex min-h-11 flex-wrap items-center gap-3" role="status">
        {leaves.length === 0
          ? say('No plant counted yet')
          : say('{plants, plural, one {# plant} other {# plants}}: {list}; {mean} on average', {
              plants: leaves.length,
              list: leaves.join(', '),
              mean: figures(mean, 1),
            })}
        {leaves.length > 0 && (
          <button type="button" className="trail min-h-11" onClick={() => setLeaves(leaves.slice(0, -1))}>
            {say('Undo tap')}
          </button>
        )}
      </p>
      <div role="group" aria-label={say('Roots of one that is taken out')} className="flex flex-wrap items-center gap-1.5">
        <span className="w-full text-sm text-pencil">{say('Roots of one that is taken out')}</span>
        {ROOTS.map(([each, words]) => (
          <button key={each} type="button" className="act" aria-pressed={roots === each} onClick={() => setRoots(roots === each ? '' : each)}>
            {words}
          </button>
        ))}
      </div>
      <Refusal message={look.error?.message} />
      <button
        type="button"
        className={`act self-start ${leaves.length >= ENOUGH ? 'act-main' : ''}`}
        disabled={(leaves.length === 0 && roots === '') || look.isPending}
        onClick={save}
      >
        {say('Save what was seen')}
      </button>
    </div>
  );
}
