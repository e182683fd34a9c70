import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Choices, LineView, OrderView } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices, useNumberedChange, useOrder } from '../api/queries';
import { Field } from '../look/Field';
import { Loading, Refusal, Trouble } from '../look/States';
import { addDays } from '../words/days';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { VarietyChoice } from './VarietyChoice';

/** Plants that somebody else raises: for a line that lacks plants, or for nobody yet. */
export function BuyInPage({ today }: { today: string }) {
  const [asked] = useSearchParams();
  const number = Number(asked.get('order'));
  return number > 0 ? (
    <ForLine number={number} position={Number(asked.get('line')) || 1} over={asked.has('over')} today={today} />
  ) : (
    <Buying today={today} over={false} />
  );
}

function ForLine({ number, position, over, today }: { number: number; position: number; over: boolean; today: string }) {
  const order = useOrder(number);
  if (order.isPending) return <Loading what={say('order {number}', { number })} />;
  if (order.isError) return <Trouble error={order.error} retry={() => order.refetch()} />;
  const line = order.data.order.lines.find((each) => each.line === position);
  return <Buying today={today} over={over} order={order.data.order} {...(line ? { line } : {})} />;
}

interface What {
  today: string;
  /** Whether it takes the place of what the line has now. */
  over: boolean;
  order?: OrderView;
  line?: LineView;
}

function Buying({ today, over, order, line }: What) {
  const choices = useChoices();
  if (choices.isPending) return <Loading what={say('growers and varieties')} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return <BuyingForm choices={choices.data} today={today} over={over} {...(order ? { order } : {})} {...(line ? { line } : {})} />;
}

/** One plant in ten more than are wanted: some die on the way to a grower. */
const WITH_LOSSES = 1.1;

function BuyingForm({ choices, today, over, order, line }: What & { choices: Choices }) {
  const navigate = useNavigate();
  const missing = line ? line.asked.plants - (over ? line.released : line.promised) : undefined;
  const [typed, setTyped] = useState({
    varietyId: line ? String(line.asked.varietyId) : '',
    plants: missing ? String(missing) : '',
    bought: missing ? String(Math.ceil(missing * WITH_LOSSES)) : '',
    supplier: '',
    code: '',
    price: '',
    comesIn: line?.asked.containerCode ?? choices.containers.find((each) => each.kind === 'CELLS')?.code ?? '',
    leaves: '2',
    arrives: addDays(today, 7),
    container: line?.asked.containerCode ?? choices.containers.find((each) => each.kind === 'CELLS')?.code ?? '',
    leavesFrom: String(line?.asked.leavesFrom ?? 4),
    leavesTo: String(line?.asked.leavesTo ?? 5),
    target: line?.asked.target ?? addDays(today, 28),
  });
  const set = (change: Partial<typeof typed>) => setTyped((now) => ({ ...now, ...change }));
  const number = (text: string) => typedNumber(text) as number;
  const consignmentOf = (entry: typeof typed) => ({
    supplier: entry.supplier,
    plants: number(entry.bought),
    container: entry.comesIn,
    leaves: number(entry.leaves),
    arrives: entry.arrives,
    ...(entry.code.trim() ? { code: entry.code.trim() } : {}),
    ...(entry.price.trim() ? { price: number(entry.price) } : {}),
  });
  const buy = useNumberedChange((entry: typeof typed, requestId) =>
    answered(
      api.POST('/api/batches/bought-in', {
        body: {
          requestId,
          wish: {
            varietyId: number(entry.varietyId),
            container: entry.container,
            plants: number(entry.plants),
            leavesFrom: number(entry.leavesFrom),
            leavesTo: number(entry.leavesTo),
            target: entry.target,
            ...(order ? { siteId: order.siteId } : {}),
          },
          consignment: consignmentOf(entry),
          ...(order && line ? { order: order.number, line: line.line } : {}),
        },
      }),
    ),
  );
  const goOver = useNumberedChange((entry: typeof typed, requestId) =>
    answered(
      api.POST('/api/orders/{number}/lines/{line}/route', {
        params: { path: { number: order?.number ?? 0, line: line?.line ?? 0 } },
        body: { requestId, route: 'BOUGHT_IN', consignment: consignmentOf(entry) },
      }),
    ),
  );
  const error = buy.error ?? goOver.error;
  const problem = (field: string) => error?.problemAt(field);
  const wished = (field: string) => error?.problems.find((each) => each.field === `wish.${field}` || each.field === field)?.message;
  const ordered = (field: string) => error?.problems.find((each) => each.field === `consignment.${field}`)?.message;
  const placed = error?.problems.some((each) => each.field !== '' && each.field !== 'line') ?? false;
  const containers = choices.containers
    .filter((each) => each.kind !== 'OPEN')
    .map((each) => (
      <option key={each.code} value={each.code}>
        {each.name}
      </option>
    ));
  const field = (key: keyof typeof typed, name: string, wrong: string | undefined, type: 'text' | 'number' | 'date' = 'text', hint?: string) => (
    <Field name={name} problem={wrong} {...(hint ? { hint } : {})}>
      <Input
        className="entry"
        type={type === 'date' ? 'date' : 'text'}
        inputMode={type === 'number' ? 'decimal' : undefined}
        autoComplete="off"
        value={typed[key]}
        aria-invalid={wrong ? true : undefined}
        onChange={(event) => set({ [key]: event.target.value })}
      />
    </Field>
  );
  return (
    <>
      <h1 className="mb-1">{say('Buy plants in')}</h1>
      <p className="mb-4 text-pencil">
        {order && line && over
          ? say('For order {order}, {grower}: {missing} {variety} instead of what is planned for them.', {
              order: order.number,
              grower: order.grower,
              missing,
              variety: line.asked.variety,
            })
          : order && line
            ? say('For order {order}, {grower}: {missing} of {plants} {variety} that nothing grows for.', {
                order: order.number,
                grower: order.grower,
                missing,
                plants: line.asked.plants,
                variety: line.asked.variety,
              })
            : say('For nobody yet; what comes can be promised at once.')}
      </p>
      <form
        className="grid max-w-4xl gap-6 lg:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          if (over && order) goOver.mutate(typed, { onSuccess: () => void navigate(`/orders/${order.number}`) });
          else buy.mutate(typed, { onSuccess: (planned) => void navigate(`/batches/${planned.number}`) });
        }}
      >
        <section aria-labelledby="what-comes" className="board flex flex-col gap-3 p-4">
          <h2 id="what-comes">{say('What comes')}</h2>
          {line ? null : (
            <VarietyChoice
              varieties={choices.varieties}
              chosen={typed.varietyId}
              problem={wished('varietyId')}
              choose={(varietyId) => set({ varietyId })}
            />
          )}
          {field('supplier', say('Raised by'), ordered('supplier'))}
          <div className="grid grid-cols-2 gap-3">
            {field('bought', say('Plants bought'), ordered('plants'), 'number', say('some will be lost'))}
            {field('price', say('Price of one'), ordered('price'), 'number', say('may be left out'))}
          </div>
          <div className="grid grid-cols-2 gap-3">
            {field('leaves', say('True leaves they come with'), ordered('leaves'), 'number')}
            {field('arrives', say('Arrive on'), ordered('arrives'), 'date')}
          </div>
          <Field name={say('Come in, or are set into')} problem={ordered('container')}>
            <Select className="entry" value={typed.comesIn} onChange={(event) => set({ comesIn: event.target.value })}>
              {containers}
            </Select>
          </Field>
          {field('code', say('Code on their papers'), problem('code'), 'text', say('may be left out'))}
        </section>
        <section aria-labelledby="what-goes-out" className="board flex h-fit flex-col gap-3 p-4">
          <h2 id="what-goes-out">{say('What goes out')}</h2>
          {!over && (
            <>
              {field('plants', say('Plants wanted'), wished('plants'), 'number')}
              <div className="grid grid-cols-2 gap-3">
                {field('leavesFrom', say('True leaves, from'), wished('leavesFrom'), 'number')}
                {field('leavesTo', say('to'), wished('leavesTo'), 'number')}
              </div>
              <Field name={say('Handed over in')} problem={wished('container')}>
                <Select className="entry" value={typed.container} onChange={(event) => set({ container: event.target.value })}>
                  {containers}
                </Select>
              </Field>
              {field('target', say('Wanted on'), wished('target'), 'date')}
            </>
          )}
          <p className="text-sm text-pencil">{say('They are not hardened when they come: that is planned before they go out.')}</p>
          <Refusal message={error && !placed ? error.message : undefined} />
          <button className="act act-main" disabled={buy.isPending || goOver.isPending}>
            {say('Plan what is bought in')}
          </button>
        </section>
      </form>
    </>
  );
}
