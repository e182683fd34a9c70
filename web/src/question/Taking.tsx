import { Select } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { AskedLine, PlanView, Source } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices, useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { sourceFor, type Chosen } from '../promise/chosenSource';
import { SourceChoice } from '../promise/SourceChoice';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';

const sowable = (plan: PlanView) => plan.promise.answer !== 'NO' && plan.promise.possible;

/** Takes what was answered as an order; only the answer to what stands there now, never one to an earlier wording. */
export function Taking({ lines, current, done }: { lines: AskedLine[]; current: boolean; done: () => void }) {
  const navigate = useNavigate();
  const choices = useChoices();
  const [chosen, setChosen] = useState('');
  const [sources, setSources] = useState<Record<number, Chosen>>({});
  const [onAnyTerms, setOnAnyTerms] = useState(false);
  const said = lines.flatMap((line) => (line.reading?.wish.siteId == null ? [] : [line.reading.wish.siteId]))[0];
  const siteId = said ?? (chosen ? Number(chosen) : undefined);
  const site = choices.data?.sites.find((each) => each.id === siteId);
  const takable = lines.flatMap((line, index) =>
    line.plan && line.reading && (sowable(line.plan) || line.plan.promise.sources.length > 0)
      ? [{ index, plan: line.plan, wish: line.reading.wish, from: sourceFor(line.plan, sources[index]) }]
      : [],
  );
  const order = {
    growerId: site?.growerId ?? 0,
    siteId: site?.id ?? 0,
    lines: takable.map(({ plan, wish, from }) => ({
      wish,
      ...(from ? { fromBatch: from.batch } : { seen: onAnyTerms ? ('NO' as const) : plan.promise.answer }),
    })),
  };
  const take = useNumberedChange((entry: typeof order, requestId) => answered(api.POST('/api/orders', { body: { requestId, ...entry } })));
  if (takable.length === 0) return null;
  return (
    <div className="flex flex-wrap items-end gap-3">
      {takable.map(({ index, plan, from }) => (
        <div key={index} className="w-full">
          <SourceChoice
            sources={plan.promise.sources}
            chosen={from}
            choose={(source) => setSources({ ...sources, [index]: source })}
            waiting={!current}
            alone={
              sowable(plan) && plan.dates.window
                ? say('best sown {best}, {chance}', { best: dayWords(plan.dates.window.best), chance: chanceWords(plan.promise.chance) })
                : undefined
            }
          />
        </div>
      ))}
      {said === undefined && (
        <Field name={say('For whom')}>
          <Select className="entry" value={chosen} onChange={(event) => setChosen(event.target.value)}>
            <option value="">{say('Choose the site…')}</option>
            {choices.data?.sites.map((each) => (
              <option key={each.id} value={each.id}>
                {choices.data.growers.find((grower) => grower.id === each.growerId)?.name}: {each.name}
              </option>
            ))}
          </Select>
        </Field>
      )}
      <button
        className="act act-main"
        disabled={!site || !current || take.isPending || takable.some(({ plan, from }) => !from && !sowable(plan))}
        onClick={() =>
          take.mutate(order, {
            onSuccess: (taken) => {
              done();
              void navigate(`/orders/${taken.number}`);
            },
            // What has become of the answer was said; pressed again, it is taken on these terms.
            onError: (refused) => setOnAnyTerms(refused.problems.some((each) => each.field === 'seen')),
          })
        }
      >
        {lines.length > 1
          ? say('Promise it: take {lines, plural, one {# line} other {# lines}} of {all}', { lines: takable.length, all: lines.length })
          : takingWords(takable[0]!.from, takable[0]!.plan.promise.answer)}
      </button>
      <Refusal message={take.error?.message} />
    </div>
  );
}

function takingWords(from: Source | undefined, answer: PlanView['promise']['answer']): string {
  if (from?.kind === 'FREE') return say('Promise it from batch {batch}', { batch: from.batch });
  if (from) return say('Promise it: sow it with batch {batch}', { batch: from.batch });
  return answer === 'YES' ? say('Promise it: take the order') : say('Take the order on these terms');
}
