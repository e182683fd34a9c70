import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api, type StockView } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { typedNumber, volume } from '../words/quantity';
import { say } from '../words/say';

/** Bags that came: what stands on them, from whom, how many. */
export function Delivery({ ingredient }: { ingredient: StockView['ingredients'][number] }) {
  const [lot, setLot] = useState('');
  const [supplier, setSupplier] = useState(ingredient.deliveries.at(-1)?.supplier ?? '');
  const [bags, setBags] = useState('1');
  const count = typedNumber(bags);
  const deliver = useNumberedChange((entry: { lot: string; supplier: string; litres: number }, requestId) =>
    answered(api.POST('/api/stock/deliveries', { body: { requestId, ingredient: ingredient.code, ...entry } })),
  );
  return (
    <form
      noValidate
      className="grid items-end gap-2 border-t border-rule py-2 sm:grid-cols-[1fr_1fr_5rem_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        deliver.mutate({ lot, supplier, litres: (count ?? 0) * ingredient.bagLitres }, { onSuccess: () => setLot('') });
      }}
    >
      <Field name={say('On the bags')} problem={deliver.error?.problemAt('lot')}>
        <Input className="entry" value={lot} onChange={(event) => setLot(event.target.value)} />
      </Field>
      <Field name={say('Supplier')} problem={deliver.error?.problemAt('supplier')}>
        <Input className="entry" value={supplier} onChange={(event) => setSupplier(event.target.value)} />
      </Field>
      <Field name={say('Bags')} problem={deliver.error?.problemAt('litres')}>
        <Input className="entry" inputMode="decimal" value={bags} onChange={(event) => setBags(event.target.value)} />
      </Field>
      <button className="act" disabled={deliver.isPending}>
        {say('Put {volume} in the store', { volume: volume((count ?? 0) * ingredient.bagLitres) })}
      </button>
      <Refusal message={deliver.error && deliver.error.problems.length === 0 ? deliver.error.message : undefined} />
    </form>
  );
}
