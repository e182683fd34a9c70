import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { OrderWithPicks } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange, useSession } from '../api/queries';
import { announce, backToPage } from '../look/announce';
import { Field } from '../look/Field';
import { Caution, Refusal } from '../look/States';
import { shortDay } from '../words/days';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { NOT_LOOKED, SampleTicks, SiteToday, type Sample } from './SampleTicks';

/** Letting plants of one or more lines go together, with one note. */
export function ReleaseForm({ order }: { order: OrderWithPicks }) {
  const ready = order.order.lines.filter((line) => line.ready + line.readyMixed > 0);
  const [typed, setTyped] = useState<Record<number, string>>(() => Object.fromEntries(ready.map((line) => [line.line, String(line.ready)])));
  const seed = order.order.lines.filter((line) => line.inPlace && line.inPlace.note == null);
  const [seedOf, setSeedOf] = useState(() => seed.filter((line) => line.inPlace?.due).map((line) => line.line));
  const [samples, setSamples] = useState<Record<number, Sample>>({});
  const [typedMixed, setTypedMixed] = useState<Record<number, string>>({});
  const today = useSession().data?.today ?? '';
  const picked = (line: number) => order.picks.find((each) => each.line === line);
  const figure = (text: string | undefined) => ((text ?? '').trim() === '' ? 0 : Number(text));
  const going = ready
    .map((line) => ({ line: line.line, plants: figure(typed[line.line]), mixed: figure(typedMixed[line.line]), sample: looked(samples[line.line]) }))
    .filter((parting) => parting.plants !== 0 || parting.mixed !== 0);
  const plants = going.reduce((sum, parting) => sum + parting.plants + parting.mixed, 0);
  const whole = going.length + seedOf.length > 0 && going.every((parting) => Number.isInteger(parting.plants) && Number.isInteger(parting.mixed));
  const release = useNumberedChange((entry: { lines: typeof going; seedOf: number[] }, requestId) =>
    answered(api.POST('/api/releases', { body: { requestId, order: order.order.number, ...entry } })),
  );
  const wrong = release.error?.problems[0]?.message;
  return (
    <form
      className="board flex flex-col gap-3 p-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        release.mutate(
          { lines: going, seedOf },
          {
            onSuccess: () => {
              announce(say('Released: {what}. The note is with the order.', { what: whatGoes(plants, seedOf.length) }));
              backToPage();
            },
          },
        );
      }}
    >
      <h2>{say('Release')}</h2>
      {ready.map((line) => (
        <div key={line.line}>
          <Field
            name={ready.length === 1 ? say('Plants') : say('Plants, {variety}', { variety: line.asked.variety })}
            problem={ready.length === 1 ? wrong : undefined}
          >
            <Input
              className="entry"
              inputMode="numeric"
              value={typed[line.line] ?? ''}
              aria-invalid={release.error ? true : undefined}
              onChange={(event) => setTyped({ ...typed, [line.line]: event.target.value })}
            />
          </Field>
          <ul className="mt-1 text-sm text-pencil">
            {picked(line.line)?.picks.map((pick) => (
              <li key={`${pick.tray} ${pick.batch} ${pick.plants}`}>
                {say('{either, select, true {all} other {}} {plants} from {tray}, batch {batch}', {
                  either: String(pick.wholeTray),
                  plants: pick.plants,
                  tray: pick.tray,
                  batch: pick.batch,
                })}
              </li>
            ))}
          </ul>
          {picked(line.line) && (
            <>
              <SiteToday line={picked(line.line)!} site={order.order.site} today={today} />
              <SampleTicks
                line={picked(line.line)!}
                stage={say('{from} to {to} leaves', { from: line.asked.leavesFrom, to: line.asked.leavesTo })}
                sample={samples[line.line] ?? NOT_LOOKED}
                change={(sample) => setSamples({ ...samples, [line.line]: sample })}
                problem={release.error?.problems.find((each) => each.field.includes('sample'))?.message}
              />
            </>
          )}
          {line.readyMixed > 0 && (
            <div className="mt-2 border-l-4 border-ochre bg-ochre-wash p-3">
              <Field
                name={say('Besides, as mixed')}
                hint={say(
                  '{mixed, plural, one {# plant is} other {# plants are}} ready whose name is in doubt. Ask the grower first; the note says it.',
                  { mixed: line.readyMixed },
                )}
              >
                <Input
                  className="entry"
                  inputMode="numeric"
                  placeholder="0"
                  value={typedMixed[line.line] ?? ''}
                  onChange={(event) => setTypedMixed({ ...typedMixed, [line.line]: event.target.value })}
                />
              </Field>
            </div>
          )}
        </div>
      ))}
      {seed.map((line) => (
        <label key={line.line} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={seedOf.includes(line.line)}
            onChange={(event) => setSeedOf(event.target.checked ? [...seedOf, line.line] : seedOf.filter((each) => each !== line.line))}
          />
          {say('the seed of {variety}, to be sown from {from}', {
            variety: line.asked.variety,
            from: shortDay(line.inPlace?.sowFrom ?? line.asked.target),
          })}
        </label>
      ))}
      {ready.length > 0 && <Caution>{say('Full trays are heavy; stack them with two people.')}</Caution>}
      {release.error && (ready.length > 1 || !wrong) && <Refusal message={wrong ?? release.error.message} />}
      <button className="act act-main" disabled={release.isPending || !whole}>
        {say('Release {what}{more}', {
          what: whole ? whatGoes(plants, seedOf.length) : say('plants'),
          more: whole && going.length > 1 ? say(' of {going} lines', { going: going.length }) : '',
        })}
      </button>
    </form>
  );
}

/** Nobody looked where nothing is ticked or typed. */
const looked = (sample: Sample | undefined) =>
  !sample || (sample.plants.trim() === '' && sample.held.length === 0) ? undefined : { plants: typedNumber(sample.plants) ?? 0, held: sample.held };

function whatGoes(plants: number, lots: number): string {
  const words = say('{plants, plural, one {# plant} other {# plants}}', { plants });
  if (lots === 0) return words;
  return plants === 0 ? say('the seed') : say('{words} and the seed', { words });
}
