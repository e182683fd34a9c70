import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, Choices } from '../api/client';
import { useChoices } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { counted, nameWords } from '../look/words';

type Programme = Choices['programmes'][number]['programme'];

/** Beginning hardening, noting its days, ending it. */
export function HardeningWork({ batch, today }: { batch: BatchView; today: string }) {
  const { stage } = batch.summary;
  if (stage === 'GROWING_ON' || stage === 'EMERGING') return <Begin batch={batch} />;
  if (stage === 'HARDENING_OFF') return <Days key={today} batch={batch} />;
  return null;
}

function Begin({ batch }: { batch: BatchView }) {
  const { number } = batch.summary;
  const choices = useChoices().data;
  const [open, setOpen] = useState(false);
  const [programme, setProgramme] = useState(batch.hardeningProgramme as Programme);
  const [placeId, setPlaceId] = useState(String(batch.hardeningPlaceId));
  const start = useBenchChange<{ placeId: number; programme: Programme }>(
    `/api/batches/${number}/hardening-starts`, () => `beginning of hardening of batch ${number}`,
  );
  return (
    <>
      <button className="act" onClick={() => setOpen(true)}>Begin hardening off</button>
      <Sheet title={`Harden off batch ${number}`} open={open} close={() => setOpen(false)}>
        <div className="flex flex-col gap-3">
          <p className="text-pencil">A dull mild day is the best first day. About {batch.leavesNow.toFixed(1)} true leaves now.</p>
          <Field name="Programme" problem={start.error?.problemAt('programme')}>
            <Select className="entry" value={programme} onChange={(event) => setProgramme(event.target.value as Programme)}>
              {choices?.programmes.map((each) => (
                <option key={each.programme} value={each.programme}>
                  {nameWords(each.programme)}, {each.days === 0 ? 'straight out' : counted(each.days, 'day')}
                </option>
              ))}
            </Select>
          </Field>
          <Field name="Where" problem={start.error?.problemAt('placeId')}>
            <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
              {choices?.places.filter((place) => place.forHardeningOff).map((place) => (
                <option key={place.id} value={place.id}>{place.name}</option>
              ))}
            </Select>
          </Field>
          <Refusal message={start.error && !start.error.problemAt('placeId') ? start.error.message : undefined} />
          <button className="act act-main" disabled={start.isPending} onClick={() => start.mutate({ placeId: Number(placeId), programme }, { onSuccess: () => setOpen(false) })}>
            Begin hardening
          </button>
        </div>
      </Sheet>
    </>
  );
}

function Days({ batch }: { batch: BatchView }) {
  const { number } = batch.summary;
  const done = batch.hardeningDays >= batch.programmeDays;
  const [hours, setHours] = useState(String(Math.min(24, 2 + 2 * batch.hardeningDays)));
  const day = useBenchChange<{ hours: number }>(
    `/api/batches/${number}/hardening-days`, (entry) => `${counted(entry.hours, 'hour')} outside for batch ${number}`,
  );
  const end = useBenchChange<Record<string, never>>(`/api/batches/${number}/hardening-ends`, () => `end of hardening of batch ${number}`);
  return (
    <div className="board flex flex-col gap-3 p-4">
      <h2>Hardening: {batch.hardeningDays} of {counted(batch.programmeDays, 'day')}</h2>
      <div className="flex items-end gap-3">
        <Field name="Hours outside today">
          <Input className="entry" inputMode="numeric" value={hours} onChange={(event) => setHours(event.target.value)} />
        </Field>
        <button className={`act ${done ? '' : 'act-main'}`} disabled={day.isPending} onClick={() => day.mutate({ hours: Number(hours) })}>
          Note the day
        </button>
      </div>
      <Refusal message={day.error?.message ?? end.error?.message} />
      <button className={`act ${done ? 'act-main' : ''}`} disabled={end.isPending} onClick={() => end.mutate({})}>
        {done ? 'End hardening: ready' : 'End hardening early'}
      </button>
    </div>
  );
}
