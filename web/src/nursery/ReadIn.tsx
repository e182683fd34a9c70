import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { SheetReading, SheetView } from '../api/client';
import { sendFile } from '../api/client';
import { useChange } from '../api/queries';
import { NamedChoice } from '../look/NamedChoice';
import { say } from '../words/say';

/** What somebody chose because it was understood otherwise. */
interface Chosen {
  page?: number;
  dates?: string;
  mark?: string;
  matching?: Record<string, { column?: number; same?: string }>;
}

const DATES: [string, string][] = [
  ['YEAR_FIRST', say('year, month, day')],
  ['DAY_FIRST', say('day, month, year')],
  ['MONTH_FIRST', say('month, day, year')],
];
const MARKS: [string, string][] = [
  ['POINT', say('1,000.5')],
  ['COMMA', say('1.000,5')],
];
const NOT_THERE = '';
const SAME = 'same';

/** Out as a file; in from any spreadsheet, looked over before anything is taken. */
export function ReadIn({ sheet }: { sheet: SheetView }) {
  const [file, setFile] = useState<File>();
  const [chosen, setChosen] = useState<Chosen>({});
  const send = useChange((entry: { file: File; take: boolean; chosen: Chosen }) =>
    sendFile<SheetReading>(`/api/sheets/${sheet.name}/file?${address(entry.file, entry.take, entry.chosen)}`, entry.file),
  );
  const reading = send.data;
  const look = (next: Chosen) => {
    setChosen(next);
    if (file) send.mutate({ file, take: false, chosen: next });
  };
  return (
    <div className="mb-3 text-sm">
      <p className="flex flex-wrap items-center gap-x-5">
        <a className="trail flex min-h-11 items-center" href={`/api/sheets/${sheet.name}/file`} download>
          {say('Take out as a file')}
        </a>
        <label className="trail flex min-h-11 cursor-pointer items-center focus-within:outline-3">
          {say('Read a file in')}
          <input
            type="file"
            className="sr-only"
            accept=".csv,.txt,.xlsx,.ods,text/csv"
            onChange={(event) => {
              const next = event.target.files?.[0];
              if (next) {
                setFile(next);
                setChosen({});
                send.mutate({ file: next, take: false, chosen: {} });
              }
              event.target.value = '';
            }}
          />
        </label>
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
        <LookedOver
          reading={reading}
          keys={sheet.keys}
          file={file.name}
          choose={(more) => look({ ...chosen, ...more })}
          pending={send.isPending}
          take={() => send.mutate({ file, take: true, chosen: { ...chosen, matching: matchingOf(reading) } })}
          leave={() => {
            setFile(undefined);
            send.reset();
          }}
        />
      )}
    </div>
  );
}

function address(file: File, take: boolean, { page, dates, mark, matching }: Chosen): string {
  return new URLSearchParams({
    file: file.name,
    take: String(take),
    ...(page === undefined ? {} : { page: String(page) }),
    ...(dates === undefined ? {} : { dates }),
    ...(mark === undefined ? {} : { mark }),
    ...(matching === undefined ? {} : { matching: JSON.stringify(matching) }),
  }).toString();
}

/** Which column is which, as it was shown. */
function matchingOf(reading: SheetReading): NonNullable<Chosen['matching']> {
  return Object.fromEntries(
    reading.columns
      .filter((column) => column.column != null || column.same != null)
      .map((column) => [column.name, column.column != null ? { column: column.column } : { same: column.same! }]),
  );
}

function LookedOver({
  reading,
  keys,
  file,
  choose,
  pending,
  take,
  leave,
}: {
  reading: SheetReading;
  keys: number;
  file: string;
  choose: (more: Chosen) => void;
  pending: boolean;
  take: () => void;
  leave: () => void;
}) {
  const lacking = reading.columns.slice(0, keys).filter((column) => column.column == null && column.same == null);
  const usable = lacking.length === 0 && reading.faulty === 0;
  return (
    <section aria-label={say('What was understood of the file')} className="board mt-2 flex flex-col gap-3 p-4">
      <p>
        <strong className="[overflow-wrap:anywhere]">{file}</strong>:{' '}
        {say('{rows, plural, one {# row} other {# rows}}, {added} new, {changed} changed', {
          rows: reading.rows,
          added: reading.added,
          changed: reading.changed,
        })}
        {reading.faulty > 0 && (
          <strong className="text-brick">{say(', {rows, plural, one {# row} other {# rows}} that cannot be taken', { rows: reading.faulty })}</strong>
        )}
        . {reading.remembered && say('Its columns are matched as you did the last time.')}
      </p>
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        {reading.pages.length > 1 && (
          <NamedChoice
            name={say('Page')}
            value={String(reading.page)}
            choices={reading.pages.map((name, index) => [String(index), name])}
            choose={(page) => choose({ page: Number(page) })}
          />
        )}
        <NamedChoice name={say('Days are written')} value={reading.dates} choices={DATES} choose={(dates) => choose({ dates })} />
        <NamedChoice name={say('Numbers are written')} value={reading.mark} choices={MARKS} choose={(mark) => choose({ mark })} />
      </div>
      <ul className="divide-y divide-rule border-y border-rule">
        {reading.columns.map((column, index) => (
          <Matched key={column.name} column={column} reading={reading} isKey={index < keys} choose={choose} />
        ))}
      </ul>
      {reading.faults.length > 0 && (
        <ul className="max-h-48 overflow-y-auto border-l-4 border-brick pl-3" tabIndex={0} aria-label={say('Rows that cannot be taken')}>
          {reading.faults.map((fault) => (
            <li key={fault.line}>{say('Line {line}: {problem}', { line: fault.line, problem: fault.problem })}</li>
          ))}
          {reading.faulty > reading.faults.length && <li>{say('… and {faults} more', { faults: reading.faulty - reading.faults.length })}</li>}
        </ul>
      )}
      {lacking.length > 0 && (
        <p role="alert" className="font-semibold text-brick">
          {say('Choose which column says: {columns}.', { columns: lacking.map((column) => column.words.toLowerCase()).join(say(' and ')) })}
        </p>
      )}
      {reading.faulty > 0 && (
        <p>{say('Nothing is taken as long as rows cannot be: choose columns otherwise, fill in what is the same for all, or mend the file.')}</p>
      )}
      <div className="flex flex-wrap gap-3">
        <button className="act act-main" disabled={pending || !usable} onClick={take}>
          {say('Read {rows, plural, one {# row} other {# rows}} in', { rows: reading.rows })}
        </button>
        <button className="act" onClick={leave}>
          {say('Leave it')}
        </button>
      </div>
    </section>
  );
}

/** A column of ours: which of theirs says it, or what is the same for all. */
function Matched({
  column,
  reading,
  isKey,
  choose,
}: {
  column: SheetReading['columns'][number];
  reading: SheetReading;
  isKey: boolean;
  choose: (more: Chosen) => void;
}) {
  const [filling, setFilling] = useState<string>();
  const value = filling !== undefined ? SAME : column.column != null ? String(column.column) : column.same != null ? SAME : NOT_THERE;
  const match = (source: { column?: number; same?: string } | undefined) => {
    const others = Object.entries(matchingOf(reading)).filter(([name]) => name !== column.name);
    choose({ matching: Object.fromEntries(source ? [...others, [column.name, source]] : others) });
  };
  return (
    <li className="grid items-center gap-x-3 gap-y-1 py-1 sm:grid-cols-[14rem_14rem_1fr]">
      <label className={isKey ? 'font-semibold' : ''} htmlFor={`match-${column.name}`}>
        {column.words}
      </label>
      <select
        id={`match-${column.name}`}
        className="entry"
        value={value}
        onChange={(event) => {
          const next = event.target.value;
          setFilling(next === SAME ? (column.same ?? '') : undefined);
          if (next !== SAME) match(next === NOT_THERE ? undefined : { column: Number(next) });
        }}
      >
        <option value={NOT_THERE}>{say('not in the file')}</option>
        {!isKey && <option value={SAME}>{say('the same for all rows')}</option>}
        {reading.headings.map((heading, index) => (
          <option key={index} value={index}>
            {heading === '' ? say('column {number}', { number: index + 1 }) : heading}
          </option>
        ))}
      </select>
      {value === SAME ? (
        <Input
          className="entry max-w-60"
          aria-label={say('{column}, the same for all rows', { column: column.words })}
          autoComplete="off"
          value={filling ?? column.same ?? ''}
          onChange={(event) => setFilling(event.target.value)}
          onBlur={() => {
            if (filling !== undefined) {
              match(filling.trim() === '' ? undefined : { same: filling.trim() });
              setFilling(undefined);
            }
          }}
        />
      ) : (
        <span className="truncate text-pencil">{column.first.filter(Boolean).join(' · ')}</span>
      )}
    </li>
  );
}
