import { useState } from 'react';
import { answered, api } from '../api/client';
import { useBenchChange } from '../bench/useOutbox';
import { Refusal } from '../look/States';
import { massTyped, massUnit, typedMass } from '../words/quantity';
import { say } from '../words/say';
import type { TrayWater } from './waterWords';

type Weight = { trays: number[]; kind: 'WEIGHED'; grams: number };

/** A tray on the scale: what it shows is asked for where one is connected, and typed otherwise. */
export function WeighTray({ tray, hasScale, close }: { tray: TrayWater; hasScale: boolean; close: () => void }) {
  const [typed, setTyped] = useState('');
  const [silent, setSilent] = useState<string>();
  const weigh = useBenchChange<Weight>('/api/water', () => say('weight of {code}', { code: tray.code }));
  const grams = typedMass(typed);
  const ask = () =>
    answered(api.GET('/api/scale/trays/{number}', { params: { path: { number: tray.tray } } })).then(
      (shown) => setTyped(massTyped(shown.grams)),
      (thrown: unknown) => setSilent(thrown instanceof Error ? thrown.message : String(thrown)),
    );
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (grams !== undefined) weigh.mutate({ trays: [tray.tray], kind: 'WEIGHED', grams }, { onSuccess: close });
      }}
    >
      {hasScale && (
        <button type="button" className="act" onClick={() => void ask()}>
          {say('On the scale')}
        </button>
      )}
      <input
        className="entry w-24"
        inputMode="decimal"
        aria-label={say('Weight of {code}, {unit}', { code: tray.code, unit: massUnit() })}
        placeholder={massUnit()}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <button className="act" disabled={grams === undefined || weigh.isPending}>
        {say('Weighed')}
      </button>
      <Refusal message={weigh.error?.message ?? silent} />
    </form>
  );
}
