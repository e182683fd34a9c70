import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { SheetView } from '../api/client';
import { answered, api, sendFile } from '../api/client';
import { useChange, useSheet } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { Sheet } from '../look/Sheet';
import { counted } from '../look/words';

const NAMES: Record<string, { title: string; one: string }> = {
  crops: { title: 'Crops', one: 'crop' },
  containers: { title: 'Containers', one: 'container' },
  varieties: { title: 'Varieties', one: 'variety' },
  places: { title: 'Places', one: 'place' },
  sites: { title: "Growers' sites", one: 'site' },
  lots: { title: 'Seed lots', one: 'lot' },
  rates: { title: 'What things cost', one: 'cost' },
};

/** Something of which the nursery has many, row by row: changed here, read in from a file, taken out as one. */
export function SheetPage() {
  const name = useParams().name ?? '';
  const sheet = useSheet(name);
  if (sheet.isPending) return <Loading what="the sheet" />;
  if (sheet.isError) return <Trouble error={sheet.error} retry={() => sheet.refetch()} />;
  return <Rows key={name} sheet={sheet.data} />;
}

function Rows({ sheet }: { sheet: SheetView }) {
  const [search, setSearch] = useState('');
  const [editing, setEditing] = useState<string[]>();
  const { title, one } = NAMES[sheet.name] ?? { title: sheet.name, one: 'row' };
  const words = search.toLowerCase().split(' ').filter(Boolean);
  const shown = sheet.rows.filter((row) => words.every((word) => row.join(' ').toLowerCase().includes(word)));
  const columns = sheet.columns.slice(0, 6);
  return (
    <>
      <p><Link className="trail" to="/nursery">The nursery</Link></p>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1>{title}</h1>
        <input className="entry max-w-xs" type="search" aria-label={`Find a ${one}`} placeholder="Find…" value={search} onChange={(event) => setSearch(event.target.value)} />
        {sheet.name !== 'rates' && <button className="act ml-auto" onClick={() => setEditing(sheet.columns.map(() => ''))}>Add a {one}</button>}
      </div>
      <Files sheet={sheet} />
      {shown.length === 0 && <Nothing>Nothing fits.</Nothing>}
      <div className="board relative overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
        <table className="w-full text-left text-sm">
          <thead className="text-pencil">
            <tr>{columns.map((column) => <th key={column.name} className="p-2 font-normal">{column.words}</th>)}<th className="p-2"><span className="sr-only">Change</span></th></tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr key={row.slice(0, sheet.keys).join('/')} className="border-t border-rule">
                {columns.map((column, index) => (
                  <td key={column.name} className={`px-2 ${index === 0 ? 'font-semibold' : ''}`}>
                    {sheet.name === 'crops' && index === 1 ? <Link className="trail" to={`/crops/${row[0]}`}>{row[index]}</Link> : brief(row[index])}
                  </td>
                ))}
                <td className="text-right"><button className="trail min-h-11 px-2" onClick={() => setEditing(row)} aria-label={`Change ${row[0]}`}>Change</button></td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Sheet title={editing?.[0] ? `Change ${editing[0]}` : `Add a ${one}`} wide open={editing !== undefined} close={() => setEditing(undefined)}>
        {editing && <RowForm key={editing.join()} sheet={sheet} row={editing} done={() => setEditing(undefined)} />}
      </Sheet>
    </>
  );
}

/** A fitted figure with so many digits as mean something; the whole is in the row's form. */
function brief(value: string | undefined): string | undefined {
  return value && /^-?\d{1,4}\.\d{2,}$/.test(value) && Math.abs(Number(value)) >= 1 ? Number(value).toFixed(1) : value;
}

/** Out as a file and in from one; a file with faults changes nothing, and each is told by its line. */
function Files({ sheet }: { sheet: SheetView }) {
  const send = useChange((file: File) => sendFile<{ rows: number }>(`/api/sheets/${sheet.name}/file?file=${encodeURIComponent(file.name)}`, file));
  return (
    <div className="mb-3 text-sm">
      <p className="flex flex-wrap items-center gap-x-5">
        <a className="trail flex min-h-11 items-center" href={`/api/sheets/${sheet.name}/file`} download>Take out as a file</a>
        <label className="trail flex min-h-11 cursor-pointer items-center focus-within:outline-3">
          Read a file in
          <input
            type="file" className="sr-only" accept=".csv,text/csv"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) send.mutate(file);
              event.target.value = '';
            }}
          />
        </label>
        <span className="text-pencil">comma-separated, with the same columns; rows of the same {sheet.columns.slice(0, sheet.keys).map((column) => column.words.toLowerCase()).join(' and ')} are put in place of those here</span>
      </p>
      {send.data && <p role="status">{counted(send.data.rows, 'row')} read in.</p>}
      {send.error && (
        <div role="alert" className="border-l-4 border-brick bg-brick-wash p-3 text-brick">
          <p className="font-semibold">Nothing was read in.</p>
          <ul>{(send.error.problems.length > 0 ? send.error.problems : [{ field: '', message: send.error.message }]).map((problem) => <li key={problem.message}>{problem.message}</li>)}</ul>
        </div>
      )}
    </div>
  );
}

function RowForm({ sheet, row, done }: { sheet: SheetView; row: string[]; done: () => void }) {
  const [typed, setTyped] = useState(row);
  const known = row[0] !== '';
  const put = useChange(() =>
    answered(api.PUT('/api/sheets/{name}/rows', {
      params: { path: { name: sheet.name } },
      body: { entries: Object.fromEntries(sheet.columns.map((column, index) => [column.name, typed[index] ?? ''])) },
    })),
  );
  const placed = sheet.columns.some((column) => put.error?.problemAt(column.name));
  return (
    <form
      noValidate className="grid items-start gap-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate(undefined, { onSuccess: done });
      }}
    >
      {sheet.columns.map((column, index) => {
        const problem = put.error?.problemAt(column.name);
        const shared = {
          className: 'entry', value: typed[index] ?? '', 'aria-invalid': problem ? (true as const) : undefined,
          onChange: (event: { target: { value: string } }) => setTyped(typed.map((value, at) => (at === index ? event.target.value : value))),
        };
        return (
          <Field key={column.name} name={column.words} problem={problem} {...(column.hint ? { hint: column.hint } : {})}>
            {column.choices.length > 0 ? (
              <Select {...shared}>
                <option value="">Choose…</option>
                {column.choices.map((choice) => <option key={choice} value={choice}>{choice}</option>)}
              </Select>
            ) : <Input {...shared} autoComplete="off" readOnly={known && index < sheet.keys} />}
          </Field>
        );
      })}
      <div className="flex flex-col gap-2 sm:col-span-2">
        <Refusal message={put.error && !placed ? put.error.message : undefined} />
        <button className="act act-main self-start" disabled={put.isPending}>Save</button>
      </div>
    </form>
  );
}
