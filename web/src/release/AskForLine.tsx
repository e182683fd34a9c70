import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type GrowerRequest, type LineView } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

type Kind = 'ACCEPT' | 'LATER' | 'FEWER' | 'CANCEL' | 'AGAIN';

const CHOICES: { kind: Kind; words: string }[] = [
  { kind: 'LATER', words: say('Another day') },
  { kind: 'FEWER', words: say('Fewer') },
  { kind: 'CANCEL', words: say('None after all') },
  { kind: 'AGAIN', words: say('Again and again') },
];

const FIELDS = ['target', 'plants', 'times', 'weeksApart'];

/** What a grower asks for a line; nothing changes until the propagator says yes. */
export function AskForLine({ order, line, asked }: { order: number; line: LineView; asked: GrowerRequest[] }) {
  const [kind, setKind] = useState<Kind | undefined>();
  const [target, setTarget] = useState('');
  const [plants, setPlants] = useState('');
  const [times, setTimes] = useState('');
  const [weeksApart, setWeeksApart] = useState('2');
  const [words, setWords] = useState('');
  const ask = useNumberedChange(
    (entry: { kind: Kind; target?: string; plants?: number; times?: number; weeksApart?: number; words: string }, requestId) =>
      answered(
        api.POST('/api/orders/{number}/lines/{line}/requests', {
          params: { path: { number: order, line: line.line } },
          body: { requestId, ...entry },
        }),
      ),
  );
  const latest = asked[0];
  if (latest?.state === 'OPEN')
    return (
      <p className="border-l-4 border-ochre pl-3">{say('You asked: {what}. Your propagator has yet to answer.', { what: requestWords(latest) })}</p>
    );
  return (
    <div className="flex flex-col gap-2">
      {latest && <p className="text-sm text-pencil">{answerWords(latest)}</p>}
      <div className="flex flex-wrap gap-2" role="group" aria-label={say('Ask for a change of {variety}', { variety: line.asked.variety })}>
        {latest?.kind !== 'ACCEPT' && (
          <button type="button" className="act" disabled={ask.isPending} onClick={() => ask.mutate({ kind: 'ACCEPT', words: '' })}>
            {say('I take them')}
          </button>
        )}
        {CHOICES.map(({ kind: each, words: name }) => (
          <button
            key={each}
            type="button"
            className={`act ${kind === each ? 'act-main' : ''}`}
            aria-pressed={kind === each}
            onClick={() => setKind(kind === each ? undefined : each)}
          >
            {name}
          </button>
        ))}
      </div>
      {kind && (
        <form
          noValidate
          className="flex flex-col gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            ask.mutate(
              {
                kind,
                words,
                ...((kind === 'LATER' || kind === 'AGAIN') && target !== '' ? { target } : {}),
                ...(kind === 'FEWER' || kind === 'AGAIN' ? { plants: typedNumber(plants) ?? 0 } : {}),
                ...(kind === 'AGAIN' ? { times: typedNumber(times) ?? 0, weeksApart: typedNumber(weeksApart) ?? 0 } : {}),
              },
              { onSuccess: () => setKind(undefined) },
            );
          }}
        >
          {(kind === 'LATER' || kind === 'AGAIN') && (
            <Field name={kind === 'AGAIN' ? say('First on') : say('On which day')} problem={ask.error?.problemAt('target')}>
              <Input className="entry" type="date" value={target} onChange={(event) => setTarget(event.target.value)} />
            </Field>
          )}
          {(kind === 'FEWER' || kind === 'AGAIN') && (
            <Field name={kind === 'AGAIN' ? say('How many each time') : say('How many in all')} problem={ask.error?.problemAt('plants')}>
              <Input className="entry" inputMode="numeric" value={plants} onChange={(event) => setPlants(event.target.value)} />
            </Field>
          )}
          {kind === 'AGAIN' && (
            <div className="flex flex-wrap gap-3">
              <Field name={say('How many weeks apart')} problem={ask.error?.problemAt('weeksApart')}>
                <Input className="entry w-28" inputMode="numeric" value={weeksApart} onChange={(event) => setWeeksApart(event.target.value)} />
              </Field>
              <Field name={say('How often')} problem={ask.error?.problemAt('times')}>
                <Input className="entry w-28" inputMode="numeric" value={times} onChange={(event) => setTimes(event.target.value)} />
              </Field>
            </div>
          )}
          <Field name={say('A word with it')} hint={say('if you like')}>
            <Input className="entry" value={words} onChange={(event) => setWords(event.target.value)} />
          </Field>
          <button className="act act-main self-start" disabled={ask.isPending}>
            {say('Ask')}
          </button>
        </form>
      )}
      <Refusal message={ask.error && !FIELDS.some((field) => ask.error.problemAt(field)) ? ask.error.message : undefined} />
    </div>
  );
}

/** "on Thu 29 Apr instead" */
export function requestWords(request: GrowerRequest): string {
  switch (request.kind) {
    case 'LATER':
      return say('on {day} instead', { day: dayWords(request.target ?? '') });
    case 'FEWER':
      return say('{plants} of them instead of {ordered}', { plants: request.plants ?? 0, ordered: request.ordered ?? 0 });
    case 'CANCEL':
      return say('none of them after all');
    case 'AGAIN':
      return say('{plants} again {times, plural, one {once} other {# times}}, {weeks, plural, one {every week} other {every # weeks}} from {day}', {
        plants: request.plants ?? 0,
        times: request.times ?? 1,
        weeks: request.weeksApart ?? 1,
        day: dayWords(request.target ?? ''),
      });
    case 'WANT':
      return say('{plants} of what is free', { plants: request.plants ?? 0 });
    default:
      return say('takes them as they come');
  }
}

function answerWords(request: GrowerRequest): string {
  if (request.kind === 'ACCEPT') return say('You take them as they come.');
  const what = requestWords(request);
  const said = request.answer === '' ? '' : ` “${request.answer}”`;
  return (request.state === 'GRANTED' ? say('You asked: {what}. Yes.', { what }) : say('You asked: {what}. Sorry, no.', { what })) + said;
}
