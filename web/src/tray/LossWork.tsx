import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, CellView, TrayView } from '../api/client';
import { useChoices } from '../api/queries';
import { useRecord } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Caution, Refusal } from '../look/States';
import { nameWords } from '../words/reasons';
import { cellLook } from './cellLook';
import { EMPTY_DRAFT, foundIn } from './draft';
import { TrayGrid } from './TrayGrid';
import { say } from '../words/say';

/** Marking plants that died or were thrown out. */
export function LossWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const number = batch.summary.number;
  const reasons = useChoices().data?.lossReasons ?? [];
  const [picked, setPicked] = useState<number[]>([]);
  const [reason, setReason] = useState('DAMPING_OFF');
  const [fingerSweeps, setFingerSweeps] = useState(false);
  const living = (cell: CellView) => cell.batch === number && (cell.condition === 'ALIVE' || cell.condition === 'WAITING');
  const toggle = (cell: CellView) =>
    setPicked(picked.includes(cell.number) ? picked.filter((each) => each !== cell.number) : [...picked, cell.number]);
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const save = () => {
    record(
      `/api/batches/${number}/losses`,
      { tray: tray.number, cells: picked, reason },
      say('loss of {cells, plural, one {# cell} other {# cells}} in {code}', { cells: picked.length, code: tray.code }),
    )
      .then(() => setPicked([]))
      .catch((full: Error) => setProblem(full.message));
  };
  return (
    <>
      <TrayGrid
        tray={tray}
        fingerSweeps={fingerSweeps}
        draw={(cell) => {
          const marked = picked.includes(cell.number);
          const look = cellLook(cell, number, foundIn(EMPTY_DRAFT, cell), marked);
          return marked ? { ...look, text: '×', words: say('picked as lost'), disabled: false } : { ...look, disabled: !living(cell) };
        }}
        work={{ tap: toggle, sweep: (cells) => setPicked([...new Set([...picked, ...cells.filter(living).map((cell) => cell.number)])]) }}
      />
      <Refusal message={problem} />
      <div className="sticky bottom-0 mt-2 flex flex-wrap items-end gap-3 bg-wall py-3">
        <div className="w-52">
          <Field name={say('Reason')}>
            <Select className="entry" value={reason} onChange={(event) => setReason(event.target.value)}>
              {reasons.map((each) => (
                <option key={each} value={each}>
                  {nameWords(each)}
                </option>
              ))}
            </Select>
          </Field>
        </div>
        <button className="act act-main" disabled={picked.length === 0} onClick={save}>
          {picked.length > 0 ? say('Mark {cells, plural, one {# cell} other {# cells}} as lost', { cells: picked.length }) : say('Mark as lost')}
        </button>
        <label className="flex min-h-11 items-center gap-2 pointer-fine:hidden">
          <input type="checkbox" className="size-5" checked={fingerSweeps} onChange={(event) => setFingerSweeps(event.target.checked)} />
          {say('Sweep with the finger')}
        </label>
      </div>
      {reason === 'SLUGS' && <Caution>{say('Slug pellets: only what is approved locally, by its label, away from children and animals.')}</Caution>}
      {reason === 'OTHER_PESTS' && (
        <Caution>{say('Pesticides: only what is approved locally and by its label; a notifiable pest must be reported.')}</Caution>
      )}
      {reason === 'DAMPING_OFF' && <p className="text-sm text-pencil">{say('After damping-off, wash these trays before they are filled again.')}</p>}
    </>
  );
}
