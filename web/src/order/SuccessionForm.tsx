import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Refused, Wish } from '../api/client';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { addDays, dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';

/** The wish little and often: divided over a period, or the same again every so many days. */
export function SuccessionForm({ wish, growerId, siteId }: { wish: Wish; growerId: string; siteId: string }) {
  const navigate = useNavigate();
  const [standing, setStanding] = useState(false);
  const [until, setUntil] = useState(addDays(wish.target, 42));
  const [number, setNumber] = useState('4');
  const succession = { wish, until, ...(standing ? { every: Number(number) || undefined } : { count: Number(number) || undefined }) };
  const parts = useQuery<Awaited<ReturnType<typeof plan>>, Refused>({
    queryKey: ['succession', succession],
    retry: false,
    queryFn: () => plan(succession),
  });
  const take = useNumberedChange((entry: { growerId: number; siteId: number; succession: typeof succession }, requestId) =>
    answered(api.POST('/api/successions', { body: { requestId, ...entry } })),
  );
  const problem = (field: string) => parts.error?.problemAt(field) ?? take.error?.problemAt(field);
  return (
    <div className="flex flex-col gap-3 text-sm">
      <fieldset className="flex flex-wrap gap-2">
        <legend className="sr-only">{say('How often')}</legend>
        <label className={`act ${standing ? '' : 'act-main'}`}>
          <input
            type="radio"
            name="often"
            className="sr-only"
            checked={!standing}
            onChange={() => {
              setStanding(false);
              setNumber('4');
            }}
          />
          {say('Divide these plants')}
        </label>
        <label className={`act ${standing ? 'act-main' : ''}`}>
          <input
            type="radio"
            name="often"
            className="sr-only"
            checked={standing}
            onChange={() => {
              setStanding(true);
              setNumber('14');
            }}
          />
          {say('As many every time')}
        </label>
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <Field name={standing ? say('Every how many days') : say('Into how many sowings')} problem={problem(standing ? 'every' : 'count')}>
          <Input className="entry" inputMode="numeric" value={number} onChange={(event) => setNumber(event.target.value)} />
        </Field>
        <Field name={say('Last day')} problem={problem('until')}>
          <Input className="entry" type="date" value={until} onChange={(event) => event.target.value && setUntil(event.target.value)} />
        </Field>
      </div>
      {parts.isError && <Refusal message={parts.error.message} />}
      {parts.isPending && <p role="status">{say('Counting each sowing back…')}</p>}
      {parts.data && (
        <table className="w-full text-left">
          <caption className="pb-1 text-left font-semibold">{say('Ready evenly, sown as growth asks')}</caption>
          <thead className="text-pencil">
            <tr>
              <th className="font-normal">{say('Ready')}</th>
              <th className="font-normal">{say('Plants')}</th>
              <th className="font-normal">{say('Sow')}</th>
              <th className="font-normal">{say('Seeds')}</th>
              <th className="font-normal">{say('In time')}</th>
            </tr>
          </thead>
          <tbody>
            {parts.data.map((part) => (
              <tr key={part.ready} className="border-t border-rule">
                <td className="py-1">{dayWords(part.ready)}</td>
                <td>{part.plants}</td>
                <td>{part.sowDay ? dayWords(part.sowDay) : '–'}</td>
                <td>{part.seeds}</td>
                <td className={part.answer === 'NO' ? 'font-semibold text-brick' : ''} title={part.why}>
                  {part.answer === 'NO' ? say('no: {why}', { why: part.why }) : chanceWords(part.chance)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Refusal message={take.error && !problem('until') ? take.error.message : undefined} />
      <button
        type="button"
        className="act act-main"
        disabled={!growerId || !siteId || !parts.data || parts.data.some((part) => part.answer === 'NO') || take.isPending}
        onClick={() => take.mutate({ growerId: Number(growerId), siteId: Number(siteId), succession }, { onSuccess: () => void navigate('/orders') })}
      >
        {say('Take {orders, plural, one {# order} other {# orders}}, {plants, plural, one {# plant} other {# plants}} in all', {
          orders: parts.data?.length ?? 0,
          plants: parts.data?.reduce((sum, part) => sum + part.plants, 0) ?? 0,
        })}
      </button>
    </div>
  );
}

const plan = (succession: { wish: Wish; until: string; every?: number | undefined; count?: number | undefined }) =>
  answered(api.POST('/api/successions/plan', { body: succession as never }));
