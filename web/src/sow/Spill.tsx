import { useState } from 'react';
import { useTray } from '../api/queries';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Loading, Refusal, Trouble } from '../look/States';
import { say } from '../words/say';
import type { Step, Walked } from './along';
import { RunDrawn } from './RunDrawn';

/** Seed fell among the plants of others: from then on nobody is sure what comes up in those cells. */
export function Spill({ step, walked, over }: { step: Step; walked: Walked; over: () => void }) {
  const tray = useTray(step.run.tray);
  const [cells, setCells] = useState<number[]>([]);
  const [problem, setProblem] = useState<string>();
  const record = useRecord();
  if (tray.isPending) return <Loading what={say('the tray')} />;
  if (!tray.data) return <Trouble error={tray.error} retry={() => tray.refetch()} />;
  const others = tray.data.cells.filter(
    (cell) => cell.batch !== undefined && cell.batch !== step.sowing.batch && (cell.condition === 'ALIVE' || cell.condition === 'WAITING'),
  );
  const batches = [...new Set(others.filter((cell) => cells.includes(cell.number)).map((cell) => cell.batch!))];
  const mark = async () => {
    try {
      for (const batch of batches) {
        const own = others.filter((cell) => cell.batch === batch && cells.includes(cell.number)).map((cell) => cell.number);
        await record(
          `/api/batches/${batch}/doubts`,
          { tray: step.run.tray, cells: own, doubt: 'SEED_SPILLED' },
          say('{cells, plural, one {# cell} other {# cells}} of {code} mixed', { cells: own.length, code: step.run.code }),
        );
      }
      over();
    } catch (thrown) {
      setProblem(whyNot(thrown));
    }
  };
  if (others.length === 0) {
    return (
      <div>
        <p>{say('Nothing of another batch is in this tray: seed that fell into its empty cells can be picked out or left.')}</p>
        <button className="act mt-2" onClick={over}>
          {say('Go on')}
        </button>
      </div>
    );
  }
  return (
    <div>
      <RunDrawn
        step={step}
        walked={walked}
        spilled={cells}
        choices={others.map((cell) => cell.number)}
        choose={(cell) => setCells(cells.includes(cell) ? cells.filter((each) => each !== cell) : [...cells, cell])}
      />
      <Refusal message={problem} />
      <div className="mt-2 flex flex-wrap gap-2">
        <button className="act act-main min-h-14 grow text-lg" disabled={cells.length === 0} onClick={() => void mark()}>
          {cells.length === 0
            ? say('Tap the cells it fell into')
            : say('Mark {cells, plural, one {# cell} other {# cells}} as mixed', { cells: cells.length })}
        </button>
        <button className="act" onClick={over}>
          {say('Nothing fell there')}
        </button>
      </div>
    </div>
  );
}
