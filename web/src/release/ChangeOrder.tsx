import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { Consequences, OrderEdit, OrderView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useNumberedChange } from '../api/queries';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { ConsequenceWords } from './ConsequenceWords';
import { say } from '../words/say';

/** Another quantity, another day, or not wanted any more: what follows is shown before it is done. */
export function ChangeOrder({ order }: { order: OrderView }) {
  const wanted = order.lines.filter((line) => !line.cancelledOn && line.released < line.asked.plants);
  const [kind, setKind] = useState<OrderEdit['kind']>('PLANTS');
  const [line, setLine] = useState(wanted.length === 1 ? String(wanted[0]!.line) : '');
  const [plants, setPlants] = useState('');
  const [target, setTarget] = useState(order.target);
  const [withdraw, setWithdraw] = useState(false);
  const [shown, setShown] = useState<{ edit: OrderEdit; consequences: Consequences }>();
  const ask = useChange((edit: OrderEdit) =>
    answered(api.POST('/api/orders/{number}/consequences', { params: { path: { number: order.number } }, body: edit })),
  );
  const make = useNumberedChange((entry: { edit: OrderEdit }, requestId) =>
    answered(api.POST('/api/orders/{number}/changes', { params: { path: { number: order.number } }, body: { requestId, ...entry } })),
  );
  const edit: OrderEdit = {
    kind,
    withdraw: false,
    ...(line ? { line: Number(line) } : {}),
    ...(kind === 'PLANTS' && plants.trim() ? { plants: Number(plants) } : {}),
    ...(kind === 'DAY' && target ? { target } : {}),
  };
  const changed = (set: () => void) => {
    set();
    setShown(undefined);
    make.reset();
  };
  const problem = (field: string) => ask.error?.problemAt(field) ?? make.error?.problemAt(field);
  const known = ['line', 'plants', 'target'];
  const other = [ask.error, make.error].find((error) => error && !error.problems.some((each) => known.some((field) => each.field.endsWith(field))));
  return (
    <details className="board p-4">
      <summary className="trail min-h-11 content-center">{say('Change or cancel')}</summary>
      <form
        className="flex flex-col gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          ask.mutate(edit, { onSuccess: (consequences) => setShown({ edit, consequences }) });
        }}
      >
        <Field name={say('What changes')}>
          <Select className="entry" value={kind} onChange={(event) => changed(() => setKind(event.target.value as OrderEdit['kind']))}>
            <option value="PLANTS">{say('How many')}</option>
            <option value="DAY">{say('The day')}</option>
            <option value="CANCEL">{say('Not wanted any more')}</option>
          </Select>
        </Field>
        {wanted.length > 1 && (
          <Field name={say('Of which line')} problem={problem('line')}>
            <Select className="entry" value={line} onChange={(event) => changed(() => setLine(event.target.value))}>
              <option value="">{kind === 'PLANTS' ? say('Choose…') : say('All lines')}</option>
              {wanted.map((each) => (
                <option key={each.line} value={each.line}>
                  {each.asked.plants} {each.asked.variety}
                </option>
              ))}
            </Select>
          </Field>
        )}
        {kind === 'PLANTS' && (
          <Field name={say('Plants wanted now')} problem={problem('plants')}>
            <Input className="entry" inputMode="numeric" value={plants} onChange={(event) => changed(() => setPlants(event.target.value))} />
          </Field>
        )}
        {kind === 'DAY' && (
          <Field name={say('Wanted now on')} problem={problem('target')}>
            <Input className="entry" type="date" value={target} onChange={(event) => changed(() => setTarget(event.target.value))} />
          </Field>
        )}
        <Refusal message={other?.message} />
        <button className="act" disabled={ask.isPending}>
          {say('What follows from it?')}
        </button>
      </form>
      {shown && (
        <div className="mt-3 flex flex-col gap-3" aria-live="polite">
          <ConsequenceWords consequences={shown.consequences} />
          {shown.edit.kind !== 'DAY' && shown.consequences.batches.some((batch) => batch.canBeWithdrawn || batch.canBeSownFor != null) && (
            <label className="flex min-h-11 items-center gap-2">
              <input type="checkbox" className="size-5" checked={withdraw} onChange={(event) => setWithdraw(event.target.checked)} />
              {say('Sow only what is wanted then')}
            </label>
          )}
          <button
            type="button"
            className="act act-main"
            disabled={make.isPending || shown.consequences.lines.some((each) => each.growing?.answer === 'NO')}
            onClick={() =>
              make.mutate(
                { edit: { ...shown.edit, withdraw } },
                {
                  onSuccess: () => {
                    setShown(undefined);
                    setPlants('');
                  },
                },
              )
            }
          >
            {doing(shown.edit)}
          </button>
        </div>
      )}
    </details>
  );
}

function doing(edit: OrderEdit): string {
  switch (edit.kind) {
    case 'PLANTS':
      return say('Change it to {plants, plural, one {# plant} other {# plants}}', { plants: edit.plants ?? 0 });
    case 'DAY':
      return say('Move the day');
    case 'CANCEL':
      return edit.line ? say('Cancel this line') : say('Cancel what has not gone');
  }
}
