import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { SignedIn } from './SignedIn';
import { SpeechForm } from './SpeechForm';

/** Whoever is signed in: how they are spoken to, and their password. */
export function AccountPage({ session }: { session: SessionView }) {
  const [present, setPresent] = useState('');
  const [password, setPassword] = useState('');
  const change = useChange(async (entry: { present: string; password: string }) => {
    await answered(api.POST('/api/session/password', { body: entry }));
    setPresent('');
    setPassword('');
  });
  return (
    <div className="max-w-md">
      <h1 className="mb-4">{session.name}</h1>
      <SpeechForm session={session} />
      <section aria-labelledby="password">
        <h2 id="password" className="mb-1">
          {say('Another password')}
        </h2>
        <p className="mb-3 text-sm text-pencil">{say('You stay signed in here; everywhere else you sign in anew.')}</p>
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate({ present, password });
          }}
          noValidate
        >
          <Field name={say('Present password')} problem={change.error?.problemAt('present')}>
            <Input
              className="entry"
              type="password"
              autoComplete="current-password"
              value={present}
              onChange={(event) => setPresent(event.target.value)}
            />
          </Field>
          <Field name={say('New password')} hint={say('10 letters or more')} problem={change.error?.problemAt('password')}>
            <Input
              className="entry"
              type="password"
              autoComplete="new-password"
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          </Field>
          {change.error && change.error.problems.length === 0 && <Refusal message={change.error.message} />}
          <button className="act act-main self-start" disabled={change.isPending}>
            {say('Change the password')}
          </button>
          {change.isSuccess && <p role="status">{say('The password is changed.')}</p>}
        </form>
      </section>
      <SignedIn />
    </div>
  );
}
