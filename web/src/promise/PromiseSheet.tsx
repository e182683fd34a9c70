import { Input, Select } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import type { OfferView, PlanView, Refused, Source, Understood, Wish } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices, useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { useKey } from '../look/useKey';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { sourceFor, type Chosen } from './chosenSource';
import { PromiseAnswer } from './PromiseAnswer';
import { SourceChoice } from './SourceChoice';
import { say } from '../words/say';
import { figures } from '../words/quantity';

const TYPING_PAUSE = 150;

const MISSING: Record<Understood['missing'][number], string> = {
  PLANTS: say('how many plants'),
  VARIETY: say('of which crop or variety'),
  DAY: say('for which day'),
};

/** A question put as it comes over the telephone, from any page with one key, answered while it is typed. */
export function PromiseSheet({ today }: { today: string }) {
  const [open, setOpen] = useState(false);
  const show = useCallback(() => setOpen(true), []);
  useKey('p', show);
  return (
    <>
      <button className="act min-h-11 px-3" onClick={show}>
        {say('Can we?')} <kbd className="hidden font-normal sm:inline">p</kbd>
      </button>
      <Sheet title={say('Can we promise it?')} wide open={open} close={() => setOpen(false)}>
        <Asking today={today} done={() => setOpen(false)} />
      </Sheet>
    </>
  );
}

function Asking({ today, done }: { today: string; done: () => void }) {
  const [text, setText] = useState('');
  const [settled, setSettled] = useState('');
  // An offer that was taken up is asked as a wish; typing again begins anew.
  const [wish, setWish] = useState<Wish>();
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text.trim()), TYPING_PAUSE);
    return () => clearTimeout(timer);
  }, [text]);
  const answer = useQuery<Understood, Refused>({
    queryKey: ['promise', settled, wish],
    enabled: settled.length > 3,
    retry: false,
    placeholderData: (before) => before,
    queryFn: () => answered(api.POST('/api/promises', { body: { text: settled, ...(wish ? { wish } : {}) } })),
  });
  const problem = settled.length > 3 ? answer.error?.problemAt('text') : undefined;
  const understood = settled.length > 3 && !answer.isError ? answer.data : undefined;
  return (
    <div className="flex flex-col gap-4">
      <Field name={say('Asked on the telephone')} problem={problem} hint={say('How many of what, for which day; where and in what, if it was said')}>
        <Input
          className="entry text-lg"
          autoFocus
          value={text}
          autoComplete="off"
          spellCheck={false}
          placeholder={say('400 curly kale, 12 May, Upper terrace, standard module')}
          onChange={(event) => {
            setText(event.target.value);
            setWish(undefined);
          }}
        />
      </Field>
      {answer.isError && !problem && settled.length > 3 && <Refusal message={answer.error.message} />}
      <div aria-live="polite" className={`flex flex-col gap-4 ${answer.isPlaceholderData ? 'opacity-60' : ''}`}>
        {understood && <Read understood={understood} />}
        {understood?.plan && (
          <>
            <PromiseAnswer plan={understood.plan} today={today} choose={(offer) => setWish(changedBy(understood.wish!, offer))} />
            <Taking
              key={JSON.stringify(understood.wish)}
              understood={understood}
              current={settled === text.trim() && !answer.isPlaceholderData}
              done={done}
            />
          </>
        )}
      </div>
    </div>
  );
}

/** How the question was read, so that a wrong reading is seen at once. */
function Read({ understood }: { understood: Understood }) {
  const words = understood.words;
  return (
    <div className="text-sm">
      {words && (
        <p>
          <span className="text-pencil">{say('Read as')} </span>
          <strong>
            {figures(words.plants)} {words.variety}
          </strong>{' '}
          {say('({crop}), {target}, {container}, {leavesFrom} to {leavesTo} true leaves{what}.', {
            crop: words.crop.toLowerCase(),
            target: dayWords(words.target),
            container: words.container.toLowerCase(),
            leavesFrom: words.leavesFrom,
            leavesTo: words.leavesTo,
            what: words.site
              ? say(', for {site} ({grower})', { site: words.site, grower: words.grower })
              : say(', no site named: frost is not looked at'),
          })}
        </p>
      )}
      {understood.missing.length > 0 && (
        <p>{say('Still to say: {missing}.', { missing: understood.missing.map((each) => MISSING[each]).join(', ') })}</p>
      )}
      {understood.notUnderstood.length > 0 && (
        <p className="text-ochre">
          {say('Not understood: {notUnderstood}. Check the spelling, or pick it under Orders.', {
            notUnderstood: understood.notUnderstood.map((word) => `“${word}”`).join(', '),
          })}
        </p>
      )}
    </div>
  );
}

/** What was understood, with what an offer changes. */
export function changedBy(wish: Wish, offer: OfferView): Wish {
  return {
    ...wish,
    target: offer.target,
    plants: offer.plants,
    container: offer.container,
    ...(offer.change === 'CONTAINER' ? { containerPath: null } : {}),
    ...(offer.siteId != null ? { siteId: offer.siteId } : {}),
  };
}

/** Only the answer to what stands there now can be taken, never one to an earlier wording. */
function Taking({ understood, current, done }: { understood: Understood; current: boolean; done: () => void }) {
  const navigate = useNavigate();
  const choices = useChoices();
  const [chosen, setChosen] = useState('');
  const siteId = understood.wish?.siteId ?? (chosen ? Number(chosen) : undefined);
  const site = choices.data?.sites.find((each) => each.id === siteId);
  const [source, setSource] = useState<Chosen>();
  const [onAnyTerms, setOnAnyTerms] = useState(false);
  const plan = understood.plan;
  const from = plan ? sourceFor(plan, source) : undefined;
  const line = {
    wish: understood.wish!,
    ...(from ? { fromBatch: from.batch } : { seen: onAnyTerms ? ('NO' as const) : (plan?.promise.answer ?? ('NO' as const)) }),
  };
  const order = { growerId: site?.growerId ?? 0, siteId: site?.id ?? 0, lines: [line] };
  const take = useNumberedChange((entry: typeof order, requestId) => answered(api.POST('/api/orders', { body: { requestId, ...entry } })));
  const sowable = plan?.promise.answer !== 'NO' && plan?.promise.possible === true;
  if (!plan || (!sowable && plan.promise.sources.length === 0)) return null;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <div className="w-full">
        <SourceChoice
          sources={plan.promise.sources}
          chosen={from}
          choose={setSource}
          waiting={!current}
          alone={
            sowable && plan.dates.window
              ? say('best sown {best}, {chance}', { best: dayWords(plan.dates.window.best), chance: chanceWords(plan.promise.chance) })
              : undefined
          }
        />
      </div>
      {!understood.wish?.siteId && (
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
        disabled={!site || !current || take.isPending || (!from && !sowable)}
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
        {takingWords(from, plan.promise.answer)}
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
