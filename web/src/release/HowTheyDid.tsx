import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type GrowerLoss, type OrderView } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { sendPicture } from '../api/sendPicture';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { typedNumber } from '../words/quantity';
import { nameWords } from '../words/reasons';
import { say } from '../words/say';

const REASONS = ['SLUGS', 'DRIED_OUT', 'FROST', 'MICE', 'OTHER_PESTS', 'DAMPING_OFF', 'TOO_WEAK', 'ACCIDENT'] as const;
type Reason = (typeof REASONS)[number];

/** After planting: how did they do? Losses with a reason and a photograph. */
export function HowTheyDid({ order, losses }: { order: OrderView; losses: GrowerLoss[] }) {
  const lines = order.lines.filter((line) => line.released > 0);
  const notes = order.releases.filter((release) => release.plants > 0);
  const [line, setLine] = useState(lines[0]?.line ?? 1);
  const [note, setNote] = useState(notes[notes.length - 1]?.number ?? 0);
  const [plants, setPlants] = useState('');
  const [reason, setReason] = useState<Reason>('SLUGS');
  const [words, setWords] = useState('');
  const [picture, setPicture] = useState<File | undefined>();
  const [pictureFailed, setPictureFailed] = useState(false);
  const tell = useNumberedChange((entry: { line: number; plants: number; reason: Reason; words: string }, requestId) =>
    answered(api.POST('/api/releases/{number}/losses', { params: { path: { number: note } }, body: { requestId, ...entry } })),
  );
  if (notes.length === 0) return null;
  return (
    <details>
      <summary className="trail min-h-11 content-center">{say('How did they do?')}</summary>
      <ul className="text-sm">
        {losses.map((loss) => (
          <li key={loss.number}>
            {say('{day}: {plants} {variety} lost, {reason}{replaced, plural, =0 {} other {; # given again}}', {
              day: dayWords(loss.reportedOn),
              plants: loss.plants,
              variety: loss.variety,
              reason: nameWords(loss.reason).toLowerCase(),
              replaced: loss.replaced,
            })}
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-2 flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          setPictureFailed(false);
          tell.mutate(
            { line, plants: typedNumber(plants) ?? 0, reason, words },
            {
              onSuccess: (told) => {
                if (picture) sendPicture(`/api/losses/${told.number}/photograph`, picture).catch(() => setPictureFailed(true));
                setPlants('');
                setWords('');
                setPicture(undefined);
              },
            },
          );
        }}
      >
        {lines.length > 1 && (
          <Field name={say('Which')}>
            <Select className="entry" value={line} onChange={(event) => setLine(Number(event.target.value))}>
              {lines.map((each) => (
                <option key={each.line} value={each.line}>
                  {each.asked.variety}
                </option>
              ))}
            </Select>
          </Field>
        )}
        {notes.length > 1 && (
          <Field name={say('Came with')}>
            <Select className="entry" value={note} onChange={(event) => setNote(Number(event.target.value))}>
              {notes.map((each) => (
                <option key={each.number} value={each.number}>
                  {say('note {note}, {day}', { note: each.number, day: dayWords(each.day) })}
                </option>
              ))}
            </Select>
          </Field>
        )}
        <Field name={say('Plants lost')} problem={tell.error?.problemAt('plants')}>
          <Input className="entry w-28" inputMode="numeric" value={plants} onChange={(event) => setPlants(event.target.value)} />
        </Field>
        <Field name={say('Why')}>
          <Select className="entry" value={reason} onChange={(event) => setReason(event.target.value as Reason)}>
            {REASONS.map((each) => (
              <option key={each} value={each}>
                {nameWords(each)}
              </option>
            ))}
          </Select>
        </Field>
        <Field name={say('In your words')} hint={say('if you like')}>
          <Input className="entry" value={words} onChange={(event) => setWords(event.target.value)} />
        </Field>
        <Field name={say('Photograph')} hint={say('if you like')}>
          <input className="entry" type="file" accept="image/*" onChange={(event) => setPicture(event.target.files?.[0])} />
        </Field>
        <Refusal message={tell.error && !tell.error.problemAt('plants') ? tell.error.message : undefined} />
        {pictureFailed && (
          <Refusal message={say('The loss is told; its photograph could not be sent. Tell it again with a smaller one, or show it when you come.')} />
        )}
        {tell.isSuccess && !pictureFailed && (
          <p role="status" className="text-sm">
            {say('Told. Your propagator sees it.')}
          </p>
        )}
        <button className="act self-start" disabled={tell.isPending || plants.trim() === ''}>
          {say('Tell it')}
        </button>
      </form>
    </details>
  );
}
