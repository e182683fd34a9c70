import { useState } from 'react';
import { answered, api, type WaterView } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { mass, massTyped, massUnit, typedMass } from '../words/quantity';
import { say } from '../words/say';

type Weight = WaterView['weights'][number];

/** What filled containers weigh dry and soaked: weighed once, every weight after that tells how much water there is. */
export function ContainerWeights({ weights }: { weights: Weight[] }) {
  return (
    <details className="board mt-6 p-4">
      <summary className="min-h-11 cursor-pointer font-semibold">{say('What filled containers weigh')}</summary>
      <p className="mb-2 text-sm text-pencil">
        {say(
          'Weigh one that is filled and as dry as plants stand, and one that was soaked and has dripped. Until then it is worked out from the mix in it.',
        )}
      </p>
      <ul className="divide-y divide-rule">
        {weights.map((weight) => (
          <ContainerWeight key={`${weight.container} ${weight.dry} ${weight.soaked}`} weight={weight} />
        ))}
      </ul>
    </details>
  );
}

function ContainerWeight({ weight }: { weight: Weight }) {
  const [open, setOpen] = useState(false);
  const [dry, setDry] = useState(massTyped(weight.dry));
  const [soaked, setSoaked] = useState(massTyped(weight.soaked));
  const weigh = useChange((entry: { dry: number; soaked: number }) =>
    answered(api.PUT('/api/water/containers/{code}', { params: { path: { code: weight.container } }, body: entry })),
  );
  const typed = { dry: typedMass(dry), soaked: typedMass(soaked) };
  return (
    <li className="flex flex-wrap items-center gap-x-4 py-1 text-sm">
      <span className="mr-auto">
        {weight.name}:{' '}
        {say('{dry} dry, {soaked} soaked, {weighed, select, true {weighed} other {worked out}}', {
          dry: mass(weight.dry),
          soaked: mass(weight.soaked),
          weighed: String(weight.isWeighed),
        })}
      </span>
      <button
        type="button"
        className="trail min-h-11"
        aria-expanded={open}
        aria-label={say('Weigh {name}', { name: weight.name })}
        onClick={() => setOpen(!open)}
      >
        {say('Weigh')}
      </button>
      {open && (
        <form
          className="flex w-full flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (typed.dry !== undefined && typed.soaked !== undefined) weigh.mutate({ dry: typed.dry, soaked: typed.soaked });
          }}
        >
          <label className="flex items-center gap-2">
            {say('dry, {unit}', { unit: massUnit() })}
            <input className="entry w-24" inputMode="decimal" value={dry} onChange={(event) => setDry(event.target.value)} />
          </label>
          <label className="flex items-center gap-2">
            {say('soaked, {unit}', { unit: massUnit() })}
            <input className="entry w-24" inputMode="decimal" value={soaked} onChange={(event) => setSoaked(event.target.value)} />
          </label>
          <button className="act" disabled={typed.dry === undefined || typed.soaked === undefined || weigh.isPending}>
            {say('Save')}
          </button>
          <Refusal message={weigh.error?.message} />
        </form>
      )}
    </li>
  );
}
