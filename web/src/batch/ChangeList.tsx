import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Nothing, Refusal } from '../look/States';
import { dayWords, timeWords } from '../words/days';
import { say } from '../words/say';

const SHOWN_AT_FIRST = 6;

type Change = BatchView['changes'][number];

/** The record, newest first. A wrong entry is taken back by another, with its reason; both stay. */
export function ChangeList({ batch }: { batch: BatchView }) {
  const [all, setAll] = useState(false);
  const [wrong, setWrong] = useState<Change>();
  if (batch.changes.length === 0) {
    return (
      <Nothing>
        {batch.summary.boughtIn ? say('Nothing yet. The first entry will be its arrival.') : say('Nothing yet. The first entry will be its sowing.')}
      </Nothing>
    );
  }
  const newest = [...batch.changes].reverse();
  const shown = all ? newest : newest.slice(0, SHOWN_AT_FIRST);
  return (
    <>
      <ol className="board divide-y divide-rule">
        {shown.map((change) => (
          <li key={change.sequence} className="grid grid-cols-[6.5rem_1fr_auto] items-center gap-x-3 px-3 py-1.5">
            <span className="text-sm text-pencil">
              {change.sequence}. {dayWords(change.day)} {change.time && <span className="whitespace-nowrap">{timeWords(change.time)}</span>}
            </span>
            <span className={change.corrected ? 'text-pencil line-through' : ''}>
              {change.words}{' '}
              <span className="text-sm text-pencil">
                {change.device ? say('{by}, {device}', { by: change.by, device: deviceWords(change.device) }) : change.by}
              </span>
            </span>
            {change.corrected ? (
              <span className="px-2 text-sm text-pencil">{say('undone')}</span>
            ) : (
              <button
                className="trail min-h-11 px-2 text-sm"
                aria-label={say('Undo entry {sequence}: {words}', { sequence: change.sequence, words: change.words })}
                onClick={() => setWrong(change)}
              >
                {say('Undo')}
              </button>
            )}
          </li>
        ))}
      </ol>
      {newest.length > SHOWN_AT_FIRST && (
        <button className="trail min-h-11" onClick={() => setAll(!all)}>
          {all ? say('Show fewer') : say('Show all {newest}', { newest: newest.length })}
        </button>
      )}
      {wrong && <Undoing batch={batch.summary.number} change={wrong} close={() => setWrong(undefined)} />}
    </>
  );
}

/** What sort of device it was, and its own letters; a name of another make is told as it is. */
function deviceWords(name: string): string {
  const [kind, code] = name.split('-');
  if (kind === 'phone') return say('phone {code}', { code });
  if (kind === 'tablet') return say('tablet {code}', { code });
  return kind === 'desk' ? say('desk {code}', { code }) : name;
}

function Undoing({ batch, change, close }: { batch: number; change: Change; close: () => void }) {
  const [reason, setReason] = useState('');
  const correct = useNumberedChange((entry: { sequence: number; reason: string }, requestId) =>
    answered(api.POST('/api/batches/{number}/corrections', { params: { path: { number: batch } }, body: { requestId, ...entry } })),
  );
  return (
    <Sheet title={say('Undo entry {sequence}', { sequence: change.sequence })} open close={close}>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          correct.mutate({ sequence: change.sequence, reason }, { onSuccess: close });
        }}
      >
        <p>{change.words}</p>
        <p className="text-sm text-pencil">
          {say('The entry stays in the record, struck through, with the reason. An undoing can be undone in its turn.')}
        </p>
        <Field name={say('Why')} problem={correct.error?.problemAt('reason')}>
          <Input className="entry" value={reason} onChange={(event) => setReason(event.target.value)} autoFocus />
        </Field>
        <Refusal message={correct.error && !correct.error.problemAt('reason') ? correct.error.message : undefined} />
        <button className="act act-main" disabled={correct.isPending}>
          {say('Undo this entry')}
        </button>
      </form>
    </Sheet>
  );
}
