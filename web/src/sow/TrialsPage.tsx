import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type PracticeTrial } from '../api/client';
import { useNumberedChange, useSession } from '../api/queries';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { TrialChart } from './TrialChart';
import { TrialForm } from './TrialForm';
import { PRACTICES, signOf } from './trialWords';

/** Ways of doing one thing side by side: how they lie, what came of each, and whether that can be told from chance. */
export function TrialsPage() {
  const trials = useQuery({ queryKey: ['trials'], queryFn: () => answered(api.GET('/api/trials')) });
  const mayLayOut = useSession().data?.role === 'PROPAGATOR';
  if (trials.isPending) return <Loading what={say('the trials')} />;
  if (!trials.data) return <Trouble error={trials.error} retry={() => trials.refetch()} />;
  return (
    <>
      <h1 className="mb-3">{say('Trials')}</h1>
      {mayLayOut && <TrialForm />}
      {trials.data.length === 0 && (
        <Nothing>{say('None yet. Sow one lot in two ways, laid out by lot over rows or trays, and see which did better.')}</Nothing>
      )}
      <ul className="flex flex-col gap-4">
        {trials.data.map((trial) => (
          <li key={trial.number} className="board p-4">
            <Trial trial={trial} />
          </li>
        ))}
      </ul>
    </>
  );
}

function Trial({ trial }: { trial: PracticeTrial }) {
  return (
    <>
      <h2>{trial.name}</h2>
      <p className="mb-2 text-sm text-pencil">
        {say('{practice}, laid out {day}; {matters} % would matter', {
          practice: PRACTICES[trial.practice],
          day: dayWords(trial.begunOn),
          matters: Math.round(trial.matters * 100),
        })}
      </p>
      <div className="grid gap-4 lg:grid-cols-2">
        <TrialChart trial={trial} respect="emerged" title={say('Something came up, of cells sown')} />
        <TrialChart trial={trial} respect="grown" title={say('Grew to a plant, of cells sown')} />
        <TrialChart trial={trial} respect="graded" title={say('Graded as good, of plants looked at')} />
        <TrialChart trial={trial} respect="reported" title={say('Doing well with the grower, of plants planted')} />
      </div>
      <details className="mt-3">
        <summary className="trail min-h-11 content-center">{say('How it lies')}</summary>
        <Layout trial={trial} />
      </details>
      <details>
        <summary className="trail min-h-11 content-center">{say('Note what was graded, or what a grower told')}</summary>
        <Finding trial={trial} />
      </details>
    </>
  );
}

/** Which cells of which tray each way got, to be read beside the tray. */
function Layout({ trial }: { trial: PracticeTrial }) {
  const rows = trial.ways
    .flatMap((way) => way.cells.map((cells) => ({ ...cells, way })))
    .sort((one, other) => one.tray - other.tray || one.firstCell - other.firstCell);
  const trays = [...new Set(rows.map((row) => row.tray))];
  return (
    <>
      <ul className="mb-2 flex flex-wrap gap-x-5">
        {trial.ways.map((way) => (
          <li key={way.position}>
            <strong>{signOf(way.position)}</strong> {way.name}
          </li>
        ))}
      </ul>
      <table className="text-sm">
        <tbody>
          {trays.map((tray) => (
            <tr key={tray} className="border-t border-rule">
              <th scope="row" className="pr-4 text-left align-top">
                <Link className="trail inline-flex min-h-11 items-center" to={`/trays/${tray}`}>
                  T{tray}
                </Link>
              </th>
              <td className="py-2">
                {rows
                  .filter((row) => row.tray === tray)
                  .map((row) => say('{sign} cells {first}–{last}', { sign: signOf(row.way.position), first: row.firstCell, last: row.lastCell }))
                  .join(' · ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Finding({ trial }: { trial: PracticeTrial }) {
  const [way, setWay] = useState(1);
  const [toldBy, setToldBy] = useState<'GRADE' | 'GROWER'>('GRADE');
  const [well, setWell] = useState('');
  const [of, setOf] = useState('');
  const note = useNumberedChange((entry: { toldBy: 'GRADE' | 'GROWER'; well: number; of: number }, requestId) =>
    answered(
      api.POST('/api/trials/{number}/ways/{position}/findings', {
        params: { path: { number: trial.number, position: way } },
        body: { requestId, ...entry },
      }),
    ),
  );
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        note.mutate(
          { toldBy, well: Number(well), of: Number(of) },
          {
            onSuccess: () => {
              setWell('');
              setOf('');
            },
          },
        );
      }}
    >
      <label className="flex flex-col text-sm font-semibold">
        {say('Way')}
        <select className="entry" value={way} onChange={(event) => setWay(Number(event.target.value))}>
          {trial.ways.map((each) => (
            <option key={each.position} value={each.position}>
              {each.name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col text-sm font-semibold">
        {say('Told by')}
        <select className="entry" value={toldBy} onChange={(event) => setToldBy(event.target.value as 'GRADE')}>
          <option value="GRADE">{say('our own grading')}</option>
          <option value="GROWER">{say('the grower')}</option>
        </select>
      </label>
      <label className="flex w-28 flex-col text-sm font-semibold">
        {say('Did well')}
        <input className="entry" inputMode="numeric" value={well} onChange={(event) => setWell(event.target.value)} />
      </label>
      <label className="flex w-28 flex-col text-sm font-semibold">
        {say('Of plants')}
        <input className="entry" inputMode="numeric" value={of} onChange={(event) => setOf(event.target.value)} />
      </label>
      <button className="act act-main" disabled={note.isPending || well === '' || of === ''}>
        {say('Note it')}
      </button>
      <Refusal message={note.error?.message} />
    </form>
  );
}
