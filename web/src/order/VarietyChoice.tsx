import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import type { Choices } from '../api/client';
import { Field } from '../look/Field';
import { say } from '../words/say';

type Variety = Choices['varieties'][number];

/** A variety, found by typing part of its name or its crop's. */
export function VarietyChoice({
  varieties,
  chosen,
  choose,
  problem,
}: {
  varieties: Variety[];
  chosen: string;
  choose: (id: string) => void;
  problem?: string | undefined;
}) {
  const [typed, setTyped] = useState('');
  const selected = varieties.find((variety) => String(variety.id) === chosen) ?? null;
  const words = typed.toLowerCase().split(' ').filter(Boolean);
  const found = varieties.filter((variety) => {
    const name = `${variety.name} ${variety.crop}`.toLowerCase();
    return words.every((word) => name.includes(word));
  });
  return (
    <Field name={say('Variety')} problem={problem}>
      <Combobox
        immediate
        value={selected}
        by="id"
        onClose={() => setTyped('')}
        onChange={(variety: Variety | null) => variety && choose(String(variety.id))}
      >
        <ComboboxInput
          className="entry"
          autoComplete="off"
          placeholder={say('kale, lantern…')}
          displayValue={(variety: Variety | null) => (variety ? `${variety.name}, ${variety.crop.toLowerCase()}` : '')}
          onChange={(event) => setTyped(event.target.value)}
        />
        <ComboboxOptions anchor="bottom start" className="board z-20 max-h-80 w-(--input-width) overflow-y-auto shadow-lg empty:hidden">
          {found.map((variety) => (
            <ComboboxOption key={variety.id} value={variety} className="flex min-h-11 cursor-pointer items-center gap-2 px-3 data-focus:bg-wash">
              {variety.name} <span className="text-pencil">{variety.crop.toLowerCase()}</span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </Combobox>
    </Field>
  );
}
