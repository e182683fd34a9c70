import { Link } from 'react-router';
import { answered, api, type LessonsView } from '../api/client';
import { newRequestId, useChange, useLessons } from '../api/queries';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { Exchange } from './Exchange';
import { LessonScale } from './LessonScale';
import { inUseWords, lessonWords } from './lessonWords';

type Proposal = LessonsView['proposals'][number];
type Decision = LessonsView['decisions'][number];

/** What this nursery's own batches taught: proposed, taken or turned down, undone. */
export function LessonsPage({ mayDecide }: { mayDecide: boolean }) {
  const lessons = useLessons();
  if (lessons.isPending) return <Loading what={say('what was learnt')} />;
  if (lessons.isError) return <Trouble error={lessons.error} retry={() => lessons.refetch()} />;
  const { proposals, decisions, work } = lessons.data;
  const atWork = proposals.filter((each) => each.atWork);
  const proposed = proposals.filter((each) => !each.atWork);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1>{say('What was learnt')}</h1>
        <Link to="/looking-back" className="trail ml-auto flex min-h-11 items-center">
          {say('Looking back')}
        </Link>
      </div>
      <section aria-label={say('Proposed')} className="mb-6">
        <h2 className="mb-2">{say('Proposed')}</h2>
        {proposed.length === 0 ? (
          <Nothing>{say('Your batches say nothing that plans do not go by already. Two batches of a crop are the fewest that count.')}</Nothing>
        ) : (
          <>
            <p className="mb-2 text-pencil">
              {say('Each circle is a batch, the bar holds what they say together four times in five, the triangle stands at what plans go by.')}
            </p>
            <Lessons lessons={proposed} mayDecide={mayDecide} />
          </>
        )}
      </section>
      {atWork.length > 0 && (
        <section aria-label={say('At work already')} className="mb-6">
          <h2>{say('At work already')}</h2>
          <p className="mb-2 text-pencil">
            {say('Counted leaves move plans and forecasts at once, weighed trays the round of water, unless you decide otherwise.')}
          </p>
          <Lessons lessons={atWork} mayDecide={mayDecide} />
        </section>
      )}
      {work.length > 0 && (
        <section aria-label={say('Hands')} className="mb-6">
          <h2 className="mb-2">{say('Hands')}</h2>
          <ul className="grid gap-3 lg:grid-cols-2">
            {work.map((each) => (
              <Hands key={each.work} work={each} mayDecide={mayDecide} />
            ))}
          </ul>
        </section>
      )}
      {decisions.length > 0 && (
        <section aria-label={say('Decided')}>
          <h2 className="mb-2">{say('Decided')}</h2>
          <ul className="board divide-y divide-rule px-3">
            {decisions.map((decision) => (
              <Decided key={decision.id} decision={decision} mayDecide={mayDecide} />
            ))}
          </ul>
        </section>
      )}
      {mayDecide && <Exchange />}
    </>
  );
}

function Lessons({ lessons, mayDecide }: { lessons: Proposal[]; mayDecide: boolean }) {
  return (
    <ul className="grid gap-3 lg:grid-cols-2">
      {lessons.map((proposal) => (
        <Proposed key={`${proposal.matter} ${proposal.crop} ${proposal.beside} ${proposal.number}`} proposal={proposal} mayDecide={mayDecide} />
      ))}
    </ul>
  );
}

function Proposed({ proposal, mayDecide }: { proposal: Proposal; mayDecide: boolean }) {
  const { matter, crop, beside, number, value, inUse, batches, atWork, low, high } = proposal;
  const decide = useChange((taken: boolean) =>
    answered(api.POST('/api/lessons/decisions', { body: { requestId: newRequestId(), matter, crop, beside, number, taken } })),
  );
  return (
    <li className="board flex flex-col gap-2 p-3">
      <p className="text-lg">{lessonWords(proposal)}</p>
      {matter === 'SURVIVAL' ? (
        <p>{say('Between {low} and {high} of 100, four times in five.', { low: figures(100 * low), high: figures(100 * high) })}</p>
      ) : matter === 'DRYING' ? (
        <p>{say('Between {low} and {high} times, four times in five.', { low: figures(low, 2), high: figures(high, 2) })}</p>
      ) : (
        <LessonScale proposal={proposal} />
      )}
      <p className="text-pencil">
        {say('{batches, plural, one {# batch} other {# batches}}.', { batches })}{' '}
        {atWork
          ? matter === 'DRYING'
            ? say('The round of water goes by it.')
            : say('Plans go by it.')
          : say('Plans go by: {inUse}.', { inUse: inUseWords(matter, inUse) })}
      </p>
      {decide.error && <p role="alert">{decide.error.message}</p>}
      {mayDecide && (
        <p className="mt-auto flex flex-wrap gap-2">
          <button type="button" className="act act-main" disabled={decide.isPending} onClick={() => decide.mutate(true)}>
            {atWork
              ? matter === 'DRYING'
                ? say('Hold it to {value}', { value: inUseWords(matter, value) })
                : say('Hold plans to {value}', { value: inUseWords(matter, value) })
              : say('Go by {value}', { value: inUseWords(matter, value) })}
          </button>
          <button type="button" className="act" disabled={decide.isPending} onClick={() => decide.mutate(false)}>
            {atWork ? (matter === 'DRYING' ? say('Go by weather and leaves instead') : say('Go by the library instead')) : say('Leave it')}
          </button>
        </p>
      )}
    </li>
  );
}

/** How long sowing and potting take by the times of entries, beside what costs reckon with. */
function Hands({ work, mayDecide }: { work: LessonsView['work'][number]; mayDecide: boolean }) {
  const reckon = useChange(() => answered(api.PUT('/api/lessons/work/{work}', { params: { path: { work: work.work } } })));
  const { seconds, low, high, entries } = work.seen;
  const parts = { seconds: figures(seconds), low: figures(low), high: figures(high), entries };
  return (
    <li className="board flex flex-col gap-2 p-3">
      <p className="text-lg">
        {work.work === 'SOWING'
          ? say('Sowing a cell takes {seconds} seconds, from {low} to {high} in the middle half of {entries} entries.', parts)
          : say('Potting a plant takes {seconds} seconds, from {low} to {high} in the middle half of {entries} entries.', parts)}
      </p>
      <p className="text-pencil">{say('Costs reckon with {seconds}.', { seconds: figures(work.inUse) })}</p>
      <Refusal message={reckon.error?.message} />
      {mayDecide && Math.abs(seconds - work.inUse) >= 0.5 && (
        <button type="button" className="act act-main self-start" disabled={reckon.isPending} onClick={() => reckon.mutate()}>
          {say('Reckon with {seconds} seconds', { seconds: figures(seconds) })}
        </button>
      )}
    </li>
  );
}

function Decided({ decision, mayDecide }: { decision: Decision; mayDecide: boolean }) {
  const undo = useChange(() =>
    answered(api.POST('/api/lessons/decisions/{id}/undo', { params: { path: { id: decision.id } }, body: { requestId: newRequestId() } })),
  );
  const { taken, matter, was, batches, by, decidedOn, undoneOn } = decision;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <div className={undoneOn ? 'text-pencil line-through' : ''}>
        <p>
          {taken ? say('Taken:') : say('Turned down:')} {lessonWords(decision)}
        </p>
        <p className="text-sm text-pencil">
          {say('{by}, {day}, by {batches, plural, one {# batch} other {# batches}}; before it plans went by: {was}.', {
            by,
            day: dayWords(decidedOn),
            batches,
            was: inUseWords(matter, was),
          })}
        </p>
      </div>
      {undoneOn ? (
        <span className="ml-auto text-sm">{say('undone {day}', { day: dayWords(undoneOn) })}</span>
      ) : (
        mayDecide && (
          <button type="button" className="act ml-auto" disabled={undo.isPending} onClick={() => undo.mutate()}>
            {say('Undo')}
          </button>
        )
      )}
      {undo.error && <p role="alert">{undo.error.message}</p>}
    </li>
  );
}
