import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Choices, Offer, PlanView, Wish } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices, useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { addDays, counted } from '../look/words';
import { Paths } from '../plan/Paths';
import { PlanBeside } from '../plan/PlanBeside';
import { usePlan } from '../plan/usePlan';
import { SuccessionForm } from './SuccessionForm';
import { VarietyChoice } from './VarietyChoice';

/** What is typed, as typed; numbers are read from it only when it is whole. */
export interface TypedOrder {
  growerId: string;
  siteId: string;
  varietyId: string;
  plants: string;
  leavesFrom: string;
  leavesTo: string;
  container: string;
  target: string;
  seedsPerCell: string;
  containerPath: NonNullable<Wish['containerPath']>;
  /** Plants of a hundred that may be missing. */
  under: string;
  countedIn: NonNullable<Wish['countedIn']>;
}

type Answer = PlanView['answer'];

/** The wish in what was typed, or nothing while something is missing. */
export function wishIn(typed: TypedOrder): Wish | undefined {
  const numbers = [typed.varietyId, typed.plants, typed.leavesFrom, typed.leavesTo].map((text) =>
    text.trim() === '' ? Number.NaN : Number(text),
  );
  if (numbers.some((number) => !Number.isInteger(number)) || !typed.container || !typed.target) return undefined;
  return {
    varietyId: numbers[0]!,
    plants: numbers[1]!,
    leavesFrom: numbers[2]!,
    leavesTo: numbers[3]!,
    container: typed.container,
    target: typed.target,
    ...(typed.seedsPerCell ? { seedsPerCell: Number(typed.seedsPerCell) } : {}),
    ...(typed.siteId ? { siteId: Number(typed.siteId) } : {}),
    ...(typed.containerPath !== 'STRAIGHT' ? { containerPath: typed.containerPath } : {}),
    ...(typed.under.trim() === '' ? {} : { under: Number(typed.under.replace(',', '.')) / 100 }),
    ...(typed.containerPath === 'CLUMPS' ? { countedIn: typed.countedIn } : {}),
  };
}

export function NewOrderPage({ today }: { today: string }) {
  const choices = useChoices();
  if (choices.isPending) return <Loading what="growers and varieties" />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return <OrderForm choices={choices.data} today={today} />;
}

function OrderForm({ choices, today }: { choices: Choices; today: string }) {
  const navigate = useNavigate();
  const [typed, setTyped] = useState<TypedOrder>({
    growerId: '', siteId: '', varietyId: '', plants: '', leavesFrom: '4', leavesTo: '6',
    container: choices.containers[2]?.code ?? choices.containers[0]?.code ?? '', target: addDays(today, 56), seedsPerCell: '', containerPath: 'STRAIGHT',
    under: '3', countedIn: 'PLANTS',
  });
  const [often, setOften] = useState(false);
  const set = (change: Partial<TypedOrder>) => setTyped({ ...typed, ...change });
  const wish = wishIn(typed);
  const plan = usePlan(wish);
  const take = useNumberedChange((entry: { growerId: number; siteId: number; wish: Wish; seen: Answer }, requestId) =>
    answered(api.POST('/api/orders', { body: { requestId, ...entry } })),
  );
  const problem = (field: string) => take.error?.problemAt(field) ?? (wish ? plan.error?.problemAt(field) : undefined);
  const container = choices.containers.find((each) => each.code === typed.container)?.name ?? '';
  const sites = choices.sites.filter((site) => String(site.growerId) === typed.growerId);
  const chooseGrower = (growerId: string) => {
    const own = choices.sites.filter((site) => String(site.growerId) === growerId);
    set({ growerId, siteId: own.length === 1 ? String(own[0]!.id) : '' });
  };
  const takeOffer = (offer: Offer) =>
    set({
      target: offer.target, plants: String(offer.plants), container: offer.container, ...(offer.site ? { siteId: offer.site } : {}),
    });
  const number = (field: 'plants' | 'leavesFrom' | 'leavesTo', name: string) => (
    <Field name={name} problem={problem(field)}>
      <Input
        className="entry" inputMode="numeric" value={typed[field]}
        aria-invalid={problem(field) ? true : undefined}
        onChange={(event) => set({ [field]: event.target.value })}
      />
    </Field>
  );
  return (
    <>
      <h1 className="mb-4">Take an order</h1>
      <div className="grid gap-8 lg:grid-cols-[22rem_1fr]">
        <form
          className="flex flex-col gap-4" noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if (wish && plan.data) {
              take.mutate(
                { growerId: Number(typed.growerId), siteId: Number(typed.siteId), wish, seen: plan.data.answer },
                { onSuccess: (taken) => navigate(`/orders/${taken.number}`) },
              );
            }
          }}
        >
          <Field name="Grower" problem={problem('growerId')}>
            <Select className="entry" value={typed.growerId} onChange={(event) => chooseGrower(event.target.value)}>
              <option value="">Choose…</option>
              {choices.growers.map((grower) => (
                <option key={grower.id} value={grower.id}>{grower.name}</option>
              ))}
            </Select>
          </Field>
          <Field name="Site" problem={problem('siteId')}>
            <Select className="entry" value={typed.siteId} onChange={(event) => set({ siteId: event.target.value })}>
              <option value="">{typed.growerId ? 'Choose…' : 'Choose the grower first'}</option>
              {sites.map((site) => (
                <option key={site.id} value={site.id}>{site.name}, {site.altitude} m</option>
              ))}
            </Select>
          </Field>
          <VarietyChoice
            varieties={choices.varieties} chosen={typed.varietyId} problem={problem('varietyId')}
            choose={(varietyId) => set({ varietyId, seedsPerCell: '' })}
          />
          {number('plants', 'Plants')}
          <div className="grid grid-cols-2 gap-3">
            {number('leavesFrom', 'True leaves, from')}
            {number('leavesTo', 'to')}
          </div>
          <Field name="Container" problem={problem('container')}>
            <Select className="entry" value={typed.container} onChange={(event) => set({ container: event.target.value, seedsPerCell: '', containerPath: 'STRAIGHT' })}>
              {choices.containers.filter((each) => each.kind !== 'OPEN').map((each) => (
                <option key={each.code} value={each.code}>{each.name}</option>
              ))}
            </Select>
          </Field>
          <Field name="Wanted on" problem={problem('target')}>
            <Input className="entry" type="date" value={typed.target} onChange={(event) => set({ target: event.target.value })} aria-invalid={problem('target') ? true : undefined} />
          </Field>
          <Field name="Taken as whole when missing" hint="share of 100" problem={problem('under')}>
            <Input className="entry" inputMode="decimal" value={typed.under} onChange={(event) => set({ under: event.target.value })} />
          </Field>
          {typed.containerPath === 'CLUMPS' && (
            <Field name="The number counts" problem={problem('countedIn')}>
              <Select className="entry" value={typed.countedIn} onChange={(event) => set({ countedIn: event.target.value as 'PLANTS' | 'CLUMPS' })}>
                <option value="PLANTS">plants</option>
                <option value="CLUMPS">clumps</option>
              </Select>
            </Field>
          )}
          {take.error && take.error.problems.every((each) => !each.field || each.field === 'requestId') && <Refusal message={take.error.message} />}
          <button
            className="act act-main"
            disabled={take.isPending || !wish || !typed.growerId || !typed.siteId || !plan.data?.possible || plan.isError}
          >
            {wish ? `Take the order for ${counted(wish.plants, 'plant')}` : 'Take the order'}
          </button>
        </form>
        <section aria-label="Plan" aria-live="polite" className={`board h-fit p-5 ${plan.isPlaceholderData ? 'opacity-70' : ''}`}>
          {!wish && <Nothing>Choose a variety and enter how many plants: the plan appears here while you type.</Nothing>}
          {wish && plan.isError && <Refusal message={plan.error.message} />}
          {wish && plan.isPending && !plan.isError && <p className="text-pencil">Counting back…</p>}
          {wish && !plan.isError && plan.data && (
            <div className="flex flex-col gap-4">
              <PlanBeside plan={plan.data} today={today} container={container} choose={(seeds) => set({ seedsPerCell: String(seeds) })} takeOffer={takeOffer} />
              <Paths wish={wish} choose={(containerPath) => set({ containerPath, seedsPerCell: '' })} />
              <details onToggle={(event) => setOften(event.currentTarget.open)}>
                <summary className="trail min-h-11 content-center text-sm">Little and often: spread it over a period</summary>
                {often && <SuccessionForm wish={wish} growerId={typed.growerId} siteId={typed.siteId} />}
              </details>
            </div>
          )}
        </section>
      </div>
    </>
  );
}
