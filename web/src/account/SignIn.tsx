import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';

export function SignIn({ session }: { session: SessionView }) {
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
      {session.demo && <p className="text-sm text-pencil">{say('Demonstration: the start command printed the addresses and the password.')}</p>}
    </main>
  );
}
