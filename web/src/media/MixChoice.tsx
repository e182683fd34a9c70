import { Select } from '@headlessui/react';
import type { MixLotView } from '../api/client';
import { Field } from '../look/Field';
import { volume } from '../words/quantity';
import { say } from '../words/say';

/** From which mix cells or pots are filled; the empty choice is for what has no number. */
export function MixChoice({
  mixes,
  value,
  set,
  problem,
}: {
  mixes: MixLotView[];
  value: string;
  set: (mix: string) => void;
  problem: string | undefined;
}) {
  return (
    <Field name={say('Filled from')} problem={problem}>
      <Select className="entry" value={value} onChange={(event) => set(event.target.value)}>
        {mixes.map((mix) => (
          <option key={mix.number} value={mix.number}>
            {say('mix {number}, {name}, {volume} left', { number: mix.number, name: mix.name, volume: volume(mix.litres) })}
          </option>
        ))}
        <option value="">{say('something else')}</option>
      </Select>
    </Field>
  );
}
