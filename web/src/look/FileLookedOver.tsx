import { Input } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import type { SheetReading } from '../api/client';
import { say } from '../words/say';
import { NamedChoice } from './NamedChoice';

/** What somebody chose because it was understood otherwise. */
export interface ChosenReading {
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

/** The part of an address that says how a file is to be understood. */
export function readingAddress(file: File, { page, dates, mark, matching }: ChosenReading): URLSearchParams {
  return new URLSearchParams({
    file: file.name,
    ...(page === undefined ? {} : { page: String(page) }),
    ...(dates === undefined ? {} : { dates }),
    ...(mark === undefined ? {} : { mark }),
    ...(matching === undefined ? {} : { matching: JSON.stringify(matching) }),
  });
}

/** Which column is which, as it was shown. */
export function matchingOf(reading: SheetReading): NonNullable<ChosenReading['matching']> {
  return Object.fromEntries(
    reading.columns
      .filter((column) => column.column != null || column.same != null)
      .map((column) => [column.name, column.column != null ? { column: column.column } : { same: column.same! }]),
  );
}

/** Columns that tell rows apart and that no column of theirs says. */
export const lackingIn = (reading: SheetReading, keys: number): SheetReading['columns'] =>
  reading.columns.slice(0, keys).filter((column) => column.column == null && column.same == null);

/** A file that was looked over: what was understood of it, chosen otherwise where that is wrong, and the rows that cannot be taken. */
export function FileLookedOver({
  reading,
  keys,
  file,
  choose,
  children,
}: {
  reading: SheetReading;
  keys: number;
  file: string;
  choose: (more: ChosenReading) => void;
  children: ReactNode;
}) {
  const lacking = lackingIn(reading, keys);
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
      {children}
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
  choose: (more: ChosenReading) => void;
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
