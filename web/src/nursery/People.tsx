import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { Choices, PersonView, ResetView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useSession } from '../api/queries';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { dayWords, timeWords } from '../words/days';
import { say } from '../words/say';

const ROLES = { PROPAGATOR: say('propagator'), BENCH_HAND: say('bench hand'), GROWER: say('grower') };

/** The people who can sign in, each changed where they stand; those who are kept out stand below, for what they did stays. */
export function People({ people, choices }: { people: PersonView[]; choices: Choices }) {
  const [chosen, setChosen] = useState<number>();
  const person = people.find((each) => each.id === chosen);
  const inOrder = [...people].sort((one, other) => Number(one.keptOut) - Number(other.keptOut));
  return (
    <>
      <ul className="divide-y divide-rule">
        {inOrder.map((each) => (
          <li key={each.id} className="flex flex-wrap items-center gap-x-3">
            <span className={`grow py-1 [overflow-wrap:anywhere] ${each.keptOut ? 'text-pencil' : ''}`}>
              <strong>{each.name}</strong>, {ROLES[each.role]}
              {each.growerId != null && ` (${choices.growers.find((grower) => grower.id === each.growerId)?.name ?? ''})`}, {each.email}
              {each.keptOut && say(', kept out')}
            </span>
            <button className="trail min-h-11 px-2" aria-label={say('Change {person}', { person: each.name })} onClick={() => setChosen(each.id)}>
              {say('Change')}
            </button>
          </li>
        ))}
      </ul>
      <Sheet title={person?.name ?? ''} open={person !== undefined} close={() => setChosen(undefined)}>
        {person && <PersonSheet key={person.id} person={person} choices={choices} done={() => setChosen(undefined)} />}
      </Sheet>
    </>
  );
}

function PersonSheet({ person, choices, done }: { person: PersonView; choices: Choices; done: () => void }) {
  const [typed, setTyped] = useState({ name: person.name, email: person.email, role: person.role, growerId: String(person.growerId ?? '') });
  const path = { params: { path: { id: person.id } } };
  const put = useChange(() =>
    answered(
      api.PUT('/api/people/{id}', {
        ...path,
        body: {
          name: typed.name,
          email: typed.email,
          role: typed.role,
          ...(typed.role === 'GROWER' && typed.growerId ? { growerId: Number(typed.growerId) } : {}),
        },
      }),
    ),
  );
  const placed = ['name', 'email', 'role', 'growerId'].some((field) => put.error?.problemAt(field));
  return (
    <>
      <form
        noValidate
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          put.mutate(undefined, { onSuccess: done });
        }}
      >
        <Field name={say('Name')} problem={put.error?.problemAt('name')}>
          <Input className="entry" autoComplete="off" value={typed.name} onChange={(event) => setTyped({ ...typed, name: event.target.value })} />
        </Field>
        <Field
          name={say('E-mail address')}
          hint={say('they sign in with it; with another one they sign in anew')}
          problem={put.error?.problemAt('email')}
        >
          <Input
            className="entry"
            type="email"
            autoComplete="off"
            value={typed.email}
            onChange={(event) => setTyped({ ...typed, email: event.target.value })}
          />
        </Field>
        <Field name={say('What they do')} problem={put.error?.problemAt('role')}>
          <Select className="entry" value={typed.role} onChange={(event) => setTyped({ ...typed, role: event.target.value as PersonView['role'] })}>
            <option value="PROPAGATOR">{say('Propagator: plans, takes orders, releases')}</option>
            <option value="BENCH_HAND">{say('Bench hand: sows, counts, moves')}</option>
            <option value="GROWER">{say('Grower: sees their own orders')}</option>
          </Select>
        </Field>
        {typed.role === 'GROWER' && (
          <Field name={say('Of which grower')} problem={put.error?.problemAt('growerId')}>
            <Select className="entry" value={typed.growerId} onChange={(event) => setTyped({ ...typed, growerId: event.target.value })}>
              <option value="">{say('Choose…')}</option>
              {choices.growers.map((grower) => (
                <option key={grower.id} value={grower.id}>
                  {grower.name}
                </option>
              ))}
            </Select>
          </Field>
        )}
        <Refusal message={put.error && !placed ? put.error.message : undefined} />
        <button className="act act-main self-start" disabled={put.isPending}>
          {say('Save')}
        </button>
      </form>
      <Access person={person} />
    </>
  );
}

/** A new password without a mail server, and keeping somebody out. */
function Access({ person }: { person: PersonView }) {
  const self = useSession().data?.person === person.id;
  const [given, setGiven] = useState<ResetView>();
  const path = { params: { path: { id: person.id } } };
  const reset = useChange(async () => setGiven(await answered(api.POST('/api/people/{id}/resets', path))));
  const keepOut = useChange(() => answered(api.DELETE('/api/people/{id}/access', path)));
  const letIn = useChange(() => answered(api.POST('/api/people/{id}/access', path)));
  const refused = reset.error ?? keepOut.error ?? letIn.error;
  if (person.keptOut)
    return (
      <div className="mt-5 border-t border-rule pt-4">
        <p className="mb-2">{say('They cannot sign in. What they did stays with their name.')}</p>
        <button className="act" disabled={letIn.isPending} onClick={() => letIn.mutate(undefined)}>
          {say('Let them in again')}
        </button>
        <Refusal message={refused?.message} />
      </div>
    );
  return (
    <div className="mt-5 flex flex-col gap-3 border-t border-rule pt-4">
      {given ? (
        <div role="status" className="border-l-4 border-dusk bg-wash p-3">
          <p>{say('Write this down for {name}, or read it out. It is shown only now:', { name: person.name })}</p>
          <p className="my-1 font-semibold break-all select-all">{`${window.location.origin}/new-password/${given.code}`}</p>
          <p className="text-sm text-pencil">
            {say('With it they choose a password of their own, once, until {day}, {time}. The old one holds until then.', {
              day: dayWords(given.until.slice(0, 10)),
              time: timeWords(given.until.slice(11, 16)),
            })}
          </p>
        </div>
      ) : (
        <button className="act self-start" disabled={reset.isPending} onClick={() => reset.mutate(undefined)}>
          {say('Make a code for a new password')}
        </button>
      )}
      {!self && (
        <button className="act self-start" disabled={keepOut.isPending} onClick={() => keepOut.mutate(undefined)}>
          {say('Keep them out from now on')}
        </button>
      )}
      <Refusal message={refused?.message} />
    </div>
  );
}
