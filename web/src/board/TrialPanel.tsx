import { Link } from 'react-router';
import type { BoardBatch, BoardView, Choices, Edit } from '../api/client';
import { dayWords, shortDay, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import type { Trial } from './useTrial';
import { say } from '../words/say';

/** The batch in hand: what the change that is tried would do, and where else it could stand. */
export function TrialPanel({
  season,
  batch,
  trial,
  containers,
  mayChange,
  problem,
  saving,
  ask,
  take,
  forget,
}: {
  season: BoardView;
  batch: BoardBatch | undefined;
  trial: Trial | undefined;
  containers: Choices['containers'];
  mayChange: boolean;
  problem: string | undefined;
  saving: boolean;
  ask: (edit: Edit) => void;
  take: () => void;
  forget: () => void;
}) {
  if (!batch) {
    return (
      <p className="mt-3 text-sm text-pencil">
        {mayChange
          ? say('Drag a sowing along its row, or take a batch by its name and drop it on a place below. Choose one to see more.')
          : say('Choose a batch to see more.')}
      </p>
    );
  }
  const then = trial?.view?.batch;
  return (
    <section
      aria-label={say('Batch {number}', { number: batch.number })}
      className="board mt-3 grid gap-4 p-3 sm:sticky sm:bottom-2 sm:z-20 sm:max-h-[36dvh] sm:overflow-y-auto sm:shadow-lg lg:grid-cols-[1fr_1.4fr]"
      tabIndex={0}
    >
      <div className="text-sm" aria-live="polite">
        <h2>
          <Link className="trail" to={`/batches/${batch.number}`}>
            {batch.number} {batch.variety}
          </Link>
          {trial && <span className="font-normal text-pencil"> {say('if so:')}</span>}
        </h2>
        <dl className="grid grid-cols-[5.500rem_1fr] gap-x-2">
          <Then name={beginning(batch)} before={dayWords(batch.dates.sowDay)} then={then && dayWords(then.dates.sowDay)} />
          {batch.dates.pottings.length > 0 && (
            <Then name={say('Pot on')} before={spreadWords(batch.dates.pottings[0])} then={then && spreadWords(then.dates.pottings[0])} />
          )}
          <Then name={say('Ready')} before={spreadWords(batch.dates.ready)} then={then && spreadWords(then.dates.ready)} />
          <Then name={say('In time')} before={chanceWords(batch.chance)} then={then && chanceWords(then.chance)} />
          <Then name={say('In')} before={batch.container} then={then?.container} />
          <dt className="text-pencil">{say('Wanted')}</dt>
          <dd>
            {dayWords(batch.dates.target)},{' '}
            {batch.promises.length === 0
              ? say('for nobody yet')
              : batch.promises.map((promise) => (
                  <Link key={promise.order} className="trail mr-2" to={`/orders/${promise.order}`}>
                    {say('order {order}', { order: promise.order })}
                  </Link>
                ))}
          </dd>
        </dl>
        {!batch.sown && batch.plan.window?.open && (
          <p className="mt-1 text-pencil">
            {say('May be sown {earliest} to {latest}{more}{more2}{more3}{more4}; later it would be late more than one year in ten.', {
              earliest: shortDay(batch.plan.window.earliest),
              latest: shortDay(batch.plan.window.latest),
              more: batch.plan.window.earliestBecause === 'LEAVES' ? say('; earlier it would have too many leaves') : '',
              more2: batch.plan.window.earliestBecause === 'DAYS_IN_CELL' ? say('; earlier its roots would circle') : '',
              more3: batch.plan.window.earliestBecause === 'LIGHT' ? say('; earlier it would stretch for want of light') : '',
              more4: batch.plan.window.earliestBecause === 'SEED_AFTER_WINTER' ? say('; earlier it would run to seed after winter') : '',
            })}
          </p>
        )}
        {trial?.view &&
          trial.view.overflows
            .filter((each) => each.batches.includes(batch.number))
            .map((each) => (
              <p key={`${each.placeId} ${each.from}`} className="mt-1 text-ochre">
                {say('{place} would lack {places, plural, one {# tray place} other {# tray places}} {from} – {to}.', {
                  place: each.place,
                  places: Math.ceil(each.over),
                  from: shortDay(each.from),
                  to: shortDay(each.to),
                })}
              </p>
            ))}
        {problem && (
          <p role="alert" className="mt-1 font-semibold text-brick">
            {problem}
          </p>
        )}
        {trial && mayChange && (
          <p className="mt-2 flex gap-2">
            <button className="act act-main" disabled={saving || !trial.view} onClick={take}>
              {say('Change it so')}
            </button>
            <button className="act" onClick={forget}>
              {say('Leave it')}
            </button>
          </p>
        )}
      </div>
      {mayChange && <Elsewhere season={season} batch={batch} containers={containers} ask={ask} trial={trial} />}
    </section>
  );
}

function beginning({ boughtIn, sown }: BoardBatch): string {
  if (boughtIn) return sown ? say('Came') : say('To arrive');
  return sown ? say('Sown') : say('Sow');
}

function Then({ name, before, then }: { name: string; before: string; then: string | undefined }) {
  return (
    <>
      <dt className="text-pencil">{name}</dt>
      <dd>
        {then && then !== before ? (
          <>
            <strong>{then}</strong> <span className="text-pencil">{say('instead of {before}', { before })}</span>
          </>
        ) : (
          before
        )}
      </dd>
    </>
  );
}

/** Places and containers to drop a batch on, or to press. */
function Elsewhere({
  season,
  batch,
  containers,
  ask,
  trial,
}: {
  season: BoardView;
  batch: BoardBatch;
  containers: Choices['containers'];
  ask: (edit: Edit) => void;
  trial: Trial | undefined;
}) {
  const target = (edit: Omit<Edit, 'batch'>, name: string, here: boolean) => {
    const tried = trial && JSON.stringify({ batch: batch.number, ...edit }) === JSON.stringify(trial.edit);
    return (
      <button
        key={name}
        type="button"
        data-drop={JSON.stringify(edit)}
        aria-pressed={here}
        disabled={here}
        className={`min-h-11 rounded-[3px] border px-2 py-1 text-sm sm:min-h-8 sm:py-0.5 ${here ? 'border-dusk bg-wash font-semibold' : tried ? 'border-2 border-dusk' : 'border-rule'}`}
        onClick={() => ask({ batch: batch.number, ...edit })}
      >
        {name}
      </button>
    );
  };
  const growing = batch.stage !== 'HARDENING_OFF' && batch.stage !== 'READY';
  return (
    <div className="flex flex-col gap-1.5">
      {!batch.sown && (
        <Row name={say('Comes up in')}>
          {season.places
            .filter((place) => place.forEmergence)
            .map((place) => target({ emergencePlaceId: place.id }, place.name, place.id === batch.plan.emergencePlaceId))}
        </Row>
      )}
      {growing && (
        <Row name={say('Grows on in')}>
          {season.places
            .filter((place) => place.forGrowingOn)
            .map((place) => target({ growingPlaceId: place.id }, place.name, place.id === batch.plan.growingPlaceId))}
        </Row>
      )}
      {growing && (
        <Row name={say('Hardens in')}>
          {season.places
            .filter((place) => place.forHardeningOff)
            .map((place) => target({ hardeningPlaceId: place.id }, place.name, place.id === batch.plan.hardeningPlaceId))}
        </Row>
      )}
      {batch.dates.pottings.length > 0 && (
        <Row name={say('Potted on')}>
          {target({ pottedLate: false }, 'At the usual time', !batch.plan.pottedLate)}
          {target({ pottedLate: true }, 'As late as roots allow', batch.plan.pottedLate)}
        </Row>
      )}
      {!batch.sown && (
        <Row name={say('Container')}>
          {containers
            .filter((container) => container.kind !== 'OPEN')
            .map((container) => target({ container: container.code }, container.name, container.name === batch.container))}
        </Row>
      )}
    </div>
  );
}

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div role="group" aria-label={name} className="sm:grid sm:grid-cols-[6rem_1fr]">
      <p className="text-xs text-pencil sm:pt-2">{name}</p>
      <div className="flex flex-wrap gap-1">{children}</div>
    </div>
  );
}
