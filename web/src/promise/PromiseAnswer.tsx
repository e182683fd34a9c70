import type { OfferView, PlanView } from '../api/client';
import { offerWords, provisoWords } from '../plan/planWords';
import { dayWords, shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';
import { told } from '../words/told';
import { figures, volumeUp } from '../words/quantity';

const ANSWERS: Record<PlanView['promise']['answer'], { words: string; look: string }> = {
  YES: { words: say('Yes'), look: 'border-dusk bg-wash' },
  YES_IF: { words: say('Yes, if'), look: 'border-ochre bg-ochre-wash' },
  NO: { words: say('No'), look: 'border-brick bg-brick-wash' },
};

/** Yes, yes if, or no: the chance, what it takes and when, what stands in the way, and what would be a yes. */
export function PromiseAnswer({ plan, today, choose }: { plan: PlanView; today: string; choose: (offer: OfferView) => void }) {
  const answer = ANSWERS[plan.promise.answer];
  return (
    <div className="flex flex-col gap-3">
      <section aria-label={say('Answer')} className={`border-l-4 p-3 ${answer.look}`}>
        <h3 className="text-2xl">{answer.words}</h3>
        {plan.promise.answer === 'YES' && plan.dates.window && (
          <p>
            {told('Whole and in time <b>{chance}</b>.', { chance: chanceWords(plan.promise.chance) })}{' '}
            {plan.dates.window.latest <= plan.dates.window.best
              ? told('Sow on <b>{best}</b>; later would be late.', { best: dayWords(plan.dates.window.best) })
              : told('Sow by <b>{latest}</b>, best {best}.', { latest: dayWords(plan.dates.window.latest), best: dayWords(plan.dates.window.best) })}
          </p>
        )}
        {[...plan.promise.reasons, ...plan.promise.conditions].map((reason) => (
          <p key={JSON.stringify(reason)}>{provisoWords(reason, plan, today)}</p>
        ))}
        {plan.promise.answer === 'YES_IF' && plan.dates.window && (
          <p className="mt-1">
            {say('Then whole and in time {chance}; best sown {best}.', {
              chance: chanceWords(plan.promise.chance),
              best: dayWords(plan.dates.window.best),
            })}
          </p>
        )}
      </section>
      {plan.promise.offers.length > 0 && (
        <section aria-label={say('What would be a yes')}>
          <h3 className="mb-1">{say('What would be a yes')}</h3>
          <ul className="flex flex-wrap gap-2">
            {plan.promise.offers.map((offer) => (
              <li key={offerWords(offer)}>
                <button type="button" className="act min-h-11" onClick={() => choose(offer)}>
                  {offerWords(offer)} <span className="font-normal text-pencil">{chanceWords(offer.chance)}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {plan.promise.answer !== 'NO' && plan.outlay && plan.sowing.chosen && <Takes plan={plan} />}
    </div>
  );
}

function Takes({ plan }: { plan: PlanView }) {
  return (
    <section aria-label={say('What it takes')} className="text-sm">
      <h3 className="mb-1">{say('What it takes')}</h3>
      <ul>
        {plan.places.stays.map((stay) => (
          <li key={stay.place + stay.from} className="grid grid-cols-[8rem_1fr] gap-2 border-t border-rule py-1 sm:grid-cols-[11rem_10rem_1fr]">
            <span className="font-semibold">{stay.place}</span>
            <span>
              {shortDay(stay.from)} – {shortDay(stay.to)}
            </span>
            <span className="text-pencil">{say('{places, plural, one {# tray place} other {# tray places}}', { places: stay.slots })}</span>
          </li>
        ))}
        <li className="border-t border-rule py-1">
          {say(
            '{seeds, plural, one {# seed} other {# seeds}}{what}, {mix} of mix, {labels, plural, one {# label} other {# labels}}, {hours} hours of work',
            {
              seeds: plan.sowing.chosen!.seeds,
              what: plan.sowing.lot ? say(' of lot {code}', { code: plan.sowing.lot.code }) : '',
              mix: volumeUp(plan.outlay!.mix),
              labels: plan.outlay!.labels,
              hours: figures(plan.outlay!.hours, 1),
            },
          )}
        </li>
      </ul>
    </section>
  );
}
