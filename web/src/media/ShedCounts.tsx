import { useState } from 'react';
import type { InShedView } from '../api/client';
import { useShed } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Refusal } from '../look/States';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

interface Pieces extends Record<string, unknown> {
  container: string;
  pieces: number;
}

/** Pots and trays that stand empty in the shed: counted, and added to when more come. */
export function ShedCounts() {
  const shed = useShed();
  if (!shed.data) return null;
  return (
    <section aria-label={say('Pots and trays in the shed')} className="board p-4">
      <h2 className="mb-1">{say('Pots and trays in the shed')}</h2>
      <p className="text-sm text-pencil">{say('What is potted up is taken off. Pots are counted one by one, trays of cells whole.')}</p>
      <ul className="divide-y divide-rule">
        {shed.data.map((each) => (
          <Row key={each.container} kind={each} />
        ))}
      </ul>
    </section>
  );
}

function Row({ kind }: { kind: InShedView }) {
  const [typed, setTyped] = useState('');
  const count = useBenchChange<Pieces>('/api/shed/counts', (entry) =>
    say('{pieces} of {name} in the shed', { pieces: entry.pieces, name: kind.name }),
  );
  const came = useBenchChange<Pieces>('/api/shed/deliveries', (entry) => say('{pieces} of {name} more', { pieces: entry.pieces, name: kind.name }));
  const pieces = typedNumber(typed);
  const tell = (change: typeof count) => {
    if (pieces !== undefined) change.mutate({ container: kind.container, pieces }, { onSuccess: () => setTyped('') });
  };
  return (
    <li className="py-1.5">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="min-w-40 flex-1">{kind.name}</span>
        <span className="w-24 text-right tabular-nums">
          {kind.pieces == null ? <span className="text-sm text-pencil">{say('not counted')}</span> : kind.pieces}
        </span>
        <input
          className="entry w-20"
          inputMode="numeric"
          aria-label={kind.pots ? say('Pots of {name}', { name: kind.name }) : say('Trays of {name}', { name: kind.name })}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <button className="act" disabled={pieces === undefined || count.isPending} onClick={() => tell(count)}>
          {say('Counted')}
        </button>
        <button className="act" disabled={pieces === undefined || came.isPending} onClick={() => tell(came)}>
          {say('Came in')}
        </button>
      </div>
      <Refusal message={count.error?.message ?? came.error?.message} />
    </li>
  );
}
