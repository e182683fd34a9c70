import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';

/** Somebody chooses a new password by a code that was given to them. */
export function NewPassword({ code }: { code: string }) {
  const [typed, setTyped] = useState(decodeURIComponent(code));
  const [password, setPassword] = useState('');
  const choose = useChange((entry: { code: string; password: string }) => answered(api.POST('/api/session/reset', { body: entry })));
  return (
    <main className="mx-auto flex min-h-dvh max-w-sm flex-col justify-center gap-5 p-6">
      <div className="flex items-center gap-3">
        <img src="/mark.svg" alt="" width="44" height="44" />
        <h1>{say('Choose a new password')}</h1>
      </div>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          // The page is loaded anew, so that nothing of who was signed in before stays in it.
          choose.mutate({ code: typed, password }, { onSuccess: () => window.location.assign('/') });
        }}
      >
        <Field name={say('The code that was given to you')} problem={choose.error?.problemAt('code')}>
          <Input className="entry" autoComplete="off" autoCapitalize="characters" value={typed} onChange={(event) => setTyped(event.target.value)} />
        </Field>
        <Field name={say('New password')} hint={say('10 letters or more')} problem={choose.error?.problemAt('password')}>
          <Input
            className="entry"
            type="password"
            autoComplete="new-password"
            autoFocus
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </Field>
        {choose.error && choose.error.problems.length === 0 && <Refusal message={choose.error.message} />}
        <button className="act act-main" disabled={choose.isPending}>
          {say('Take it and sign in')}
        </button>
      </form>
    </main>
  );
}
