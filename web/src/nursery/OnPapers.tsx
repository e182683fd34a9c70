import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { announce } from '../look/announce';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';

/** What the nursery is called and where growers ring: the head of every delivery note. */
export function OnPapers() {
  const nursery = useQuery({ queryKey: ['nursery'], queryFn: () => answered(api.GET('/api/nursery')) });
  const [typed, setTyped] = useState<{ name?: string; telephone?: string }>({});
  const change = useChange((entry: { name: string; telephone: string }) => answered(api.PUT('/api/nursery', { body: entry })));
  if (!nursery.data) return null;
  const entry = { ...nursery.data, ...typed };
  const changed = entry.name !== nursery.data.name || entry.telephone !== nursery.data.telephone;
  const atName = change.error?.problemAt('name');
  const atTelephone = change.error?.problemAt('telephone');
  return (
    <section aria-label={say('On delivery notes')} className="mb-6">
      <h2 className="mb-2">{say('On delivery notes')}</h2>
      <form
        className="board grid items-end gap-3 p-4 sm:grid-cols-[1fr_1fr_auto]"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate(entry, {
            onSuccess: () => {
              setTyped({});
              announce(say('Saved: what stands on delivery notes.'));
            },
          });
        }}
      >
        <Field name={say('Name of the nursery')} problem={atName}>
          <Input className="entry" value={entry.name} onChange={(event) => setTyped({ ...typed, name: event.target.value })} />
        </Field>
        <Field name={say('Telephone for growers')} problem={atTelephone}>
          <Input className="entry" type="tel" value={entry.telephone} onChange={(event) => setTyped({ ...typed, telephone: event.target.value })} />
        </Field>
        <button className="act act-main" disabled={!changed || change.isPending}>
          {say('Save')}
        </button>
        {change.error && !atName && !atTelephone && <Refusal message={change.error.message} />}
      </form>
    </section>
  );
}
