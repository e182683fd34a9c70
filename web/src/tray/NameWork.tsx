import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, CellView, TrayView } from '../api/client';
import { useChoices } from '../api/queries';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { doubtWords } from '../words/reasons';
import { usePickedCells } from './usePickedCells';
import { say } from '../words/say';

const lives = (cell: CellView) => cell.condition === 'ALIVE' || cell.condition === 'WAITING';

/** Saying of which plants nobody is sure any more what they are, and which of those somebody knows again. */
export function NameWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const number = batch.summary.number;
  const doubts = useChoices().data?.nameDoubts ?? [];
  const [doubt, setDoubt] = useState('LABEL_LOST');
  const { picked, clear, grid, sweeping } = usePickedCells(tray, number, { can: lives, sign: '✓', words: say('picked') });
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const isMixed = new Map(tray.cells.map((cell) => [cell.number, cell.mixed]));
  const certain = picked.filter((cell) => !isMixed.get(cell));
  const mixed = picked.filter((cell) => isMixed.get(cell));
  const send = (path: string, body: Record<string, unknown>, what: string) =>
    record(`/api/batches/${number}/${path}`, { tray: tray.number, ...body }, what)
      .then(clear)
      .catch((full: unknown) => setProblem(whyNot(full)));
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        {say(
          'Mixed plants live on and are counted, but nobody is promised them as {variety}. They can go only as mixed, until somebody knows again.',
          { variety: batch.summary.variety },
        )}
      </p>
      {grid}
      <Refusal message={problem} />
      <div className="sticky bottom-0 mt-2 flex flex-wrap items-end gap-3 bg-wall py-3">
        <div className="w-60">
          <Field name={say('What happened')}>
            <Select className="entry" value={doubt} onChange={(event) => setDoubt(event.target.value)}>
              {doubts.map((each) => (
                <option key={each} value={each}>
                  {doubtWords(each)}
                </option>
              ))}
            </Select>
          </Field>
        </div>
        <button
          className="act act-main"
          disabled={certain.length === 0}
          onClick={() =>
            send(
              'doubts',
              { cells: certain, doubt },
              say('{cells, plural, one {# cell} other {# cells}} of {code} mixed', { cells: certain.length, code: tray.code }),
            )
          }
        >
          {certain.length > 0 ? say('Mark {cells, plural, one {# cell} other {# cells}} as mixed', { cells: certain.length }) : say('Mark as mixed')}
        </button>
        <button
          className="act"
          disabled={mixed.length === 0}
          onClick={() =>
            send(
              'recognitions',
              { cells: mixed },
              say('{cells, plural, one {# cell} other {# cells}} of {code} known again', { cells: mixed.length, code: tray.code }),
            )
          }
        >
          {mixed.length > 0
            ? say('{cells, plural, one {# cell} other {# cells}} known again as {variety}', { cells: mixed.length, variety: batch.summary.variety })
            : say('Known again')}
        </button>
        {sweeping}
      </div>
    </>
  );
}
