import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type PestAtSite } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { dayWords, shortDay } from '../words/days';
import { pestWords } from '../words/pests';
import { say } from '../words/say';

/** When pests are about at a site; what is seen of them there moves their span. */
export function PestsAtSite({ site }: { site: number }) {
  const pests = useQuery({
    queryKey: ['sites', site, 'pests'],
    queryFn: () => answered(api.GET('/api/sites/{id}/pests', { params: { path: { id: site } } })),
  });
  if (!pests.data) return null;
  return (
    <section aria-label={say('Pests')} className="board mb-5 p-4">
      <h2>{say('Pests')}</h2>
      <p className="text-sm text-pencil">
        {say('Usual times, later by height. Note the first day on which one is seen here: its time moves for this site, and plans go by it.')}
      </p>
      <ul className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
        {pests.data.map((pest) => (
          <OnePest key={pest.pest} site={site} pest={pest} />
        ))}
      </ul>
    </section>
  );
}

function OnePest({ site, pest }: { site: number; pest: PestAtSite }) {
  const [day, setDay] = useState('');
  const note = useChange((seen: string) =>
    answered(api.POST('/api/sites/{id}/pests', { params: { path: { id: site } }, body: { pest: pest.pest, day: seen } })),
  );
  const takeBack = useChange((seen: string) =>
    answered(api.DELETE('/api/sites/{id}/pests/{pest}/{day}', { params: { path: { id: site, pest: pest.pest, day: seen } } })),
  );
  return (
    <li className="flex flex-col gap-1 border-t border-rule py-2">
      <b>{pestWords(pest.pest)}</b>
      <span>{say('{from} to {until}', { from: shortDay(pest.from), until: shortDay(pest.until) })}</span>
      <span className="text-sm text-pencil">
        {say('{crops}: out by {day}, or after it{cover, select, true {, or under fleece or net} other {}}', {
          crops: pest.crops.join(', '),
          day: shortDay(pest.outBy),
          cover: String(pest.coverHelps),
        })}
      </span>
      {pest.seenOn.map((seen) => (
        <span key={seen} className="flex items-center gap-2 text-sm">
          {say('seen first on {day}', { day: dayWords(seen) })}
          <button className="trail min-h-11" disabled={takeBack.isPending} onClick={() => takeBack.mutate(seen)}>
            {say('Take back')}
            <span className="sr-only"> {pestWords(pest.pest)}</span>
          </button>
        </span>
      ))}
      <form
        noValidate
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          note.mutate(day, { onSuccess: () => setDay('') });
        }}
      >
        <Field name={say('Seen first on')} problem={note.error?.problemAt('day')}>
          <Input className="entry" type="date" value={day} onChange={(event) => setDay(event.target.value)} />
        </Field>
        <button className="act" disabled={note.isPending || day === ''}>
          {say('Note it')}
          <span className="sr-only"> {pestWords(pest.pest)}</span>
        </button>
      </form>
      <Refusal message={note.error && !note.error.problemAt('day') ? note.error.message : takeBack.error?.message} />
    </li>
  );
}
