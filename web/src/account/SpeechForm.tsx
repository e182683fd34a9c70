import { Select } from '@headlessui/react';
import { useState } from 'react';
import type { SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { METRIC, type Speech, speakFromNowOn } from '../words/speech';

const LANGUAGES: Record<Speech['language'], string> = {
  BRITISH: say('British English'),
  AMERICAN: say('American English'),
  STRETCHED: say('Stretched, to find words that are not translated'),
};

const UNITS = {
  temperature: { name: say('Temperatures in'), CELSIUS: '°C', FAHRENHEIT: '°F' },
  length: { name: say('Lengths in'), MILLIMETRES: say('millimetres and metres'), INCHES: say('inches and feet') },
  volume: { name: say('Volumes in'), LITRES: say('litres'), GALLONS: say('quarts and gallons') },
  mass: { name: say('Seed weighed in'), GRAMS: say('grams'), OUNCES: say('ounces') },
} as const;

/** In which language and units one is spoken to, on whatever device; the page begins anew with it. */
export function SpeechForm({ session }: { session: SessionView }) {
  const [chosen, setChosen] = useState<Speech>(session.speech ?? METRIC);
  const speak = useChange(async (next: Speech) => {
    await answered(api.PUT('/api/session/speech', { body: next }));
    if (speakFromNowOn(next)) window.location.reload();
  });
  // The stretched language is for whoever writes or translates Kiver; a nursery's own people are not offered it.
  const languages = (Object.keys(LANGUAGES) as Speech['language'][]).filter(
    (each) => each !== 'STRETCHED' || session.demo || chosen.language === 'STRETCHED',
  );
  return (
    <section aria-labelledby="speech" className="mb-8">
      <h2 id="speech" className="mb-1">
        {say('Language and units')}
      </h2>
      <p className="mb-3 text-sm text-pencil">{say('For you alone. Files that are read in and taken out keep °C, mm, L and g.')}</p>
      <form
        className="grid gap-4 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          speak.mutate(chosen);
        }}
        noValidate
      >
        <Field name={say('Language')}>
          <Select
            className="entry"
            value={chosen.language}
            onChange={(event) => setChosen({ ...chosen, language: event.target.value as Speech['language'] })}
          >
            {languages.map((each) => (
              <option key={each} value={each}>
                {LANGUAGES[each]}
              </option>
            ))}
          </Select>
        </Field>
        {(Object.keys(UNITS) as (keyof typeof UNITS)[]).map((kind) => {
          const { name, ...units } = UNITS[kind];
          return (
            <Field key={kind} name={name}>
              <Select className="entry" value={chosen[kind]} onChange={(event) => setChosen({ ...chosen, [kind]: event.target.value })}>
                {Object.entries(units).map(([unit, words]) => (
                  <option key={unit} value={unit}>
                    {words}
                  </option>
                ))}
              </Select>
            </Field>
          );
        })}
        <div className="sm:col-span-2">
          <Refusal message={speak.error?.message} />
          <button className="act act-main" disabled={speak.isPending}>
            {say('Speak to me so')}
          </button>
          {speak.isSuccess && (
            <span role="status" className="ml-3">
              {say('Kept.')}
            </span>
          )}
        </div>
      </form>
    </section>
  );
}
