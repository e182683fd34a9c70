import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';

export function SignIn({ session, code = '' }: { session: SessionView; code?: string }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useChange((entry: { email: string; password: string }) => answered(api.POST('/api/session', { body: entry })));
  return (
    <main className="mx-auto flex min-h-dvh max-w-sm flex-col justify-center gap-5 p-6">
      <div className="flex items-center gap-3">
        <img src="/mark.svg" alt="" width="44" height="44" />
        <div>
          <h1>Kiver</h1>
          <p className="text-pencil">{session.nursery}</p>
        </div>
      </div>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate({ email, password });
        }}
        noValidate
      >
        <Field name={say('E-mail address')} problem={signIn.error?.problemAt('email')}>
          <Input className="entry" type="email" autoComplete="username" autoFocus value={email} onChange={(event) => setEmail(event.target.value)} />
        </Field>
        <Field name={say('Password')} problem={signIn.error?.problemAt('password')}>
          <Input
            className="entry"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </Field>
        {signIn.error && signIn.error.problems.length === 0 && <Refusal message={signIn.error.message} />}
        <button className="act act-main" disabled={signIn.isPending}>
          {say('Sign in')}
        </button>
      </form>
      <ByCode code={code} />
      {session.demo && <p className="text-sm text-pencil">{say('Demonstration: the start command printed the addresses and the password.')}</p>}
    </main>
  );
}

/** A grower opens their page by the code of a link, without an account. */
function ByCode({ code }: { code: string }) {
  const [typed, setTyped] = useState(decodeURIComponent(code));
  const open = useChange((entry: { code: string }) => answered(api.POST('/api/session/link', { body: entry })));
  return (
    <form
      className="flex flex-col gap-2 border-t border-rule pt-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        open.mutate({ code: typed }, { onSuccess: () => window.history.replaceState(null, '', '/') });
      }}
    >
      <Field name={say('Or the code from a delivery note')} problem={open.error?.problemAt('code')}>
        <Input className="entry" autoComplete="off" autoCapitalize="characters" value={typed} onChange={(event) => setTyped(event.target.value)} />
      </Field>
      {open.error && open.error.problems.length === 0 && <Refusal message={open.error.message} />}
      <button className="act" disabled={open.isPending || typed.trim() === ''}>
        {say('Open my plants')}
      </button>
    </form>
  );
}
