import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView } from '../api/client';
import { useChoices } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { figures } from '../words/quantity';
import { programmeWords } from './programmeWords';

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
  const [programme, setProgramme] = useState(batch.hardening.programme);
  const [placeId, setPlaceId] = useState(String(batch.places.hardening.id));
  const start = useBenchChange<{ placeId: number; programme: string }>(`/api/batches/${number}/hardening-starts`, () =>
    say('beginning of hardening of batch {number}', { number }),
  );
  return (
    <>
      <button className="act" onClick={() => setOpen(true)}>
        {say('Begin hardening off')}
      </button>
      <Sheet title={say('Harden off batch {number}', { number })} open={open} close={() => setOpen(false)}>
        <div className="flex flex-col gap-3">
          <p className="text-pencil">
            {say('A dull mild day is the best first day. About {leavesNow} true leaves now.', { leavesNow: figures(batch.growth.leavesNow, 1) })}
          </p>
          <Field name={say('Programme')} problem={start.error?.problemAt('programme')}>
            <Select className="entry" value={programme} onChange={(event) => setProgramme(event.target.value)}>
              {choices?.programmes.map((each) => (
                <option key={each.programme} value={each.programme}>
                  {programmeWords(each.programme, each.name)},{' '}
                  {each.days === 0 ? say('straight out') : say('{days, plural, one {# day} other {# days}}', { days: each.days })}
                </option>
              ))}
            </Select>
          </Field>
          {programme === 'NONE' && (
            <p className="border-l-4 border-ochre pl-3 text-sm">
              {say(
                'Straight out, plants stand still for about a week, and soft ones scorch or blow over. Choose a dull, mild, still day, and hold fleece ready.',
              )}
            </p>
          )}
          <Field name={say('Where')} problem={start.error?.problemAt('placeId')}>
            <Select className="entry" value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
              {choices?.places
                .filter((place) => place.forHardeningOff)
                .map((place) => (
                  <option key={place.id} value={place.id}>
                    {place.name}
                  </option>
                ))}
            </Select>
          </Field>
          <Refusal
            message={start.error && !start.error.problemAt('placeId') && !start.error.problemAt('programme') ? start.error.message : undefined}
          />
          <button
            className="act act-main"
            disabled={start.isPending}
            onClick={() => start.mutate({ placeId: Number(placeId), programme }, { onSuccess: () => setOpen(false) })}
          >
            {say('Begin hardening')}
          </button>
        </div>
      </Sheet>
    </>
  );
}

function Days({ batch }: { batch: BatchView }) {
  const { number } = batch.summary;
  const done = batch.hardening.days >= batch.hardening.programmeDays;
  const [hours, setHours] = useState(String(batch.hardening.hoursNext));
  const day = useBenchChange<{ hours: number }>(`/api/batches/${number}/hardening-days`, (entry) =>
    say('{hours, plural, one {# hour} other {# hours}} outside for batch {number}', { hours: entry.hours, number }),
  );
  const end = useBenchChange<Record<string, never>>(`/api/batches/${number}/hardening-ends`, () =>
    say('end of hardening of batch {number}', { number }),
  );
  return (
    <div className="board flex flex-col gap-3 p-4">
      <h2>
        {say('Hardening: {hardeningDays} of {days, plural, one {# day} other {# days}}', {
          hardeningDays: batch.hardening.days,
          days: batch.hardening.programmeDays,
        })}
      </h2>
      <div className="flex items-end gap-3">
        <Field name={say('Hours outside today')}>
          <Input className="entry" inputMode="numeric" value={hours} onChange={(event) => setHours(event.target.value)} />
        </Field>
        <button className={`act ${done ? '' : 'act-main'}`} disabled={day.isPending} onClick={() => day.mutate({ hours: Number(hours) })}>
          {say('Note the day')}
        </button>
      </div>
      <Refusal message={day.error?.message ?? end.error?.message} />
      <button className={`act ${done ? 'act-main' : ''}`} disabled={end.isPending} onClick={() => end.mutate({})}>
        {done ? say('End hardening: ready') : say('End hardening early')}
      </button>
    </div>
  );
}
