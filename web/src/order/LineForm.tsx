import { Input, Select } from '@headlessui/react';
import type { Choices } from '../api/client';
import { Field } from '../look/Field';
import type { TypedLine } from './typedLine';
import { VarietyChoice } from './VarietyChoice';
import { say } from '../words/say';

/** The fields of one line: what, how many, how large, in what, for when. */
export function LineForm({
  choices,
  typed,
  set,
  problem,
}: {
  choices: Choices;
  typed: TypedLine;
  set: (change: Partial<TypedLine>) => void;
  problem: (field: string) => string | undefined;
}) {
  const number = (field: 'plants' | 'leavesFrom' | 'leavesTo', name: string) => (
    <Field name={name} problem={problem(field)}>
      <Input
        className="entry"
        inputMode="numeric"
        value={typed[field]}
        aria-invalid={problem(field) ? true : undefined}
        onChange={(event) => set({ [field]: event.target.value })}
      />
    </Field>
  );
  return (
    <>
      <VarietyChoice
        varieties={choices.varieties}
        chosen={typed.varietyId}
        problem={problem('varietyId')}
        choose={(varietyId) => set({ varietyId, seedsPerCell: '', overWinter: false })}
      />
      {number('plants', say('Plants'))}
      <div className="grid grid-cols-2 gap-3">
        {number('leavesFrom', say('True leaves, from'))}
        {number('leavesTo', say('to'))}
      </div>
      <Field name={say('Container')} problem={problem('container')}>
        <Select
          className="entry"
          value={typed.container}
          onChange={(event) => set({ container: event.target.value, seedsPerCell: '', containerPath: 'STRAIGHT' })}
        >
          {choices.containers
            .filter((each) => each.kind !== 'OPEN')
            .map((each) => (
              <option key={each.code} value={each.code}>
                {each.name}
              </option>
            ))}
        </Select>
      </Field>
      <Field name={say('Wanted on')} problem={problem('target')}>
        <Input
          className="entry"
          type="date"
          value={typed.target}
          onChange={(event) => set({ target: event.target.value })}
          aria-invalid={problem('target') ? true : undefined}
        />
      </Field>
      <Field name={say('Taken as whole when missing')} hint={say('share of 100')} problem={problem('under')}>
        <Input className="entry" inputMode="decimal" value={typed.under} onChange={(event) => set({ under: event.target.value })} />
      </Field>
      {choices.varieties.find((each) => String(each.id) === typed.varietyId)?.hardy && (
        <label className="flex min-h-11 items-center gap-3">
          <input type="checkbox" className="size-5" checked={typed.overWinter} onChange={(event) => set({ overWinter: event.target.checked })} />
          {say('Sow in late summer and stand it over winter, cold')}
        </label>
      )}
      {typed.containerPath === 'CLUMPS' && (
        <Field name={say('The number counts')} problem={problem('countedIn')}>
          <Select className="entry" value={typed.countedIn} onChange={(event) => set({ countedIn: event.target.value as 'PLANTS' | 'CLUMPS' })}>
            <option value="PLANTS">{say('plants')}</option>
            <option value="CLUMPS">{say('clumps')}</option>
          </Select>
        </Field>
      )}
    </>
  );
}
