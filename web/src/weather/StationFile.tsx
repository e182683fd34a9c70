import { useState } from 'react';
import type { FileReport } from '../api/client';
import { sendFile } from '../api/client';
import { useChange } from '../api/queries';
import { NamedChoice } from '../look/NamedChoice';
import { Refusal } from '../look/States';
import { dayOfYear } from '../words/days';
import { degrees } from '../words/quantity';
import { say } from '../words/say';

/** A station's file: looked over first, every bad line told, and read in when that is wanted. */
export function StationFile() {
  const [file, setFile] = useState<File>();
  const [otherwise, setOtherwise] = useState<Otherwise>({});
  const send = useChange(({ chosen, take, layout }: { chosen: File; take: boolean; layout: Otherwise }) =>
    sendFile<FileReport>(`/api/weather/file?${new URLSearchParams({ take: String(take), file: chosen.name, ...layout }).toString()}`, chosen),
  );
  const report = send.data;
  return (
    <section aria-label={say("Read a station's file in")} className="board p-4">
      <h2 className="mb-1">{say("Read a station's file in")}</h2>
      <p className="mb-2 text-sm text-pencil">
        {say(
          'As the station writes it: a line for each day with its lowest and highest, or for each reading. Its days take the place of those in the record.',
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
          setOtherwise({});
          if (chosen) send.mutate({ chosen, take: false, layout: {} });
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
            {!report.taken && (
              <Understood
                report={report}
                choose={(more) => {
                  const layout = { ...otherwise, ...more };
                  setOtherwise(layout);
                  send.mutate({ chosen: file, take: false, layout });
                }}
              />
            )}
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
                <button
                  className="act act-main self-start"
                  disabled={send.isPending}
                  onClick={() => send.mutate({ chosen: file, take: true, layout: otherwise })}
                >
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

/** What was understood wrongly, by its name in the address. */
type Otherwise = Record<string, string>;

const UNITS: [string, string][] = [
  ['CELSIUS', '°C'],
  ['FAHRENHEIT', '°F'],
  ['TENTHS_OF_CELSIUS', say('tenths of °C')],
];
const DATES: [string, string][] = [
  ['YEAR_FIRST', say('year, month, day')],
  ['DAY_FIRST', say('day, month, year')],
  ['MONTH_FIRST', say('month, day, year')],
];

/** How the file was read: every part can be chosen otherwise, and the first days show what comes of it. */
function Understood({ report, choose }: { report: FileReport; choose: (more: Otherwise) => void }) {
  const { understood } = report;
  const columns = understood.columns.map((name, index): [string, string] => [String(index), name]);
  const one = (name: string, key: string, value: number | string | null | undefined, choices: [string, string][]) => (
    <NamedChoice name={name} value={String(value)} choices={choices} choose={(chosen) => choose({ [key]: chosen })} />
  );
  return (
    <fieldset className="border-l-4 border-dusk pl-3">
      <legend className="font-semibold">
        {understood.reading == null ? say('Understood: one line a day') : say('Understood: one line a reading, summed up by day')}
      </legend>
      <div className="flex flex-wrap gap-x-4">
        {one(say('days in'), 'day', understood.day, columns)}
        {one(say('written'), 'dates', understood.dates, DATES)}
        {understood.reading != null && one(say('readings in'), 'reading', understood.reading, columns)}
        {understood.lowest != null && one(say('lowest in'), 'lowest', understood.lowest, columns)}
        {understood.highest != null && one(say('highest in'), 'highest', understood.highest, columns)}
        {one(say('counted in'), 'unit', understood.unit, UNITS)}
      </div>
      {report.firstDays.length > 0 && (
        <p>
          {say('So it begins: {days}.', {
            days: report.firstDays
              .map((day) =>
                say('{day} {minimum} to {maximum}', { day: dayOfYear(day.day), minimum: degrees(day.minimum), maximum: degrees(day.maximum) }),
              )
              .join('; '),
          })}
        </p>
      )}
    </fieldset>
  );
}
