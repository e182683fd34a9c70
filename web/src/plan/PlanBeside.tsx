import type { OfferView, PlanView } from '../api/client';
import { dayWords, shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { Obstacles } from './Obstacles';
import { Outdoors } from './Outdoors';
import { Winter } from './Winter';
import { offerWords, provisoWords } from './planWords';
import { PathChart, type PathRow } from './PathChart';
import { say } from '../words/say';
import { figures } from '../words/quantity';

/** The plan beside the order that is being typed. */
export function PlanBeside({
  plan,
  today,
  container,
  choose,
  takeOffer,
}: {
  plan: PlanView;
  today: string;
  container: string;
  choose: (seedsPerCell: number) => void;
  takeOffer?: (offer: OfferView) => void;
}) {
  return (
    <div className="flex flex-col gap-4">
      <Answer plan={plan} container={container} />
      <Obstacles plan={plan} today={today} />
      {plan.promise.conditions
        .filter((condition) => condition.kind !== 'InTheWay')
        .map((condition) => (
          <p key={JSON.stringify(condition)} role="status" className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
            {provisoWords(condition, plan, today)}
          </p>
        ))}
      {takeOffer && plan.promise.offers.length > 0 && (
        <section aria-label={say('What would be a yes')}>
          <h3 className="mb-1">{say('What would be a yes')}</h3>
          <ul className="flex flex-wrap gap-2">
            {plan.promise.offers.map((offer) => (
              <li key={offerWords(offer)}>
                {offer.change === 'PROTECTION' ? (
                  <span className="act border-dashed">{offerWords(offer)}</span>
                ) : (
                  <button type="button" className="act" onClick={() => takeOffer(offer)}>
                    {offerWords(offer)}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {plan.promise.possible && <PathChart rows={rows(plan)} target={plan.dates.target} today={today} />}
      {plan.winter && <Winter winter={plan.winter} stand={plan.places.hardening} />}
      <Outdoors plan={plan} />
      {plan.sowing.options.length > 0 && <Options plan={plan} choose={choose} />}
      {plan.promise.possible && (
        <p className="text-sm text-pencil">
          {say(
            'Seed lies in the {emergencePlace}, grows on in the {growingPlace}, {what}; it takes {places, plural, one {# tray place} other {# tray places}}.{more}',
            {
              emergencePlace: plan.places.emergence.toLowerCase(),
              growingPlace: plan.places.growingOn.toLowerCase(),
              what: plan.winter
                ? say('stands over winter on the {hardeningPlace}', { hardeningPlace: plan.places.hardening.toLowerCase() })
                : plan.places.hardeningDays > 0
                  ? say('hardens {hardeningDays} days on the {hardeningPlace}', {
                      hardeningDays: plan.places.hardeningDays,
                      hardeningPlace: plan.places.hardening.toLowerCase(),
                    })
                  : say('goes straight out to the {hardeningPlace}', { hardeningPlace: plan.places.hardening.toLowerCase() }),
              places: plan.sowing.slots,
              more: plan.sowing.lot
                ? say(' Lot {code} of {supplier}: {germination} % expected up, {seedsLeft} seeds left.', {
                    code: plan.sowing.lot.code,
                    supplier: plan.sowing.lot.supplier,
                    germination: Math.round(plan.sowing.lot.germination * 100),
                    seedsLeft: figures(plan.sowing.lot.seedsLeft),
                  })
                : '',
            },
          )}
        </p>
      )}
    </div>
  );
}

function Answer({ plan, container }: { plan: PlanView; container: string }) {
  if (!plan.promise.possible || !plan.dates.window || !plan.sowing.chosen) {
    return <h2 className="text-brick">{say('Not for this date')}</h2>;
  }
  return (
    <div>
      <h2>{say('Sow {cells} cells on {best}', { cells: plan.sowing.chosen.cells, best: dayWords(plan.dates.window.best) })}</h2>
      <p>
        {say(
          '{trays, plural, one {# tray} other {# trays}} ({container}), {seedsPerCell} a cell, {seeds, plural, one {# seed} other {# seeds}}. Met whole and in time',
          {
            trays: plan.sowing.chosen.trays,
            container: container.toLowerCase(),
            seedsPerCell: plan.sowing.chosen.seedsPerCell,
            seeds: plan.sowing.chosen.seeds,
          },
        )}{' '}
        <strong>{chanceWords(plan.promise.chance)}</strong>.
      </p>
      <details className="mt-1 text-sm text-pencil">
        <summary className="min-h-11 content-center">{say('How this came about')}</summary>
        <p>
          {say(
            "{plantsToAimFor} plants to aim for with 3 % spare; one emerged cell in twenty is expected to be lost. The cells are the fewest that give so many plants 19 times in 20, averaged over what is known of the lot. The dates follow each past year of the station's record as one possible season. In time and not past its best: {chance} %; enough plants: {chance2} %.",
            {
              plantsToAimFor: plan.sowing.plantsToAimFor,
              chance: Math.round(plan.dates.window.chance * 100),
              chance2: Math.round(plan.sowing.chosen.chance * 100),
            },
          )}
        </p>
      </details>
    </div>
  );
}

/** What would be wrong with sowing earlier. */
const LIMITS: Record<NonNullable<PlanView['dates']['window']>['earliestBecause'], string> = {
  TODAY: say('from today'),
  LEAVES: say('earlier too many leaves'),
  DAYS_IN_CELL: say('earlier too long in the cell'),
  LIGHT: say('earlier too little light'),
  SEED_AFTER_WINTER: say('earlier so large that it would run to seed after winter'),
};

function rows(plan: PlanView): PathRow[] {
  const window = plan.dates.window!;
  const open = plan.dates.windowOpen;
  return [
    {
      name: say('Sow'),
      stage: 'PLANNED',
      window: true,
      spread: open
        ? { early: window.earliest, middle: window.best, late: window.latest, certain: false }
        : { early: window.best, middle: window.best, late: window.best, certain: true },
      words: open
        ? say('{earliest} – {latest}, best {best}; {earliestBecause}, later too late; even odds {evenOdds}', {
            earliest: shortDay(window.earliest),
            latest: shortDay(window.latest),
            best: shortDay(window.best),
            earliestBecause: LIMITS[window.earliestBecause],
            evenOdds: shortDay(window.evenOdds),
          })
        : say('{best}; no day is safe on both sides', { best: shortDay(window.best) }),
    },
    { name: say('Up'), stage: 'EMERGING', spread: plan.dates.emerged },
    ...plan.dates.pottings.map((potting, index) => ({
      name:
        plan.dates.pottings.length > 1 ? say('Pot on, {either, select, true {first} other {again}}', { either: String(index === 0) }) : say('Pot on'),
      stage: 'POTTED_ON' as const,
      spread: potting,
    })),
    { name: say('Leaves enough'), stage: 'GROWING_ON', spread: plan.dates.stageReached },
    { name: say('Ready'), stage: 'READY', spread: plan.dates.ready },
    ...(plan.outdoors
      ? [
          {
            name: say('May go out'),
            stage: 'RELEASED' as const,
            window: true,
            spread: { early: plan.outdoors.from, middle: plan.outdoors.from, late: plan.outdoors.until ?? plan.outdoors.from, certain: false },
            words: say('from {from}{what}', {
              from: shortDay(plan.outdoors.from),
              what: plan.outdoors.until ? say(' until {until}', { until: shortDay(plan.outdoors.until) }) : '',
            }),
          },
        ]
      : []),
    {
      name: say('Past its best'),
      stage: 'PAST_BEST',
      spread: plan.dates.pastLimit,
      ...(plan.dates.pastLimit ? {} : { words: say('not this season') }),
    },
  ];
}

function Options({ plan, choose }: { plan: PlanView; choose: (seedsPerCell: number) => void }) {
  return (
    <table className="w-full text-left text-sm">
      <caption className="pb-1 text-left font-semibold">{say('Seeds per cell compared')}</caption>
      <thead className="text-pencil">
        <tr>
          <th className="py-1 font-normal">{say('A cell')}</th>
          <th className="font-normal">{say('Cells')}</th>
          <th className="font-normal">{say('Trays')}</th>
          <th className="font-normal">{say('Seeds')}</th>
          <th className="font-normal">
            <span className="sr-only">{say('Choice')}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.sowing.options.map((option) => {
          const chosen = option.seedsPerCell === plan.sowing.chosen?.seedsPerCell;
          return (
            <tr key={option.seedsPerCell} className={`border-t border-rule ${chosen ? 'bg-wash font-semibold' : ''}`}>
              <td className="py-1 pl-2">{option.seedsPerCell}</td>
              <td>{option.cells}</td>
              <td>{option.trays}</td>
              <td>{figures(option.seeds)}</td>
              <td className="text-right">
                {chosen ? (
                  <span className="inline-block px-3 py-2">{say('chosen')}</span>
                ) : (
                  <button type="button" className="trail min-h-11 px-3" onClick={() => choose(option.seedsPerCell)}>
                    {say('Take {seedsPerCell}', { seedsPerCell: option.seedsPerCell })}
                  </button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
