import { useState } from 'react';
import type { SheetReading, SheetView } from '../api/client';
import { sendFile } from '../api/client';
import { useChange } from '../api/queries';
import { ChooseTable } from '../look/ChooseTable';
import { FileLookedOver, lackingIn, matchingOf, readingAddress, type ChosenReading } from '../look/FileLookedOver';
import { say } from '../words/say';

/** Out as a file; in from any spreadsheet, looked over before anything is taken. */
export function ReadIn({ sheet }: { sheet: SheetView }) {
  const [file, setFile] = useState<File>();
  const [chosen, setChosen] = useState<ChosenReading>({});
  const send = useChange((entry: { file: File; take: boolean; chosen: ChosenReading }) =>
    sendFile<SheetReading>(`/api/sheets/${sheet.name}/file?${readingAddress(entry.file, entry.chosen)}&take=${entry.take}`, entry.file),
  );
  const reading = send.data;
  const look = (next: ChosenReading) => {
    setChosen(next);
    if (file) send.mutate({ file, take: false, chosen: next });
  };
  return (
    <div className="mb-3 text-sm">
      <p className="flex flex-wrap items-center gap-x-5">
        <a className="trail flex min-h-11 items-center" href={`/api/sheets/${sheet.name}/file`} download>
          {say('Take out as a file')}
        </a>
        <ChooseTable
          name={say('Read a file in')}
          className="trail flex min-h-11"
          chosen={(next) => {
            setFile(next);
            setChosen({});
            send.mutate({ file: next, take: false, chosen: {} });
          }}
        />
        <span className="text-pencil">
          {say('any table: CSV, .xlsx or .ods; rows of the same {columns} are changed, what the file does not say of them stays', {
            columns: sheet.columns
              .slice(0, sheet.keys)
              .map((column) => column.words.toLowerCase())
              .join(say(' and ')),
          })}
        </span>
      </p>
      {send.isPending && <p role="status">{say('Looking the file over…')}</p>}
      {send.error && (
        <div role="alert" className="border-l-4 border-brick bg-brick-wash p-3 text-brick">
          <p className="font-semibold">{say('Nothing was read in.')}</p>
          <ul>
            {(send.error.problems.length > 0 ? send.error.problems : [{ field: '', message: send.error.message }]).map((problem) => (
              <li key={problem.field + problem.message}>{problem.message}</li>
            ))}
          </ul>
        </div>
      )}
      {reading?.taken && (
        <p role="status" className="font-semibold">
          {say('{rows, plural, one {# row} other {# rows}} read in: {added} new, {changed} changed.', {
            rows: reading.rows,
            added: reading.added,
            changed: reading.changed,
          })}
        </p>
      )}
      {reading && !reading.taken && file && (
        <FileLookedOver reading={reading} keys={sheet.keys} file={file.name} choose={(more) => look({ ...chosen, ...more })}>
          {reading.faulty > 0 && (
            <p>{say('Nothing is taken as long as rows cannot be: choose columns otherwise, fill in what is the same for all, or mend the file.')}</p>
          )}
          <div className="flex flex-wrap gap-3">
            <button
              className="act act-main"
              disabled={reading.faulty > 0 || lackingIn(reading, sheet.keys).length > 0}
              onClick={() => send.mutate({ file, take: true, chosen: { ...chosen, matching: matchingOf(reading) } })}
            >
              {say('Read {rows, plural, one {# row} other {# rows}} in', { rows: reading.rows })}
            </button>
            <button
              className="act"
              onClick={() => {
                setFile(undefined);
                send.reset();
              }}
            >
              {say('Leave it')}
            </button>
          </div>
        </FileLookedOver>
      )}
    </div>
  );
}
