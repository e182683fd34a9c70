import { Input } from '@headlessui/react';
import { useState } from 'react';
import { useOutbox, useRecord, whyNot } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { degrees, temperatureUnit, typedTemperature } from '../words/quantity';
import { say } from '../words/say';

/** A thermometer that keeps the lowest and the highest, read at the stop; also where there is no signal. */
export function ReadThermometer({ placeId, place }: { placeId: number; place: string }) {
  const [open, setOpen] = useState(false);
  const [lowest, setLowest] = useState('');
  const [highest, setHighest] = useState('');
  const [problem, setProblem] = useState<string>();
  const path = `/api/places/${placeId}/hand-readings`;
  const waits = useOutbox().waiting.some((letter) => letter.path === path);
  const record = useRecord();
  if (!open) {
    return (
      <button className="trail no-print min-h-11 text-sm" onClick={() => setOpen(true)}>
        {waits ? say('Thermometer read, waiting to be sent') : say('Read the thermometer')}
      </button>
    );
  }
  const save = () => {
    const minimum = typedTemperature(lowest);
    const maximum = typedTemperature(highest);
    if (minimum === undefined || maximum === undefined) {
      setProblem(say('Enter both figures as the thermometer shows them.'));
      return;
    }
    if (minimum > maximum) {
      setProblem(say('The highest is below the lowest. Look again which is which.'));
      return;
    }
    record(
      path,
      { minimum, maximum },
      say('thermometer of {place}: {lowest} to {highest}', { place, lowest: degrees(minimum), highest: degrees(maximum) }),
    )
      .then(() => {
        setOpen(false);
        setLowest('');
        setHighest('');
        setProblem(undefined);
      })
      .catch((full: unknown) => setProblem(whyNot(full)));
  };
  return (
    <form
      noValidate
      aria-label={say('Thermometer of {place}', { place })}
      className="board my-1 flex flex-wrap items-end gap-3 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="w-28">
        <Field name={say('Lowest, {unit}', { unit: temperatureUnit() })}>
          <Input className="entry" inputMode="text" autoFocus value={lowest} onChange={(event) => setLowest(event.target.value)} />
        </Field>
      </div>
      <div className="w-28">
        <Field name={say('Highest, {unit}', { unit: temperatureUnit() })}>
          <Input className="entry" inputMode="text" value={highest} onChange={(event) => setHighest(event.target.value)} />
        </Field>
      </div>
      <button className="act act-main">{say('Save, and set it back')}</button>
      <button type="button" className="act" onClick={() => setOpen(false)}>
        {say('Cancel')}
      </button>
      <p className="basis-full text-sm text-pencil">{say('Since yesterday morning. It counts for more than what a probe sent of that day.')}</p>
      <Refusal message={problem} />
    </form>
  );
}
