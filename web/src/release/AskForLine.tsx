import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type GrowerRequest, type LineView } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';

type Kind = 'ACCEPT' | 'LATER' | 'FEWER' | 'CANCEL';

/** What a grower asks for a line; nothing changes until the propagator says yes. */
export function AskForLine({ order, line, asked }: { order: number; line: LineView; asked: GrowerRequest[] }) {
  const [kind, setKind] = useState<Kind | undefined>();
  const [target, setTarget] = useState('');
  const [plants, setPlants] = useState('');
  const [words, setWords] = useState('');
  const ask = useNumberedChange((entry: { kind: Kind; target?: string; plants?: number; words: string }, requestId) =>
    answered(
      api.POST('/api/orders/{number}/lines/{line}/requests', { params: { path: { number: order, line: line.line } }, body: { requestId, ...entry } }),
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
        {(['LATER', 'FEWER', 'CANCEL'] as const).map((each) => (
          <button
            key={each}
            type="button"
            className={`act ${kind === each ? 'act-main' : ''}`}
            aria-pressed={kind === each}
            onClick={() => setKind(kind === each ? undefined : each)}
          >
            {each === 'LATER' ? say('Another day') : each === 'FEWER' ? say('Fewer') : say('None after all')}
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
              { kind, words, ...(kind === 'LATER' ? { target } : {}), ...(kind === 'FEWER' ? { plants: typedNumber(plants) ?? 0 } : {}) },
              { onSuccess: () => setKind(undefined) },
            );
          }}
        >
          {kind === 'LATER' && (
            <Field name={say('On which day')} problem={ask.error?.problemAt('target')}>
              <Input className="entry" type="date" value={target} onChange={(event) => setTarget(event.target.value)} />
            </Field>
          )}
          {kind === 'FEWER' && (
            <Field name={say('How many in all')} problem={ask.error?.problemAt('plants')}>
              <Input className="entry" inputMode="numeric" value={plants} onChange={(event) => setPlants(event.target.value)} />
            </Field>
          )}
          <Field name={say('A word with it')} hint={say('if you like')}>
            <Input className="entry" value={words} onChange={(event) => setWords(event.target.value)} />
          </Field>
          <button className="act act-main self-start" disabled={ask.isPending}>
            {say('Ask')}
          </button>
        </form>
      )}
      <Refusal message={ask.error && !ask.error.problemAt('target') && !ask.error.problemAt('plants') ? ask.error.message : undefined} />
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
