import { Input } from '@headlessui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type GrowerLoss, type GrowerRequest } from '../api/client';
import { useGrowerLosses, useGrowerRequests, useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { nameWords } from '../words/reasons';
import { say } from '../words/say';
import { requestWords } from './AskForLine';
import { Messages } from './Messages';
import { PlantHealth } from './PlantHealth';
import { Prices } from './Prices';

/** What growers ask and tell, what was written to them, and what plants cost. */
export function GrowersPage({ today }: { today: string }) {
  const requests = useGrowerRequests();
  const losses = useGrowerLosses();
  if (requests.isPending || losses.isPending) return <Loading what={say('what growers ask')} />;
  if (requests.isError) return <Trouble error={requests.error} retry={() => requests.refetch()} />;
  if (losses.isError) return <Trouble error={losses.error} retry={() => losses.refetch()} />;
  const open = requests.data.filter((each) => each.state === 'OPEN');
  const answeredOnes = requests.data.filter((each) => each.state !== 'OPEN');
  return (
    <>
      <h1 className="mb-3">{say('Growers')}</h1>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <section aria-label={say('They ask')}>
          <h2 className="mb-2">{say('They ask')}</h2>
          {open.length === 0 ? (
            <Nothing>{say('Nothing waits for an answer.')}</Nothing>
          ) : (
            <ul className="flex flex-col gap-3">
              {open.map((request) => (
                <ToAnswer key={request.number} request={request} />
              ))}
            </ul>
          )}
          {answeredOnes.length > 0 && (
            <details className="mt-3">
              <summary className="trail">{say('Answered')}</summary>
              <ul className="text-sm">
                {answeredOnes.map((request) => (
                  <li key={request.number} className="border-t border-rule py-1">
                    {say('{grower}, {variety}: {what}; {answer, select, yes {yes} other {no}}', {
                      grower: request.grower,
                      variety: request.variety,
                      what: requestWords(request),
                      answer: request.state === 'GRANTED' ? 'yes' : 'no',
                    })}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
        <section aria-label={say('They lost')}>
          <h2 className="mb-2">{say('They lost')}</h2>
          {losses.data.length === 0 ? (
            <Nothing>{say('No losses were told.')}</Nothing>
          ) : (
            <ul className="flex flex-col gap-3">
              {losses.data.map((loss) => (
                <Lost key={loss.number} loss={loss} />
              ))}
            </ul>
          )}
        </section>
      </div>
      <Messages />
      <Prices today={today} />
      <PlantHealth />
    </>
  );
}

function ToAnswer({ request }: { request: GrowerRequest }) {
  const [words, setWords] = useState('');
  const answer = useNumberedChange((entry: { granted: boolean; words: string }, requestId) =>
    answered(api.POST('/api/requests/{number}/answers', { params: { path: { number: request.number } }, body: { requestId, ...entry } })),
  );
  return (
    <li className="board flex flex-col gap-2 p-3">
      <p>
        <b>{request.grower}</b> {say('asks: {variety}, {what}', { variety: request.variety, what: requestWords(request) })}
      </p>
      {request.words !== '' && <p>“{request.words}”</p>}
      <p className="text-sm text-pencil">
        {request.orderNumber != null ? (
          <Link className="trail inline-flex min-h-11 items-center" to={`/orders/${request.orderNumber}`}>
            {say('Order {order}, line {line}, wanted {day}', {
              order: request.orderNumber,
              line: request.line ?? 1,
              day: dayWords(request.wantedOn ?? request.askedOn),
            })}
          </Link>
        ) : (
          <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${request.batch}`}>
            {say('Batch {batch}: a yes takes an order for their first site', { batch: request.batch ?? 0 })}
          </Link>
        )}
      </p>
      <Field name={say('A word with the answer')} hint={say('goes to them by message')}>
        <Input className="entry" value={words} onChange={(event) => setWords(event.target.value)} />
      </Field>
      <Refusal message={answer.error?.message} />
      <div className="flex gap-2">
        <button className="act act-main" disabled={answer.isPending} onClick={() => answer.mutate({ granted: true, words })}>
          {say('Yes')}
        </button>
        <button className="act" disabled={answer.isPending} onClick={() => answer.mutate({ granted: false, words })}>
          {say('No')}
        </button>
      </div>
    </li>
  );
}

function Lost({ loss }: { loss: GrowerLoss }) {
  const replace = useNumberedChange((entry: { plants: number }, requestId) =>
    answered(api.POST('/api/losses/{number}/replacements', { params: { path: { number: loss.number } }, body: { requestId, ...entry } })),
  );
  const left = loss.plants - loss.replaced;
  return (
    <li className="board flex flex-col gap-2 p-3">
      <p>
        <b>{loss.grower}</b>{' '}
        {say('lost {plants} {variety}: {reason}', { plants: loss.plants, variety: loss.variety, reason: nameWords(loss.reason).toLowerCase() })}
      </p>
      {loss.words !== '' && <p>“{loss.words}”</p>}
      {loss.pictured && (
        <img className="max-h-60 self-start" src={`/api/losses/${loss.number}/photograph`} alt={say('What {grower} saw', { grower: loss.grower })} />
      )}
      <p className="text-sm text-pencil">
        <Link className="trail inline-flex min-h-11 items-center" to={`/trace/notes/${loss.note}`}>
          {say('note {note}, {day}', { note: loss.note, day: dayWords(loss.releasedOn) })}
        </Link>{' '}
        {loss.replaced > 0 && say('{replaced} given again', { replaced: loss.replaced })}
      </p>
      <Refusal message={replace.error?.message} />
      {left > 0 && (
        <button className="act self-start" disabled={replace.isPending} onClick={() => replace.mutate({ plants: left })}>
          {say('Give {left} again from what is kept', { left })}
        </button>
      )}
    </li>
  );
}
