import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { deviceTimeZone } from '../weather/here';
import { TakeHere } from '../weather/TakeHere';
import { altitudeTyped, altitudeUnit, typedAltitude, typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { AMERICAN, METRIC, speakFromNowOn, speech } from '../words/speech';

const EMPTY = { nursery: '', name: '', email: '', password: '', latitude: '', altitude: '' };

/** The first page of a new nursery: makes the propagator's account and says where the nursery lies; the rest can wait. */
export function FirstRun() {
  const [typed, setTyped] = useState(EMPTY);
  const setUp = useChange(async (entry: typeof EMPTY) => {
    await answered(
      api.POST('/api/setup', {
        body: {
          ...entry,
          latitude: typedNumber(entry.latitude) as number,
          altitude: Math.round(typedAltitude(entry.altitude) ?? Number.NaN),
          timeZone: deviceTimeZone(),
          speech,
        },
      }),
    );
    window.location.assign('/founding/climate');
  });
  const entry = (key: keyof typeof EMPTY, type: string, autoComplete: string) => (
    <Input
      className="entry"
      type={type}
      autoComplete={autoComplete}
      value={typed[key]}
      onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
    />
  );
  const american = speech.language === 'AMERICAN';
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-4 p-6">
      <h1>{say('Set up your nursery')}</h1>
      <p className="text-pencil">
        {american ? say('Figures are in °F, inches, feet and ounces.') : say('Figures are in °C, millimetres, metres and grams.')}{' '}
        <button
          type="button"
          className="trail min-h-11"
          onClick={() => {
            if (speakFromNowOn(american ? METRIC : AMERICAN)) window.location.reload();
          }}
        >
          {american ? say('°C, millimetres and metres instead') : say('°F, inches and feet instead')}
        </button>
      </p>
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
        <div className="grid grid-cols-2 items-start gap-3">
          <Field name={say('Latitude')} hint={say('degrees, south negative')} problem={setUp.error?.problemAt('latitude')}>
            {entry('latitude', 'text', 'off')}
          </Field>
          <Field name={say('Height above the sea')} hint={altitudeUnit()} problem={setUp.error?.problemAt('altitude')}>
            {entry('altitude', 'text', 'off')}
          </Field>
        </div>
        <TakeHere
          take={(here) =>
            setTyped({
              ...typed,
              latitude: String(here.latitude),
              altitude: here.altitude === undefined ? typed.altitude : altitudeTyped(here.altitude),
            })
          }
        />
        <Field name={say('Your name')} hint={say('the propagator: takes orders, plans and releases')} problem={setUp.error?.problemAt('name')}>
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
          {say('Found the nursery')}
        </button>
      </form>
    </main>
  );
}
