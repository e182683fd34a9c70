import type { OfferView, PlanView } from '../api/client';
import { chanceWords, counted, dayWords, shortDay } from '../look/words';
import { Obstacles } from './Obstacles';
import { Outdoors } from './Outdoors';
import { offerWords, provisoWords } from './planWords';
import { PathChart, type PathRow } from './PathChart';

/** The plan beside the order that is being typed. */
export function PlanBeside({
  plan, today, container, choose, takeOffer,
}: {
  plan: PlanView; today: string; container: string; choose: (seedsPerCell: number) => void; takeOffer?: (offer: OfferView) => void;
}) {
  return (
    <div className="flex flex-col gap-4">
      <Answer plan={plan} container={container} />
      <Obstacles plan={plan} today={today} />
      {plan.conditions.filter((condition) => condition.kind !== 'InTheWay').map((condition) => (
        <p key={JSON.stringify(condition)} role="status" className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">{provisoWords(condition, plan, today)}</p>
      ))}
      {takeOffer && plan.offers.length > 0 && (
        <section aria-label="What would be a yes">
          <h3 className="mb-1">What would be a yes</h3>
          <ul className="flex flex-wrap gap-2">
            {plan.offers.map((offer) => (
              <li key={offerWords(offer)}>
                {offer.change === 'PROTECTION'
                  ? <span className="act border-dashed">{offerWords(offer)}</span>
                  : <button type="button" className="act" onClick={() => takeOffer(offer)}>{offerWords(offer)}</button>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {plan.possible && <PathChart rows={rows(plan)} target={plan.target} today={today} />}
      <Outdoors plan={plan} />
      {plan.options.length > 0 && <Options plan={plan} choose={choose} />}
      {plan.possible && (
        <p className="text-sm text-pencil">
          Seed lies in the {plan.emergencePlace.toLowerCase()}, grows on in the {plan.growingPlace.toLowerCase()},{' '}
          {plan.hardeningDays > 0
            ? `hardens ${plan.hardeningDays} days on the ${plan.hardeningPlace.toLowerCase()}`
            : `goes straight out to the ${plan.hardeningPlace.toLowerCase()}`}
          ; it takes {counted(plan.slots, 'tray place')}.
          {plan.lot && ` Lot ${plan.lot.code} of ${plan.lot.supplier}: ${Math.round(plan.lot.germination * 100)} % expected up, ${plan.lot.seedsLeft.toLocaleString('en-GB')} seeds left.`}
        </p>
      )}
    </div>
  );
}

function Answer({ plan, container }: { plan: PlanView; container: string }) {
  if (!plan.possible || !plan.window || !plan.chosen) {
    return <h2 className="text-brick">Not for this date</h2>;
  }
  return (
    <div>
      <h2>
        Sow {plan.chosen.cells} cells on {dayWords(plan.window.best)}
      </h2>
      <p>
        {counted(plan.chosen.trays, 'tray')} ({container.toLowerCase()}), {plan.chosen.seedsPerCell} a cell,{' '}
        {counted(plan.chosen.seeds, 'seed')}. Met whole and in time <strong>{chanceWords(plan.chance)}</strong>.
      </p>
      <details className="mt-1 text-sm text-pencil">
        <summary className="min-h-6">How this came about</summary>
        <p>
          {plan.plantsToAimFor} plants to aim for with 3 % spare; one emerged cell in twenty is expected to be lost. The
          cells are the fewest that give so many plants 19 times in 20, averaged over what is known of the lot. The
          dates follow each past year of the station's record as one possible season. In time and not past its best:{' '}
          {Math.round(plan.window.chance * 100)} %; enough plants: {Math.round(plan.chosen.chance * 100)} %.
        </p>
      </details>
    </div>
  );
}

/** What would be wrong with sowing earlier. */
const LIMITS: Record<NonNullable<PlanView['window']>['earliestBecause'], string> = {
  TODAY: 'from today', LEAVES: 'earlier too many leaves', DAYS_IN_CELL: 'earlier too long in the cell',
  LIGHT: 'earlier too little light',
};

function rows(plan: PlanView): PathRow[] {
  const window = plan.window!;
  const open = plan.windowOpen;
  return [
    {
      name: 'Sow',
      stage: 'PLANNED',
      window: true,
      spread: open ? { early: window.earliest, middle: window.best, late: window.latest, certain: false } : { early: window.best, middle: window.best, late: window.best, certain: true },
      words: open
        ? `${shortDay(window.earliest)} – ${shortDay(window.latest)}, best ${shortDay(window.best)}; ${LIMITS[window.earliestBecause]}, later too late; even odds ${shortDay(window.evenOdds)}`
        : `${shortDay(window.best)}; no day is safe on both sides`,
    },
    { name: 'Up', stage: 'EMERGING', spread: plan.emerged },
    ...plan.pottings.map((potting, index) => ({ name: plan.pottings.length > 1 ? `Pot on, ${index === 0 ? 'first' : 'again'}` : 'Pot on', stage: 'POTTED_ON' as const, spread: potting })),
    { name: 'Leaves enough', stage: 'GROWING_ON', spread: plan.stageReached },
    { name: 'Ready', stage: 'READY', spread: plan.ready },
    ...(plan.outdoors ? [{ name: 'May go out', stage: 'RELEASED' as const, window: true, spread: { early: plan.outdoors.from, middle: plan.outdoors.from, late: plan.outdoors.until ?? plan.outdoors.from, certain: false }, words: `from ${shortDay(plan.outdoors.from)}${plan.outdoors.until ? ` until ${shortDay(plan.outdoors.until)}` : ''}` }] : []),
    { name: 'Past its best', stage: 'PAST_BEST', spread: plan.pastLimit, ...(plan.pastLimit ? {} : { words: 'not this season' }) },
  ];
}

function Options({ plan, choose }: { plan: PlanView; choose: (seedsPerCell: number) => void }) {
  return (
    <table className="w-full text-left text-sm">
      <caption className="pb-1 text-left font-semibold">Seeds per cell compared</caption>
      <thead className="text-pencil">
        <tr>
          <th className="py-1 font-normal">A cell</th>
          <th className="font-normal">Cells</th>
          <th className="font-normal">Trays</th>
          <th className="font-normal">Seeds</th>
          <th className="font-normal">
            <span className="sr-only">Choice</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.options.map((option) => {
          const chosen = option.seedsPerCell === plan.chosen?.seedsPerCell;
          return (
            <tr key={option.seedsPerCell} className={`border-t border-rule ${chosen ? 'bg-wash font-semibold' : ''}`}>
              <td className="py-1 pl-2">{option.seedsPerCell}</td>
              <td>{option.cells}</td>
              <td>{option.trays}</td>
              <td>{option.seeds.toLocaleString('en-GB')}</td>
              <td className="text-right">
                {chosen ? (
                  <span className="inline-block px-3 py-2">chosen</span>
                ) : (
                  <button type="button" className="trail min-h-11 px-3" onClick={() => choose(option.seedsPerCell)}>
                    Take {option.seedsPerCell}
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
