import { useState } from 'react';
import { Choice } from '../look/Choice';
import { say } from '../words/say';

const FORMATS: [string, string][] = [
  ['ROLL', say('roll, 90 × 29')],
  ['STAKE', say('stakes, 120 × 17')],
  ['SHEET_24', say('A4, 24 to a sheet')],
  ['SHEET_14', say('A4, 14 to a sheet')],
  ['SHEET_65', say('A4, 65 small ones')],
  ['LETTER_30', say('Letter, 30 to a sheet')],
];
const KEPT = 'kiver.labels';

/** Labels of batches in the format that this device printed last. */
export function LabelLink({ batches, words }: { batches: number[]; words: string }) {
  const [format, setFormat] = useState(() => window.localStorage.getItem(KEPT) ?? 'ROLL');
  return (
    <span className="no-print flex flex-wrap items-center gap-x-3">
      <a className="act" href={`/api/labels.pdf?batches=${batches.join(',')}&format=${format}`} target="_blank" rel="noreferrer">
        {words}
      </a>
      <Choice
        name={say('on')}
        value={format}
        choices={FORMATS}
        choose={(next) => {
          window.localStorage.setItem(KEPT, next);
          setFormat(next);
        }}
      />
    </span>
  );
}
