import type { PlanView } from '../api/client';
import { dayWords, shortDay, spreadWords } from '../look/words';

/** When the crop may stand at the site, beside the rules of thumb that people go by. */
export function Outdoors({ plan }: { plan: PlanView }) {
  const outdoors = plan.outdoors;
  if (!outdoors) return <p className="text-sm text-pencil">Choose the site to see whether frost or cold soil stands in the way there.</p>;
  return (
    <section aria-label="At the site" className="text-sm">
      <h3 className="mb-1">At the site</h3>
      <dl className="grid gap-x-4 sm:grid-cols-[9rem_1fr]">
        <Line name="Out from">
          <strong>{dayWords(outdoors.from)}</strong>
          {outdoors.because === 'FROST' && `: ${outdoors.harmedAt} °C, which harms it, comes after that in one year of ten`}
          {outdoors.because === 'SOIL' && `: the soil has ${outdoors.soilWait} °C by then in every other year`}
          {outdoors.because === 'NOTHING' && ': no frost here harms it'}
        </Line>
        {outdoors.lastFrost && <Line name="Last that harms">{spreadWords(outdoors.lastFrost)}</Line>}
        {outdoors.soil && <Line name="Soil warm enough">{spreadWords(outdoors.soil)}</Line>}
        {outdoors.until && <Line name="Out until"><strong>{dayWords(outdoors.until)}</strong>: counted back from frost and dark, with what shortening days add</Line>}
        {(outdoors.sowFrom || outdoors.sowUntil) && (
          <Line name="Counted back">
            {outdoors.sowFrom && <>sow from <strong>{dayWords(outdoors.sowFrom)}</strong>; earlier, they would wait past their best to go out</>}
            {outdoors.sowFrom && outdoors.sowUntil && '. '}
            {outdoors.sowUntil && <>{outdoors.sowFrom ? 'Until' : 'sow until'} <strong>{dayWords(outdoors.sowUntil)}</strong>; later, frost and dark come before harvest</>}.
          </Line>
        )}
        {outdoors.ruleForSowing && outdoors.averageLastFrost && (
          <Line name="Rule of thumb">
            start from the average last frost, {shortDay(outdoors.averageLastFrost)}: sow {shortDay(outdoors.ruleForSowing)}, plant {shortDay(outdoors.ruleForPlanting!)}
            {outdoors.ruleForLastPlanting && outdoors.averageFirstFrost && `; from the first, ${shortDay(outdoors.averageFirstFrost)}: plant by ${shortDay(outdoors.ruleForLastPlanting)}`}
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
