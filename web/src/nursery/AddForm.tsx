import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { Refused } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

/** One entry of a form: its key in the request, its name, and how it is typed. */
export interface Entry {
  key: string;
  name: string;
  type?: 'text' | 'number' | 'date' | 'email' | 'password' | 'tick';
  first?: string;
  hint?: string;
  choices?: { value: string; name: string }[];
  /** Whether it is asked only of those who open what else there is. */
  further?: boolean;
}

/** What is typed where a thing is ticked. */
export const TICKED = 'yes';

/** A small form that adds one thing; what was typed stays until it was added. */
export function AddForm({
  entries,
  verb,
  further,
  add,
}: {
  entries: Entry[];
  verb: string;
  further?: string;
  add: (typed: Record<string, string>) => Promise<unknown>;
}) {
  const empty = Object.fromEntries(entries.map((entry) => [entry.key, entry.first ?? '']));
  const [typed, setTyped] = useState<Record<string, string>>(empty);
  const change = useChange(add);
  const error: Refused | null = change.error;
  const [noNumbers, setNoNumbers] = useState<string[]>([]);
  const placed = entries.some((entry) => error?.problemAt(entry.key));
  const furtherWrong = entries.some((entry) => entry.further && (noNumbers.includes(entry.key) || error?.problemAt(entry.key)));
  const field = (entry: Entry) => {
    const problem = noNumbers.includes(entry.key) ? say('Enter a number.') : error?.problemAt(entry.key);
    const shared = { className: 'entry', value: typed[entry.key] ?? '', 'aria-invalid': problem ? (true as const) : undefined };
    return (
      <Field key={entry.key} name={entry.name} problem={problem} {...(entry.hint ? { hint: entry.hint } : {})}>
        {entry.type === 'tick' ? (
          <span className="flex min-h-11 items-center">
            <Input
              type="checkbox"
              className="size-5"
              checked={typed[entry.key] === TICKED}
              onChange={(event) => setTyped({ ...typed, [entry.key]: event.target.checked ? TICKED : '' })}
            />
          </span>
        ) : entry.choices ? (
          <Select {...shared} onChange={(event) => setTyped({ ...typed, [entry.key]: event.target.value })}>
            <option value="">{say('Choose…')}</option>
            {entry.choices.map((choice) => (
              <option key={choice.value} value={choice.value}>
                {choice.name}
              </option>
            ))}
          </Select>
        ) : (
          <Input
            {...shared}
            type={entry.type === 'number' ? 'text' : (entry.type ?? 'text')}
            inputMode={entry.type === 'number' ? 'decimal' : undefined}
            autoComplete={entry.type === 'password' ? 'new-password' : 'off'}
            onChange={(event) => setTyped({ ...typed, [entry.key]: event.target.value })}
          />
        )}
      </Field>
    );
  };
  return (
    <form
      noValidate
      className="mt-3 grid items-start gap-3 sm:grid-cols-2 lg:grid-cols-4"
      onSubmit={(event) => {
        event.preventDefault();
        const wrong = entries
          .filter(({ key, type }) => type === 'number' && typed[key] && typedNumber(typed[key]) === undefined)
          .map(({ key }) => key);
        setNoNumbers(wrong);
        if (wrong.length > 0) return;
        change.mutate(typed, { onSuccess: () => setTyped(empty) });
      }}
    >
      {entries.filter((entry) => !entry.further).map(field)}
      {further && (
        <details className="sm:col-span-2 lg:col-span-4" open={furtherWrong || undefined}>
          <summary className="trail min-h-11 content-center">{further}</summary>
          <div className="grid items-start gap-3 sm:grid-cols-2 lg:grid-cols-4">{entries.filter((entry) => entry.further).map(field)}</div>
        </details>
      )}
      <div className="flex flex-col gap-2 sm:col-span-2 lg:col-span-4">
        <Refusal message={error && !placed ? error.message : undefined} />
        <button className="act act-main self-start" disabled={change.isPending}>
          {verb}
        </button>
      </div>
    </form>
  );
}
