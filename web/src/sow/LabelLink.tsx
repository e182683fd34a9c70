import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { announce } from '../look/announce';
import { Choice } from '../look/Choice';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { FORMATS, type LabelFormat } from './labelFormats';

const KEPT = 'kiver.labels';

/** Labels of batches in the format that this device printed last: as a paper to look at, or sent to the label printer. */
export function LabelLink({ batches, words }: { batches: number[]; words: string }) {
  const [format, setFormat] = useState(() => (window.localStorage.getItem(KEPT) ?? 'ROLL') as LabelFormat);
  const print = useNumberedChange((entry: { batches: number[]; format: LabelFormat }, requestId) =>
    answered(api.POST('/api/label-jobs', { body: { requestId, ...entry } })),
  );
  return (
    <span className="no-print flex flex-wrap items-center gap-x-3 gap-y-2">
      <a className="act" href={`/api/labels.pdf?batches=${batches.join(',')}&format=${format}`} target="_blank" rel="noreferrer">
        {words}
      </a>
      <Choice
        name={say('on')}
        value={format}
        choices={FORMATS}
        choose={(next) => {
          window.localStorage.setItem(KEPT, next);
          setFormat(next as LabelFormat);
        }}
      />
      <button
        type="button"
        className="trail min-h-11"
        disabled={print.isPending}
        onClick={() => print.mutate({ batches, format }, { onSuccess: () => announce(say('Sent to the label printer.')) })}
      >
        {print.isSuccess ? say('Sent; send once more') : say('Send to the printer')}
      </button>
      {print.isSuccess && (
        <Link className="trail flex min-h-11 items-center" to="/labels">
          {say('What was printed')}
        </Link>
      )}
      <Refusal message={print.error?.message} />
    </span>
  );
}
