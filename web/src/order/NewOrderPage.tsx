import { Select } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Choices, OfferView, Refused, Wish } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices, useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { addDays, dayWords } from '../words/days';
import { Paths } from '../plan/Paths';
import { PlanBeside } from '../plan/PlanBeside';
import { usePlan } from '../plan/usePlan';
import { SourceChoice } from '../promise/SourceChoice';
import { LineForm } from './LineForm';
import { LinesToTake } from './LinesToTake';
import { SuccessionForm } from './SuccessionForm';
import { sourceFor, type Chosen } from '../promise/chosenSource';
import { entryOf, wishIn, type LineToTake, type TypedLine } from './typedLine';
import { altitude } from '../words/quantity';
import { say } from '../words/say';

/** Chosen as the grower where plants are sown for nobody yet. */
const NOBODY = 'nobody';

export function NewOrderPage({ today }: { today: string }) {
  const choices = useChoices();
  if (choices.isPending) return <Loading what={say('growers and varieties')} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return <OrderForm choices={choices.data} today={today} />;
}

function OrderForm({ choices, today }: { choices: Choices; today: string }) {
  const navigate = useNavigate();
  const [growerId, setGrowerId] = useState('');
  const [siteId, setSiteId] = useState('');
  const [lines, setLines] = useState<LineToTake[]>([]);
  const [typed, setTyped] = useState<TypedLine>({
    varietyId: '',
    plants: '',
    leavesFrom: '4',
    leavesTo: '6',
    container: choices.containers[2]?.code ?? choices.containers[0]?.code ?? '',
    target: addDays(today, 56),
    seedsPerCell: '',
    containerPath: 'STRAIGHT',
    under: '3',
    countedIn: 'PLANTS',
    overWinter: false,
  });
  const [chosen, setChosen] = useState<Chosen>();
  const [often, setOften] = useState(false);
  const [onAnyTerms, setOnAnyTerms] = useState(false);
  const set = (change: Partial<TypedLine>) => {
    setTyped((now) => ({ ...now, ...change }));
    setChosen(undefined);
    setOnAnyTerms(false);
  };
  const wish = wishIn(typed, siteId);
  const plan = usePlan(wish);
  const nobody = growerId === NOBODY;
  const source = plan.data && !nobody ? sourceFor(plan.data, chosen) : undefined;
  const takeable =
    wish !== undefined && plan.data !== undefined && plan.isOfThis && !plan.isError && (source !== undefined || plan.data.promise.possible);
  const take = useNumberedChange((entry: { growerId: number; siteId: number; lines: ReturnType<typeof entryOf>[] }, requestId) =>
    answered(api.POST('/api/orders', { body: { requestId, ...entry } })),
  );
  const sow = useNumberedChange((entry: { wish: Wish }, requestId) => answered(api.POST('/api/batches', { body: { requestId, ...entry } })));
  const error = nobody ? sow.error : take.error;
  const problem = (field: string) => (lines.length === 0 ? error?.problemAt(field) : undefined) ?? (wish ? plan.error?.problemAt(field) : undefined);
  const container = choices.containers.find((each) => each.code === typed.container)?.name ?? '';
  const sites = choices.sites.filter((site) => String(site.growerId) === growerId);
  const chooseGrower = (id: string) => {
    const own = choices.sites.filter((site) => String(site.growerId) === id);
    setGrowerId(id);
    setSiteId(own.length === 1 ? String(own[0]!.id) : '');
  };
  const takeOffer = (offer: OfferView) => {
    set({ target: offer.target, plants: String(offer.plants), container: offer.container });
    if (offer.change === 'SITE' && offer.siteId != null) setSiteId(String(offer.siteId));
  };
  const current = (): LineToTake | undefined =>
    takeable
      ? {
          key: Math.max(0, ...lines.map((line) => line.key)) + 1,
          typed,
          wish,
          source,
          seen: onAnyTerms ? 'NO' : plan.data.promise.answer,
          chance: source?.chance ?? plan.data.promise.chance,
          sowDay: plan.data.dates.window?.best,
        }
      : undefined;
  const put = () => {
    const line = current();
    if (!line) return;
    setLines([...lines, line]);
    set({ varietyId: '', plants: '', seedsPerCell: '', containerPath: 'STRAIGHT', overWinter: false });
  };
  const ordered = wish ? [...lines, current()].filter((line) => line !== undefined) : lines;
  const half = wish !== undefined && !takeable;
  const submit = () => {
    if (nobody && wish) {
      sow.mutate({ wish }, { onSuccess: (planned) => void navigate(`/batches/${planned.number}`) });
    } else {
      take.mutate(
        { growerId: Number(growerId), siteId: Number(siteId), lines: ordered.map(entryOf) },
        {
          onSuccess: (taken) => void navigate(`/orders/${taken.number}`),
          // What the lines take of one another was said; taken again, it is taken on these terms.
          onError: (refused) => {
            const worse = worseLines(refused, ordered.length);
            setLines(lines.map((line, index) => (worse.includes(index) ? { ...line, seen: 'NO' } : line)));
            setOnAnyTerms(worse.includes(lines.length));
          },
        },
      );
    }
  };
  return (
    <>
      <h1 className="mb-4">{say('Take an order')}</h1>
      <div className="grid gap-8 lg:grid-cols-[22rem_1fr]">
        <form
          className="flex flex-col gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            submit();
          }}
        >
          <Field name={say('Grower')} problem={problem('growerId')}>
            <Select className="entry" value={growerId} onChange={(event) => chooseGrower(event.target.value)}>
              <option value="">{say('Choose…')}</option>
              {choices.growers.map((grower) => (
                <option key={grower.id} value={grower.id}>
                  {grower.name}
                </option>
              ))}
              {lines.length === 0 && <option value={NOBODY}>{say('Nobody yet: own beds, the stall, spares')}</option>}
            </Select>
          </Field>
          {!nobody && (
            <Field name={say('Site')} problem={problem('siteId')}>
              <Select className="entry" value={siteId} onChange={(event) => setSiteId(event.target.value)}>
                <option value="">{growerId ? say('Choose…') : say('Choose the grower first')}</option>
                {sites.map((site) => (
                  <option key={site.id} value={site.id}>
                    {site.name}, {altitude(site.altitude)}
                  </option>
                ))}
              </Select>
            </Field>
          )}
          <LinesToTake
            lines={lines}
            choices={choices}
            remove={(key) => setLines(lines.filter((line) => line.key !== key))}
            edit={(line) => {
              setLines(lines.filter((each) => each.key !== line.key));
              setTyped(line.typed);
              setChosen(line.source?.batch ?? 'SOW');
            }}
          />
          <LineForm choices={choices} typed={typed} set={set} problem={problem} />
          {!nobody && (
            <button type="button" className="act" disabled={!takeable} onClick={put}>
              {say('Put it on the order, and another line')}
            </button>
          )}
          {error && (lines.length > 0 || error.problems.every((each) => !each.field || ['requestId', 'fromBatch', 'seen'].includes(each.field))) && (
            <Refusal message={error.problems[0]?.message ?? error.message} />
          )}
          <button
            className="act act-main"
            disabled={take.isPending || sow.isPending || half || (nobody ? !takeable : ordered.length === 0 || !growerId || !siteId)}
          >
            {takingWords(nobody, ordered, wish)}
          </button>
        </form>
        <section aria-label={say('Plan')} aria-live="polite" className={`board h-fit p-5 ${plan.isOfThis ? '' : 'opacity-80'}`}>
          {!wish && <Nothing>{say('Choose a variety and enter how many plants: the plan appears here while you type.')}</Nothing>}
          {wish && plan.isError && <Refusal message={plan.error.message} />}
          {wish && plan.isPending && <p className="text-pencil">{say('Counting back…')}</p>}
          {wish && plan.isSuccess && (
            <div className="flex flex-col gap-4">
              {!nobody && (
                <SourceChoice
                  sources={plan.data.promise.sources}
                  chosen={source}
                  choose={setChosen}
                  waiting={!plan.isOfThis}
                  alone={
                    plan.data.promise.possible && plan.data.sowing.chosen && plan.data.dates.window
                      ? say('{cells} cells on {best}, as below', {
                          cells: plan.data.sowing.chosen.cells,
                          best: dayWords(plan.data.dates.window.best),
                        })
                      : undefined
                  }
                />
              )}
              <PlanBeside
                plan={plan.data}
                today={today}
                container={container}
                choose={(seeds) => set({ seedsPerCell: String(seeds) })}
                takeOffer={takeOffer}
              />
              <Paths wish={wish} today={today} choose={(containerPath) => set({ containerPath, seedsPerCell: '' })} />
              {!nobody && lines.length === 0 && (
                <details onToggle={(event) => setOften(event.currentTarget.open)}>
                  <summary className="trail min-h-11 content-center text-sm">{say('Little and often: spread it over a period')}</summary>
                  {often && <SuccessionForm wish={wish} growerId={growerId} siteId={siteId} />}
                </details>
              )}
            </div>
          )}
        </section>
      </div>
    </>
  );
}

function takingWords(nobody: boolean, lines: LineToTake[], wish: Wish | undefined): string {
  if (nobody)
    return wish
      ? say('Plan {plants, plural, one {# plant} other {# plants}} for nobody yet', { plants: wish.plants })
      : say('Plan them for nobody yet');
  const plants = lines.reduce((sum, line) => sum + line.wish.plants, 0);
  if (lines.length > 1)
    return say('Take the order: {lines} lines, {plants, plural, one {# plant} other {# plants}}', { lines: lines.length, plants });
  if (lines.length === 1) return say('Take the order for {plants, plural, one {# plant} other {# plants}}', { plants });
  return wish ? say('Take the order for {plants, plural, one {# plant} other {# plants}}', { plants: wish.plants }) : say('Take the order');
}

/** Lines whose answer is worse than the one that was seen, by their place. */
export function worseLines(refused: Refused, lines: number): number[] {
  return refused.problems
    .map(({ field }) => (lines === 1 && field === 'seen' ? 0 : Number(/^lines\[(\d+)\]\.seen$/.exec(field)?.[1] ?? -1)))
    .filter((place) => place >= 0);
}
