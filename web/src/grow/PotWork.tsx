import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView } from '../api/client';
import { answered, api } from '../api/client';
import { newRequestId, useChange, useChoices } from '../api/queries';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Caution, Refusal } from '../look/States';
import { counted } from '../look/words';

/** Potting on: so many plants of a tray into larger containers, whose trays are numbered as they are filled. */
export function PotWork({ batch, alive }: { batch: BatchView; alive: BatchView['living'] }) {
  const [open, setOpen] = useState(false);
  const choices = useChoices();
  const [requestId, setRequestId] = useState(newRequestId);
  const [tray, setTray] = useState('');
  const [container, setContainer] = useState('');
  const [plants, setPlants] = useState('');
  const from = alive.find((each) => String(each.tray) === (tray || String(alive[0]?.tray)));
  const known = choices.data?.containers ?? [];
  const present = known.find((each) => each.code === from?.container);
  const larger = known
    .filter((each) => each.kind !== 'OPEN' && each.cellVolume > (present?.cellVolume ?? 0))
    .sort((one, other) => one.cellVolume - other.cellVolume);
  const at = batch.containers.indexOf(from?.container ?? '');
  const next = at < 0 ? undefined : batch.containers[at + 1];
  const code = container || (next ?? larger[0]?.code ?? '');
  const pot = useChange(() =>
    answered(api.POST('/api/batches/{number}/pottings', {
      params: { path: { number: batch.summary.number } },
      body: { requestId, tray: from?.tray ?? 0, container: code, plants: Number(plants || from?.plants) },
    })),
  );
  const into = larger.find((each) => each.code === code);
  if (!from) return null;
  const count = Number(plants || from.plants);
  return (
    <>
      <button className="act" onClick={() => { setRequestId(newRequestId()); setOpen(true); }}>Pot on</button>
      <Sheet title="Pot on into larger containers" open={open} close={() => setOpen(false)}>
        <div className="flex flex-col gap-3">
          {batch.summary.stage === 'EMERGING' && <p>Prick out by the leaf, never by the stem.</p>}
          <Field name="From tray">
            <Select className="entry" value={tray} onChange={(event) => setTray(event.target.value)}>
              {alive.map((each) => <option key={each.tray} value={each.tray}>T{each.tray}, {counted(each.plants, 'plant')}</option>)}
            </Select>
          </Field>
          <Field name="Into" problem={pot.error?.problemAt('container')}>
            <Select className="entry" value={code} onChange={(event) => setContainer(event.target.value)}>
              {larger.map((each) => <option key={each.code} value={each.code}>{each.name}</option>)}
            </Select>
          </Field>
          <Field name="Plants" problem={pot.error?.problemAt('plants')}>
            <Input className="entry" inputMode="numeric" value={plants || from.plants} onChange={(event) => setPlants(event.target.value)} />
          </Field>
          <p className="text-sm text-pencil">About a thumb of new mix all round and below; plant in the middle, firm lightly, leave a watering gap. One variety at a time, and a label on each.</p>
          <Caution>Dust of dry mix: damp it down and wear a mask. Bagged compost: open it away from the face, wear gloves, wash hands.</Caution>
          <Refusal message={pot.error && !pot.error.problemAt('plants') && !pot.error.problemAt('container') ? pot.error.message : undefined} />
          <button className="act act-main" disabled={pot.isPending || !into} onClick={() => pot.mutate(undefined, { onSuccess: () => setOpen(false) })}>
            Pot {counted(count, 'plant')} into {counted(into ? Math.ceil(count / into.cells) : 0, 'tray')}
          </button>
        </div>
      </Sheet>
    </>
  );
}
