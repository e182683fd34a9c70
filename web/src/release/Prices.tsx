import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { addDays } from '../words/days';
import { figures, typedNumber } from '../words/quantity';
import { say } from '../words/say';

const DAYS_BACK = 30;

/** What a plant costs, and what was handed over at it, as a file for whatever writes the invoices. */
export function Prices({ today }: { today: string }) {
  const prices = useQuery({ queryKey: ['prices'], queryFn: () => answered(api.GET('/api/prices')) });
  const [from, setFrom] = useState(addDays(today, -DAYS_BACK));
  const [until, setUntil] = useState(today);
  return (
    <section aria-label={say('Prices')} className="mt-6">
      <h2 className="mb-2">{say('Prices')}</h2>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <Field name={say('Handed over from')}>
          <Input className="entry" type="date" value={from} onChange={(event) => setFrom(event.target.value)} />
        </Field>
        <Field name={say('until')}>
          <Input className="entry" type="date" value={until} onChange={(event) => setUntil(event.target.value)} />
        </Field>
        <a className="act" href={`/api/invoicing?from=${from}&until=${until}`} download>
          {say('Fetch the list as CSV')}
        </a>
      </div>
      <details>
        <summary className="trail min-h-11 content-center">{say('What a plant costs')}</summary>
        <ul className="board grid gap-x-6 p-3 md:grid-cols-2 xl:grid-cols-3">
          {prices.data?.map((price) => (
            <Price key={`${price.crop} ${price.container}`} price={price} />
          ))}
        </ul>
      </details>
    </section>
  );
}

function Price({
  price,
}: {
  price: { crop: string; cropName: string; container: string; containerName: string; price?: number | null | undefined };
}) {
  const [typed, setTyped] = useState<string | undefined>();
  const set = useChange((amount: number | undefined) =>
    answered(api.PUT('/api/prices', { body: { crop: price.crop, container: price.container, ...(amount === undefined ? {} : { price: amount }) } })),
  );
  return (
    <li className="border-t border-rule py-1">
      <Field name={say('{crop}, {container}', { crop: price.cropName, container: price.containerName.toLowerCase() })} problem={set.error?.message}>
        <Input
          className="entry w-28"
          inputMode="decimal"
          value={typed ?? (price.price == null ? '' : figures(price.price, 2))}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => {
            if (typed !== undefined)
              set.mutate(typed.trim() === '' ? undefined : (typedNumber(typed) ?? -1), { onSuccess: () => setTyped(undefined) });
          }}
        />
      </Field>
    </li>
  );
}
