import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { SheetView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useSheet } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { Sheet } from '../look/Sheet';
import { ReadIn } from './ReadIn';
import { SheetChanges } from './SheetChanges';
import { say } from '../words/say';

const NAMES: Record<string, { title: string; find: string; add: string }> = {
  crops: { title: say('Crops'), find: say('Find a crop'), add: say('Add a crop') },
  containers: { title: say('Containers'), find: say('Find a container'), add: say('Add a container') },
  varieties: { title: say('Varieties'), find: say('Find a variety'), add: say('Add a variety') },
  places: { title: say('Places'), find: say('Find a place'), add: say('Add a place') },
  sites: { title: say("Growers' sites"), find: say('Find a site'), add: say('Add a site') },
  lots: { title: say('Seed lots'), find: say('Find a lot'), add: say('Add a lot') },
  rates: { title: say('What things cost'), find: say('Find a cost'), add: say('Add a row') },
};

/** The column of rows that can be retired. */
const IN_USE = 'in_use';

/** Something of which the nursery has many, row by row: changed here, read in from a file, taken out as one. */
export function SheetPage() {
  const name = useParams().name ?? '';
  const sheet = useSheet(name);
  if (sheet.isPending) return <Loading what={say('the sheet')} />;
  if (sheet.isError) return <Trouble error={sheet.error} retry={() => sheet.refetch()} />;
  return <Rows key={name} sheet={sheet.data} />;
}

function Rows({ sheet }: { sheet: SheetView }) {
  const [search, setSearch] = useState('');
  const [editing, setEditing] = useState<string[]>();
  const { title, find, add } = NAMES[sheet.name] ?? { title: sheet.name, find: say('Find a row'), add: say('Add a row') };
  const words = search.toLowerCase().split(' ').filter(Boolean);
  const used = sheet.columns.findIndex((column) => column.name === IN_USE);
  const retired = (row: string[]) => used >= 0 && row[used] === 'no';
  const shown = sheet.rows
    .filter((row) => words.every((word) => row.join(' ').toLowerCase().includes(word)))
    .sort((one, other) => Number(retired(one)) - Number(retired(other)));
  const columns = sheet.columns.slice(0, 6);
  return (
    <>
      <p>
        <Link className="trail" to="/nursery">
          {say('The nursery')}
        </Link>
      </p>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1>{title}</h1>
        <input
          className="entry max-w-xs"
          type="search"
          aria-label={find}
          placeholder={say('Find…')}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        {sheet.name !== 'rates' && (
          <button className="act ml-auto" onClick={() => setEditing(sheet.columns.map(() => ''))}>
            {add}
          </button>
        )}
      </div>
      <ReadIn sheet={sheet} />
      {shown.length === 0 && <Nothing>{say('Nothing fits.')}</Nothing>}
      <div className="board relative overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
        <table className="w-full text-left text-sm">
          <thead className="text-pencil">
            <tr>
              {columns.map((column) => (
                <th key={column.name} className="p-2 font-normal">
                  {column.words}
                </th>
              ))}
              <th className="p-2">
                <span className="sr-only">{say('Change')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr key={row.slice(0, sheet.keys).join('/')} className={`border-t border-rule ${retired(row) ? 'text-pencil' : ''}`}>
                {columns.map((column, index) => (
                  <td key={column.name} className={`px-2 ${index === 0 ? 'font-semibold' : ''}`}>
                    {sheet.name === 'crops' && index === 1 ? (
                      <Link className="trail" to={`/crops/${row[0]}`}>
                        {row[index]}
                      </Link>
                    ) : (
                      brief(row[index])
                    )}
                    {index === 0 && retired(row) && <span className="font-normal">{say(', no longer used')}</span>}
                  </td>
                ))}
                <td className="text-right">
                  <button className="trail min-h-11 px-2" onClick={() => setEditing(row)} aria-label={say('Change {row}', { row: row[0] })}>
                    {say('Change')}
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <SheetChanges name={sheet.name} />
      <Sheet
        title={editing?.[0] ? say('Change {row}', { row: editing[0] }) : add}
        wide
        open={editing !== undefined}
        close={() => setEditing(undefined)}
      >
        {editing && <RowForm key={editing.join()} sheet={sheet} row={editing} done={() => setEditing(undefined)} />}
      </Sheet>
    </>
  );
}

/** A fitted figure with so many digits as mean something; the whole is in the row's form. */
function brief(value: string | undefined): string | undefined {
  return value && /^-?\d{1,4}\.\d{2,}$/.test(value) && Math.abs(Number(value)) >= 1 ? Number(value).toFixed(1) : value;
}

function RowForm({ sheet, row, done }: { sheet: SheetView; row: string[]; done: () => void }) {
  const [typed, setTyped] = useState(row);
  const known = row[0] !== '';
  const put = useChange(() =>
    answered(
      api.PUT('/api/sheets/{name}/rows', {
        params: { path: { name: sheet.name } },
        body: { entries: Object.fromEntries(sheet.columns.map((column, index) => [column.name, typed[index] ?? ''])) },
      }),
    ),
  );
  const placed = sheet.columns.some((column) => put.error?.problemAt(column.name));
  return (
    <form
      noValidate
      className="grid items-start gap-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate(undefined, { onSuccess: done });
      }}
    >
      {sheet.columns.map((column, index) => {
        const problem = put.error?.problemAt(column.name);
        const shared = {
          className: 'entry',
          value: typed[index] ?? '',
          'aria-invalid': problem ? (true as const) : undefined,
          onChange: (event: { target: { value: string } }) => setTyped(typed.map((value, at) => (at === index ? event.target.value : value))),
        };
        return (
          <Field key={column.name} name={column.words} problem={problem} {...(column.hint ? { hint: column.hint } : {})}>
            {column.choices.length > 0 ? (
              <Select {...shared}>
                <option value="">{say('Choose…')}</option>
                {column.choices.map((choice) => (
                  <option key={choice} value={choice}>
                    {choice}
                  </option>
                ))}
              </Select>
            ) : (
              <Input {...shared} autoComplete="off" readOnly={known && index < sheet.keys} />
            )}
          </Field>
        );
      })}
      <div className="flex flex-col gap-2 sm:col-span-2">
        <Refusal message={put.error && !placed ? put.error.message : undefined} />
        <button className="act act-main self-start" disabled={put.isPending}>
          {say('Save')}
        </button>
      </div>
    </form>
  );
}
