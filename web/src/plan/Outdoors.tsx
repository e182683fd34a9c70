import type { PlanView } from '../api/client';
import { dayWords, shortDay, spreadWords } from '../words/days';
import { say } from '../words/say';
import { told } from '../words/told';
import { degrees } from '../words/quantity';

/** When the crop may stand at the site, beside the rules of thumb that people go by. */
export function Outdoors({ plan }: { plan: PlanView }) {
  const outdoors = plan.outdoors;
  if (!outdoors) return <p className="text-sm text-pencil">{say('Choose the site to see whether frost or cold soil stands in the way there.')}</p>;
  return (
    <section aria-label={say('At the site')} className="text-sm">
      <h3 className="mb-1">{say('At the site')}</h3>
      <dl className="grid gap-x-4 sm:grid-cols-[9rem_1fr]">
        <Line name={say('Out from')}>
          {outdoors.because === 'FROST' &&
            told('<b>{from}</b>: {harmedAt}, which harms it, comes after that in one year of ten', {
              from: dayWords(outdoors.from),
              harmedAt: degrees(outdoors.harmedAt, 0),
            })}
          {outdoors.because === 'SOIL' &&
            told('<b>{from}</b>: the soil has {soilWait} by then in every other year', {
              from: dayWords(outdoors.from),
              soilWait: degrees(outdoors.soilWait, 0),
            })}
          {outdoors.because === 'NOTHING' && told('<b>{from}</b>: no frost here harms it', { from: dayWords(outdoors.from) })}
        </Line>
        {outdoors.lastFrost && <Line name={say('Last that harms')}>{spreadWords(outdoors.lastFrost)}</Line>}
        {outdoors.soil && <Line name={say('Soil warm enough')}>{spreadWords(outdoors.soil)}</Line>}
        {outdoors.until && (
          <Line name={say('Out until')}>
            {told('<b>{until}</b>: counted back from frost and dark, with what shortening days add', { until: dayWords(outdoors.until) })}
          </Line>
        )}
        {(outdoors.sowFrom || outdoors.sowUntil) && (
          <Line name={say('Counted back')}>
            {outdoors.sowFrom &&
              told('Sow from <b>{sowFrom}</b>; earlier, they would wait past their best to go out.', { sowFrom: dayWords(outdoors.sowFrom) })}
            {outdoors.sowFrom && outdoors.sowUntil && ' '}
            {outdoors.sowUntil &&
              told('Sow until <b>{sowUntil}</b>; later, frost and dark come before harvest.', { sowUntil: dayWords(outdoors.sowUntil) })}
          </Line>
        )}
        {outdoors.ruleForSowing && outdoors.averageLastFrost && (
          <Line name={say('Rule of thumb')}>
            {say('start from the average last frost, {averageLastFrost}: sow {ruleForSowing}, plant {ruleForPlanting}{more}', {
              averageLastFrost: shortDay(outdoors.averageLastFrost),
              ruleForSowing: shortDay(outdoors.ruleForSowing),
              ruleForPlanting: shortDay(outdoors.ruleForPlanting!),
              more:
                outdoors.ruleForLastPlanting && outdoors.averageFirstFrost
                  ? say('; from the first, {averageFirstFrost}: plant by {ruleForLastPlanting}', {
                      averageFirstFrost: shortDay(outdoors.averageFirstFrost),
                      ruleForLastPlanting: shortDay(outdoors.ruleForLastPlanting),
                    })
                  : '',
            })}
          </Line>
        )}
      </dl>
    </section>
  );
}

function Line({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <>
      <dt className="border-rule text-pencil sm:border-t sm:py-0.5">{name}</dt>
      <dd className="border-b border-rule pb-1 sm:border-t sm:border-b-0 sm:py-0.5">{children}</dd>
    </>
  );
}
