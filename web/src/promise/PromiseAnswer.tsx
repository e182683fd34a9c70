import type { OfferView, PlanView } from '../api/client';
import { offerWords, provisoWords } from '../plan/planWords';
import { chanceWords, counted, dayWords, shortDay } from '../look/words';

const ANSWERS: Record<PlanView['answer'], { words: string; look: string }> = {
  YES: { words: 'Yes', look: 'border-dusk bg-wash' },
  YES_IF: { words: 'Yes, if', look: 'border-ochre bg-ochre-wash' },
  NO: { words: 'No', look: 'border-brick bg-brick-wash' },
};

/** Yes, yes if, or no: the chance, what it takes and when, what stands in the way, and what would be a yes. */
export function PromiseAnswer({ plan, today, choose }: { plan: PlanView; today: string; choose: (offer: OfferView) => void }) {
  const answer = ANSWERS[plan.answer];
  return (
    <div className="flex flex-col gap-3">
      <section aria-label="Answer" className={`border-l-4 p-3 ${answer.look}`}>
        <h3 className="text-2xl">{answer.words}</h3>
        {plan.answer === 'YES' && plan.window && (
          <p>
            Whole and in time <strong>{chanceWords(plan.chance)}</strong>. {plan.window.latest <= plan.window.best
              ? <>Sow on <strong>{dayWords(plan.window.best)}</strong>; later would be late.</>
              : <>Sow by <strong>{dayWords(plan.window.latest)}</strong>, best {dayWords(plan.window.best)}.</>}
          </p>
        )}
        {[...plan.reasons, ...plan.conditions].map((reason) => (
          <p key={JSON.stringify(reason)}>{provisoWords(reason, plan, today)}</p>
        ))}
        {plan.answer === 'YES_IF' && plan.window && (
          <p className="mt-1">Then whole and in time {chanceWords(plan.chance)}; best sown {dayWords(plan.window.best)}.</p>
        )}
      </section>
      {plan.offers.length > 0 && (
        <section aria-label="What would be a yes">
          <h3 className="mb-1">What would be a yes</h3>
          <ul className="flex flex-wrap gap-2">
            {plan.offers.map((offer) => (
              <li key={offerWords(offer)}>
                {offer.change === 'PROTECTION' ? (
                  <span className="act border-dashed">{offerWords(offer)} <span className="font-normal text-pencil">{chanceWords(offer.chance)}</span></span>
                ) : (
                  <button type="button" className="act" onClick={() => choose(offer)}>
                    {offerWords(offer)} <span className="font-normal text-pencil">{chanceWords(offer.chance)}</span>
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {plan.answer !== 'NO' && plan.outlay && plan.chosen && <Takes plan={plan} />}
    </div>
  );
}

function Takes({ plan }: { plan: PlanView }) {
  return (
    <section aria-label="What it takes" className="text-sm">
      <h3 className="mb-1">What it takes</h3>
      <ul>
        {plan.stays.map((stay) => (
          <li key={stay.place + stay.from} className="grid grid-cols-[8rem_1fr] gap-2 border-t border-rule py-1 sm:grid-cols-[11rem_10rem_1fr]">
            <span className="font-semibold">{stay.place}</span>
            <span>{shortDay(stay.from)} – {shortDay(stay.to)}</span>
            <span className="text-pencil">{counted(stay.slots, 'tray place')}</span>
          </li>
        ))}
        <li className="border-t border-rule py-1">
          {counted(plan.chosen!.seeds, 'seed')}{plan.lot ? ` of lot ${plan.lot.code}` : ''}, {Math.ceil(plan.outlay!.mix)} L of mix,{' '}
          {counted(plan.outlay!.labels, 'label')}, {plan.outlay!.hours.toFixed(1)} hours of work
        </li>
      </ul>
    </section>
  );
}
