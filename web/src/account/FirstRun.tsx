import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { altitudeUnit, typedAltitude, typedNumber } from '../words/quantity';

const EMPTY = { nursery: '', name: '', email: '', password: '', latitude: '', altitude: '' };

/** The first page of a new nursery: makes the propagator's account. */
export function FirstRun() {
  const [typed, setTyped] = useState(EMPTY);
  const setUp = useChange((entry: typeof EMPTY) =>
    answered(
      api.POST('/api/setup', {
        body: { ...entry, latitude: typedNumber(entry.latitude) as number, altitude: typedAltitude(entry.altitude) as number },
      }),
    ),
  );
  const entry = (key: keyof typeof EMPTY, type: string, autoComplete: string) => (
    <Input
      className="entry"
      type={type}
      autoComplete={autoComplete}
      value={typed[key]}
      onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
    />
  );
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-4 p-6">
      <h1>{say('Set up your nursery')}</h1>
      <p className="text-pencil">{say("The first account is the propagator's: it takes orders, plans and releases.")}</p>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          setUp.mutate(typed);
        }}
      >
        <Field name={say('Name of the nursery')} problem={setUp.error?.problemAt('nursery')}>
          {entry('nursery', 'text', 'organization')}
        </Field>
        <div className="grid grid-cols-2 gap-3">
          <Field name={say('Latitude')} hint={say('degrees, south negative')} problem={setUp.error?.problemAt('latitude')}>
            {entry('latitude', 'text', 'off')}
          </Field>
          <Field name={say('Height above the sea')} hint={altitudeUnit()} problem={setUp.error?.problemAt('altitude')}>
            {entry('altitude', 'text', 'off')}
          </Field>
        </div>
        <p className="text-sm text-pencil">
          {say("From these Kiver knows the length of the days and assumes your weather, and says so, until you read a station's file in.")}
        </p>
        <Field name={say('Your name')} problem={setUp.error?.problemAt('name')}>
          {entry('name', 'text', 'name')}
        </Field>
        <Field name={say('E-mail address')} problem={setUp.error?.problemAt('email')}>
          {entry('email', 'email', 'username')}
        </Field>
        <Field name={say('Password')} hint={say('10 letters or more')} problem={setUp.error?.problemAt('password')}>
          {entry('password', 'password', 'new-password')}
        </Field>
        {setUp.error && setUp.error.problems.length === 0 && <Refusal message={setUp.error.message} />}
        <button className="act act-main" disabled={setUp.isPending}>
          {say('Make the first account')}
        </button>
      </form>
    </main>
  );
}
