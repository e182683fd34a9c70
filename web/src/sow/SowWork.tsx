import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, Choices, TrayView } from '../api/client';
import { useChoices, useStock } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Caution, Loading, Refusal, Trouble } from '../look/States';
import { cellLook } from '../tray/cellLook';
import { runBetween } from '../tray/draft';
import { TrayGrid } from '../tray/TrayGrid';
import { coverWords } from './coverWords';
import { fittingMix } from '../media/fittingMix';
import { MixChoice } from '../media/MixChoice';
import { LabelLink } from './LabelLink';
import { say } from '../words/say';

/** Recording a sowing on the drawing of the tray: labels first, then the run of cells. */
export function SowWork({ tray, batch }: { tray: TrayView; batch: BatchView }) {
  const choices = useChoices();
  if (choices.isPending) return <Loading what={say('seed lots')} />;
  if (!choices.data) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return <SowForm tray={tray} batch={batch} choices={choices.data} />;
}

function SowForm({ tray, batch, choices }: { tray: TrayView; batch: BatchView; choices: Choices }) {
  const number = batch.summary.number;
  const planned = batch.layout.toSow.find((run) => run.tray === tray.number) ?? batch.layout.runs.find((run) => run.tray === tray.number);
  const waits = batch.layout.toSow.some((run) => run.tray === tray.number);
  const [run, setRun] = useState({ first: planned?.firstCell ?? 1, last: planned?.lastCell ?? tray.cells.length });
  const [anchor, setAnchor] = useState<number>();
  const [lotId, setLotId] = useState(String(batch.from.lotId));
  const [seedsPerCell, setSeedsPerCell] = useState(String(batch.plan.seedsPerCell));
  const [placeId, setPlaceId] = useState(String(batch.places.now ?? batch.places.emergence.id));
  const blocks = choices.containers.some((container) => container.name === tray.container && container.kind === 'BLOCKS');
  const mixes = useStock().data?.mixes ?? [];
  const [mix, setMix] = useState<string>();
  const [medium, setMedium] = useState('');
  const filledFrom = mix ?? String(fittingMix(mixes, blocks ? 'BLOCKS' : 'SOWING')?.number ?? '');
  const entry = {
    tray: tray.number,
    firstCell: run.first,
    lastCell: run.last,
    seedsPerCell: Number(seedsPerCell),
    lotId: Number(lotId),
    ...(filledFrom === '' ? { medium } : { mix: Number(filledFrom) }),
    placeId: Number(placeId),
  };
  const sow = useBenchChange<typeof entry>(`/api/batches/${number}/sowings`, (sown) =>
    say('sowing of cells {firstCell} to {lastCell} in {code}', { firstCell: sown.firstCell, lastCell: sown.lastCell, code: tray.code }),
  );
  const leave = useBenchChange<{ tray: number }>(`/api/batches/${number}/left-unsown`, () => say('{code} left unsown', { code: tray.code }));
  const variety = choices.lots.find((lot) => lot.id === batch.from.lotId)?.varietyId;
  const cells = run.last - run.first + 1;
  const problem = (field: string) => sow.error?.problemAt(field);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        sow.mutate(entry);
      }}
    >
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <LabelLink batches={[number]} words={say('Print labels (PDF)')} />
        <span className="text-sm text-pencil">
          {say('Labels before sowing. {seedDepth}', { seedDepth: coverWords(batch.from.depth, batch.from.needsLight) })}
        </span>
      </div>
      <div className="mb-3">
        <Caution>
          {say('Dust of dry mix: damp it down and wear a mask; open compost bags away from the face. {caution}', { caution: batch.caution })}
        </Caution>
      </div>
      <TrayGrid
        tray={tray}
        fingerSweeps={false}
        draw={(cell) => {
          const inside = cell.number >= run.first && cell.number <= run.last;
          const taken = cell.batch !== undefined && cell.batch !== number && cell.condition !== undefined;
          const look = cellLook(cell, number, 0, false);
          return inside && !taken
            ? { text: '·', words: say('will be sown'), look: 'bg-board text-ink outline-3 -outline-offset-3 outline-dusk', disabled: false }
            : { ...look, disabled: taken };
        }}
        work={{
          tap: (cell) => {
            setRun(anchor === undefined ? { first: cell.number, last: cell.number } : runBetween(anchor, cell.number));
            setAnchor(anchor === undefined ? cell.number : undefined);
          },
          sweep: (swept) => setRun(runBetween(swept[0]!.number, swept.at(-1)!.number)),
        }}
      />
      <p className="mt-2 text-sm text-pencil">{say('Tap the first and the last cell, or sweep from one to the other.')}</p>
      <div className="mt-3 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Field name={say('From cell')} problem={problem('firstCell') ?? problem('run')}>
          <Input
            className="entry"
            inputMode="numeric"
            value={run.first}
            onChange={(event) => setRun({ ...run, first: Number(event.target.value) || 0 })}
          />
        </Field>
        <Field name={say('to cell')} problem={problem('lastCell')}>
          <Input
            className="entry"
            inputMode="numeric"
            value={run.last}
            onChange={(event) => setRun({ ...run, last: Number(event.target.value) || 0 })}
          />
        </Field>
        <Field name={say('Seeds a cell')} problem={problem('seedsPerCell')}>
          <Input className="entry" inputMode="numeric" value={seedsPerCell} onChange={(event) => setSeedsPerCell(event.target.value)} />
        </Field>
        <Field name={say('Seed lot')} problem={problem('lotId')}>
          <Select className="entry" value={lotId} onChange={(event) => setLotId(event.target.value)}>
            {choices.lots
              .filter((lot) => lot.varietyId === variety)
              .map((lot) => (
                <option key={lot.id} value={lot.id}>
                  {say('{code}, {seedsLeft} left', { code: lot.code, seedsLeft: lot.seedsLeft })}
                </option>
              ))}
          </Select>
        </Field>
        <div className="sm:col-span-2">
          <MixChoice mixes={mixes} value={filledFrom} set={setMix} problem={problem('mix')} />
          {filledFrom === '' && (
            <Field name={say('Filled with')} problem={problem('medium')}>
              <Input className="entry" value={medium} onChange={(event) => setMedium(event.target.value)} />
            </Field>
          )}
        </div>
        <div className="sm:col-span-2">
          <Field name={say('Put in')} problem={problem('placeId')}>
            <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
              {choices.places
                .filter((place) => place.forEmergence || place.forGrowingOn)
                .map((place) => (
                  <option key={place.id} value={place.id}>
                    {place.name}
                  </option>
                ))}
            </Select>
          </Field>
        </div>
      </div>
      <div className="mt-3">
        <Refusal message={sow.error && sow.error.problems.length === 0 ? sow.error.message : undefined} />
      </div>
      <div className="sticky bottom-0 bg-wall py-3">
        <button className="act act-main w-full sm:w-auto" disabled={sow.isPending || cells < 1}>
          {say('Sow {cells, plural, one {# cell} other {# cells}}', { cells: Math.max(cells, 0) })}
        </button>
        {waits && batch.summary.balance.sown > 0 && (
          <button type="button" className="act ml-3" disabled={leave.isPending} onClick={() => leave.mutate({ tray: tray.number })}>
            {say('Leave the rest of {code} unsown', { code: tray.code })}
          </button>
        )}
        <Refusal message={leave.error?.message} />
      </div>
    </form>
  );
}
