import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, TrayView } from '../api/client';
import { useChoices } from '../api/queries';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Caution, Refusal } from '../look/States';
import { nameWords } from '../words/reasons';
import { usePickedCells } from './usePickedCells';
import { say } from '../words/say';

/** Marking plants that died or were thrown out. */
export function LossWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const number = batch.summary.number;
  const reasons = useChoices().data?.lossReasons ?? [];
  const [reason, setReason] = useState('DAMPING_OFF');
  const { picked, clear, grid, sweeping } = usePickedCells(tray, number, {
    can: (cell) => cell.condition === 'ALIVE' || cell.condition === 'WAITING',
    sign: '×',
    words: say('picked as lost'),
  });
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const save = () => {
    record(
      `/api/batches/${number}/losses`,
      { tray: tray.number, cells: picked, reason },
      say('loss of {cells, plural, one {# cell} other {# cells}} in {code}', { cells: picked.length, code: tray.code }),
    )
      .then(clear)
      .catch((full: unknown) => setProblem(whyNot(full)));
  };
  return (
    <>
      {grid}
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
        {sweeping}
      </div>
      {reason === 'SLUGS' && <Caution>{say('Slug pellets: only what is approved locally, by its label, away from children and animals.')}</Caution>}
      {reason === 'OTHER_PESTS' && (
        <Caution>{say('Pesticides: only what is approved locally and by its label; a notifiable pest must be reported.')}</Caution>
      )}
      {reason === 'DAMPING_OFF' && <p className="text-sm text-pencil">{say('After damping-off, wash these trays before they are filled again.')}</p>}
    </>
  );
}
