import { Input } from '@headlessui/react';
import { Field } from '../look/Field';
import { say } from '../words/say';
import { typedNumber } from '../words/quantity';

export interface Grades {
  small: string;
  spare: string;
  culled: string;
}

const FIELDS: [keyof Grades, string][] = [
  ['small', say('Small')],
  ['spare', say('Spare')],
  ['culled', say('Thrown out')],
];

/** How plants are parted while they are potted: each kind into carriers of its own, what is no good is thrown out. */
export function Parted({ grades, set, problem }: { grades: Grades; set: (grades: Grades) => void; problem?: string }) {
  return (
    <details open={problem !== undefined || undefined}>
      <summary className="trail min-h-11 cursor-pointer content-center">{say('Parted by size')}</summary>
      <p className="mb-2 text-sm text-pencil">
        {say('Small and spare ones are among the plants potted, each in carriers of their own; they go last. Those thrown out come on top.')}
      </p>
      <div className="grid grid-cols-3 gap-3">
        {FIELDS.map(([key, name]) => (
          <Field key={key} name={name} problem={isOdd(grades[key]) ? say('Enter a whole number of plants.') : key === 'small' ? problem : undefined}>
            <Input className="entry" inputMode="numeric" value={grades[key]} onChange={(event) => set({ ...grades, [key]: event.target.value })} />
          </Field>
        ))}
      </div>
    </details>
  );
}

/** Whether something was entered that is no number of plants. */
export const isOdd = (typed: string): boolean => typed.trim() !== '' && !/^\d+$/.test(typed.trim());

/** Those of which something was entered. */
export const parted = (grades: Grades): Partial<Record<keyof Grades, number>> =>
  Object.fromEntries(
    FIELDS.map(([key]) => [key, typedNumber(grades[key])] as const).filter(([key, count]) => grades[key].trim() !== '' && count !== undefined),
  );
