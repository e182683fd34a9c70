import { Input } from '@headlessui/react';
import { useState } from 'react';
import { answered, api } from '../api/client';
import { useNumberedChange } from '../api/queries';
import { Refusal } from '../look/States';
import { typedVolume, volumeTyped, volumeUnit } from '../words/quantity';
import { say } from '../words/say';

/** Somebody looked how much is left: the difference goes into the ledger. */
export function CountLeft({ mix, delivery, what, left }: { mix?: number; delivery?: number; what: string; left: number }) {
  const [typed, setTyped] = useState<string>();
  const count = useNumberedChange((entry: { litres: number }, requestId) =>
    answered(
      api.POST('/api/stock/counts', {
        body: { requestId, ...(mix !== undefined && { mix }), ...(delivery !== undefined && { delivery }), ...entry },
      }),
    ),
  );
  if (typed === undefined) {
    return (
      <button
        type="button"
        className="trail min-h-11 text-sm"
        aria-label={say('Say how much of {what} is left', { what })}
        onClick={() => setTyped(volumeTyped(Math.max(0, left)))}
      >
        {say('Looked')}
      </button>
    );
  }
  const litres = typedVolume(typed);
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (litres !== undefined) count.mutate({ litres }, { onSuccess: () => setTyped(undefined) });
      }}
    >
      <Input
        autoFocus
        className="entry w-24"
        inputMode="decimal"
        aria-label={say('Left of {what}, {unit}', { what, unit: volumeUnit() })}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <span>{volumeUnit()}</span>
      <button className="act" disabled={litres === undefined || count.isPending}>
        {say('Save')}
      </button>
      <Refusal message={count.error?.message} />
    </form>
  );
}
