import { useState } from 'react';
import type { FileReport } from '../api/client';
import { sendFile } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { dayOfYear } from '../words/days';
import { say } from '../words/say';

/** A station's file: looked over first, every bad line told, and read in when that is wanted. */
export function StationFile() {
  const [file, setFile] = useState<File>();
  const send = useChange(({ chosen, take }: { chosen: File; take: boolean }) =>
    sendFile<FileReport>(`/api/weather/file?take=${take}&file=${encodeURIComponent(chosen.name)}`, chosen),
  );
  const report = send.data;
  return (
    <section aria-label={say("Read a station's file in")} className="board p-4">
      <h2 className="mb-1">{say("Read a station's file in")}</h2>
      <p className="mb-2 text-sm text-pencil">
        {say(
          'Comma-separated, UTF-8, with the columns day,minimum,maximum: 2027-04-15,-1.5,9.0 in °C. Its days take the place of those in the record.',
        )}{' '}
        <a className="trail" href="/api/weather/file" download>
          {say('Take the record out')}
        </a>
      </p>
      <input
        type="file"
        accept=".csv,text/csv,text/plain"
        aria-label={say('Station file')}
        className="entry"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          setFile(chosen);
          if (chosen) send.mutate({ chosen, take: false });
          event.target.value = '';
        }}
      />
      <div className="mt-2 flex flex-col gap-2 text-sm" aria-live="polite">
        {send.isPending && <p role="status">{say('Looking the file over…')}</p>}
        <Refusal message={send.error?.message} />
        {report && file && (
          <>
            <p>
              <strong>{file.name}</strong>: {say('{days, plural, one {# good day} other {# good days}}', { days: report.days })}
              {report.firstDay && say(', {firstDay} to {lastDay}', { firstDay: dayOfYear(report.firstDay), lastDay: dayOfYear(report.lastDay!) })}
              {report.faults > 0 && (
                <strong className="text-brick">
                  {say(', {lines, plural, one {# line} other {# lines}} that cannot be used', { lines: report.faults })}
                </strong>
              )}
              .
            </p>
            {report.faultsListed.length > 0 && (
              <ul className="max-h-48 overflow-y-auto border-l-4 border-brick pl-3" tabIndex={0} aria-label={say('Bad lines')}>
                {report.faultsListed.map((fault) => (
                  <li key={fault.line}>{say('Line {line}: {problem}', { line: fault.line, problem: fault.problem })}</li>
                ))}
                {report.faults > report.faultsListed.length && (
                  <li>{say('… and {faults} more', { faults: report.faults - report.faultsListed.length })}</li>
                )}
              </ul>
            )}
            {report.gaps.length > 0 && (
              <p className="text-ochre">
                {say(
                  '{gaps, plural, one {# gap} other {# gaps}}, the longest {days, plural, one {# day} other {# days}}: there the record keeps what it has.',
                  { gaps: report.gaps.length, days: Math.max(...report.gaps.map((gap) => gap.days)) },
                )}
              </p>
            )}
            {report.taken ? (
              <p role="status" className="font-semibold">
                {say('Read in. Every forecast now rests on it.')}
              </p>
            ) : (
              report.days > 0 && (
                <button className="act act-main self-start" disabled={send.isPending} onClick={() => send.mutate({ chosen: file, take: true })}>
                  {say('Read {days, plural, one {# good day} other {# good days}} in', { days: report.days })}
                </button>
              )
            )}
          </>
        )}
      </div>
    </section>
  );
}
