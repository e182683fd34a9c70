import { Input } from '@headlessui/react';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { SowingListView, TrayView } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange, useSowingList, useTray } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { typedNumber } from '../words/quantity';
import { companyWords } from '../words/reasons';
import { say } from '../words/say';
import { cellLook } from '../tray/cellLook';
import { TrayGrid } from '../tray/TrayGrid';

type Sowing = SowingListView['groups'][number]['sowings'][number];

/** Cells that a sowing takes, wherever they are now. */
const cellsOf = (sowing: Sowing): number => sowing.runs.reduce((sum, run) => sum + run.lastCell - run.firstCell + 1, 0);

/** What stands in the cells of a sowing. */
const letter = (index: number): string => String.fromCharCode('A'.charCodeAt(0) + index);

/** Before anything is sown: which of the day's sowings share this tray, swept over its cells; and a tray cut to fit. */
export function LayOutPage({ today }: { today: string }) {
  const number = Number(useParams().number);
  const [search] = useSearchParams();
  const day = search.get('day') ?? today;
  const tray = useTray(number);
  const list = useSowingList(day);
  if (tray.isPending || list.isPending) return <Loading what={say('the tray')} />;
  if (!tray.data) return <Trouble error={tray.error} retry={() => tray.refetch()} />;
  if (!list.data) return <Trouble error={list.error} retry={() => list.refetch()} />;
  const sowings = list.data.groups.filter((group) => group.containerName === tray.data.container).flatMap((group) => group.sowings);
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h1 className="grow">{say('Lay out tray {code}', { code: tray.data.code })}</h1>
        <Link className="trail flex min-h-11 items-center" to={`/sow?day=${day}`}>
          {say('Back to the sowing')}
        </Link>
      </div>
      {sowings.length === 0 ? (
        <Nothing>{say('Nothing that is sown on this day goes into trays of this kind.')}</Nothing>
      ) : (
        <Sharing tray={tray.data} sowings={sowings} />
      )}
      {list.data.company
        .filter((each) => each.tray === number)
        .map((each) => (
          <p key={companyWords(each.against)} className="mt-3 border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
            {companyWords(each.against)}
          </p>
        ))}
      <Cutting tray={tray.data} />
    </>
  );
}

function Sharing({ tray, sowings }: { tray: TrayView; sowings: Sowing[] }) {
  const [chosen, setChosen] = useState(sowings[0]!.batch);
  const [run, setRun] = useState<{ first: number; last: number }>();
  const sowing = sowings.find((each) => each.batch === chosen) ?? sowings[0]!;
  const layOut = useNumberedChange((entry: { first: number; last: number }, requestId) =>
    answered(
      api.POST('/api/batches/{number}/layouts', {
        params: { path: { number: sowing.batch } },
        body: { requestId, tray: tray.number, firstCell: entry.first, lastCell: entry.last },
      }),
    ),
  );
  const cells = run ? run.last - run.first + 1 : 0;
  return (
    <>
      <div role="group" aria-label={say('What is laid out')} className="mb-2 flex flex-wrap gap-2">
        {sowings.map((each, index) => (
          <button
            key={each.batch}
            className={`act ${each.batch === sowing.batch ? 'act-main' : ''}`}
            aria-pressed={each.batch === sowing.batch}
            onClick={() => {
              setChosen(each.batch);
              setRun(undefined);
            }}
          >
            {letter(index)} {say('{variety}, {cells, plural, one {# cell} other {# cells}}', { variety: each.variety, cells: cellsOf(each) })}
          </button>
        ))}
      </div>
      <TrayGrid
        tray={tray}
        fingerSweeps
        draw={(cell) => {
          const inside = run !== undefined && cell.number >= run.first && cell.number <= run.last;
          const mine = cell.batch === undefined || (cell.batch === sowing.batch && cell.condition === undefined);
          if (inside)
            return { text: '·', words: say('will be sown'), look: 'bg-board text-ink outline-3 -outline-offset-3 outline-dusk', disabled: false };
          const index = sowings.findIndex((each) => each.batch === cell.batch && cell.condition === undefined);
          const look = cellLook(cell, sowing.batch, 0, false);
          return { ...look, text: index >= 0 ? letter(index) : look.text, disabled: !mine };
        }}
        work={{
          tap: (cell) => setRun({ first: cell.number, last: Math.min(tray.cells.length, cell.number + cellsOf(sowing) - 1) }),
          sweep: (swept) => setRun({ first: Math.min(...swept.map((cell) => cell.number)), last: Math.max(...swept.map((cell) => cell.number)) }),
        }}
      />
      <p className="mt-2 text-sm text-pencil">
        {say('Tap the first cell, or sweep over all of them. What does not go here stays in the tray it was planned for.')}
      </p>
      <Refusal message={layOut.error?.message} />
      <button
        className="act act-main mt-2"
        disabled={!run || layOut.isPending}
        onClick={() => run && layOut.mutate(run, { onSuccess: () => setRun(undefined) })}
      >
        {run
          ? say('Set {cells, plural, one {# cell} other {# cells}} aside for {variety}', { cells, variety: sowing.variety })
          : say('Choose its cells')}
      </button>
    </>
  );
}

/** What is cut off is a tray of its own, and is used again where it fits. */
function Cutting({ tray }: { tray: TrayView }) {
  const used = tray.cells.filter((cell) => cell.batch !== undefined).at(-1)?.number ?? 0;
  const rowsUsed = Math.max(1, Math.ceil(used / tray.columns));
  const [rows, setRows] = useState(String(rowsUsed));
  const [off, setOff] = useState<number>();
  const cut = useNumberedChange((left: number, requestId) =>
    answered(api.POST('/api/trays/{number}/cuts', { params: { path: { number: tray.number } }, body: { requestId, rows: left } })),
  );
  return (
    <section aria-label={say('Cut to fit')} className="mt-6 max-w-lg border-t border-rule pt-3">
      <h2>{say('Cut to fit')}</h2>
      <p className="text-sm text-pencil">
        {say(
          '{rows, plural, one {# row} other {# rows}} of {all} are in use. What is cut off is a tray of its own, and is proposed where few cells are needed.',
          { rows: rowsUsed, all: tray.rows },
        )}
      </p>
      {rowsUsed < tray.rows ? (
        <form
          noValidate
          className="mt-2 flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            cut.mutate(typedNumber(rows) ?? 0, { onSuccess: (answer) => setOff(answer.number) });
          }}
        >
          <div className="w-32">
            <Field name={say('Rows that are left')} problem={cut.error?.problemAt('rows')}>
              <Input className="entry" inputMode="numeric" value={rows} onChange={(event) => setRows(event.target.value)} />
            </Field>
          </div>
          <button className="act" disabled={cut.isPending}>
            {say('Cut the tray')}
          </button>
        </form>
      ) : (
        <p>{say('Every row of it is in use: there is nothing to cut off.')}</p>
      )}
      <Refusal message={cut.error && cut.error.problems.length === 0 ? cut.error.message : undefined} />
      {off !== undefined && (
        <p role="status" className="mt-2">
          {say('What was cut off is tray T{off}: write its label.', { off })}
        </p>
      )}
    </section>
  );
}
