import { Input, Select } from '@headlessui/react';
import { useState } from 'react';
import type { BatchView, PottingView, PotView } from '../api/client';
import { useChoices, usePotting, useStock } from '../api/queries';
import { useBenchChange } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Caution, Refusal } from '../look/States';
import { fittingMix } from '../media/fittingMix';
import { MixChoice } from '../media/MixChoice';
import { say } from '../words/say';
import { isOdd, Parted, parted } from './Parted';
import { PotDrawing } from './PotDrawing';
import { PotNeeds } from './PotNeeds';
import { RootsTold } from './RootsTold';

interface Potted extends Record<string, unknown> {
  tray?: number;
  container: string;
  plants: number;
  mix?: number;
  small?: number;
  spare?: number;
  culled?: number;
}

const DEPTH: Record<PottingView['depth'], string> = {
  LEVEL: say('As deep as it stood.'),
  DEEP: say('Deep, up to the lowest true leaves: take the seed leaves off first.'),
  DISPUTED: say('Level, or deep with the seed leaves taken off first: both are done.'),
};

/** A container as a choice: which one was planned, and which one nothing speaks against. */
function optionWords(name: string, pot?: PotView): string {
  if (!pot) return name;
  if (pot.planned) return say('{name}, as planned', { name });
  return pot.remarks.every((remark) => remark.kind === 'NeverCounted') ? say('{name}, fits', { name }) : name;
}

/** Potting on: so many plants of a tray into larger containers, whose trays are numbered as they are filled. */
export function PotWork({ batch, alive }: { batch: BatchView; alive: BatchView['layout']['living'] }) {
  const [open, setOpen] = useState(false);
  const choices = useChoices();
  const [tray, setTray] = useState('');
  const [container, setContainer] = useState('');
  const [plants, setPlants] = useState('');
  const mixes = useStock().data?.mixes ?? [];
  const [mix, setMix] = useState<string>();
  const filledFrom = mix ?? String(fittingMix(mixes, 'POTTING')?.number ?? '');
  const known = choices.data?.containers ?? [];
  const volume = (code: string) => known.find((each) => each.code === code)?.cellVolume ?? 0;
  const smallest = [...alive].sort((one, other) => volume(one.container) - volume(other.container))[0];
  const together = alive.filter((each) => each.container === smallest?.container);
  const whole = smallest && { tray: undefined, container: smallest.container, plants: together.reduce((sum, each) => sum + each.plants, 0) };
  const from = tray === '' ? whole : alive.find((each) => String(each.tray) === tray);
  const present = known.find((each) => each.code === from?.container);
  const larger = known
    .filter((each) => each.kind !== 'OPEN' && each.cellVolume > (present?.cellVolume ?? 0))
    .sort((one, other) => one.cellVolume - other.cellVolume);
  const at = batch.layout.containers.indexOf(from?.container ?? '');
  const next = at < 0 ? undefined : batch.layout.containers[at + 1];
  const potting = usePotting(batch.summary.number, open).data;
  const code = container || (next ?? potting?.pots[0]?.container ?? larger[0]?.code ?? '');
  const chosen = potting?.pots.find((each) => each.container === code);
  const [grades, setGrades] = useState({ small: '', spare: '', culled: '' });
  const pot = useBenchChange<Potted>(`/api/batches/${batch.summary.number}/pottings`, (entry) =>
    say('potting of {plants, plural, one {# plant} other {# plants}}', { plants: entry.plants }),
  );
  const into = larger.find((each) => each.code === code);
  if (!from) return null;
  const count = Number(plants || from.plants);
  return (
    <>
      <button className="act" onClick={() => setOpen(true)}>
        {say('Pot on')}
      </button>
      <Sheet title={say('Pot on into larger containers')} open={open} close={() => setOpen(false)}>
        <div className="flex flex-col gap-3">
          {potting && <RootsTold potting={potting} />}
          {(batch.summary.stage === 'EMERGING' || present?.kind === 'OPEN') && <p>{say('Prick out by the leaf, never by the stem.')}</p>}
          <Field name={say('From tray')}>
            <Select className="entry" value={tray} onChange={(event) => setTray(event.target.value)}>
              <option value="">{say('All trays, {plants, plural, one {# plant} other {# plants}}', { plants: whole?.plants ?? 0 })}</option>
              {alive.map((each) => (
                <option key={each.tray} value={each.tray}>
                  T{each.tray}, {say('{plants, plural, one {# plant} other {# plants}}', { plants: each.plants })}
                </option>
              ))}
            </Select>
          </Field>
          <Field name={say('Into')} problem={pot.error?.problemAt('container')}>
            <Select className="entry" value={code} onChange={(event) => setContainer(event.target.value)}>
              {larger.map((each) => (
                <option key={each.code} value={each.code}>
                  {optionWords(
                    each.name,
                    potting?.pots.find((pot) => pot.container === each.code),
                  )}
                </option>
              ))}
            </Select>
          </Field>
          {potting && chosen && from.container === smallest?.container && (
            <>
              {present?.kind !== 'OPEN' && <PotDrawing potting={potting} pot={chosen} />}
              <PotNeeds potting={potting} pot={chosen} plants={count} />
            </>
          )}
          <MixChoice mixes={mixes} value={filledFrom} set={setMix} problem={pot.error?.problemAt('mix')} />
          <Field name={say('Plants')} problem={pot.error?.problemAt('plants')}>
            <Input className="entry" inputMode="numeric" value={plants || from.plants} onChange={(event) => setPlants(event.target.value)} />
          </Field>
          <Parted grades={grades} set={setGrades} problem={pot.error?.problemAt('small')} />
          <p className="text-sm text-pencil">
            {potting ? DEPTH[potting.depth] : ''}{' '}
            {say(
              'Plant in the middle, firm lightly, leave a watering gap. One variety at a time, a label on each carrier. Then stand them in water until the top is dark.',
            )}
          </p>
          <Caution>
            {say('Dust of dry mix: damp it down and wear a mask. Bagged compost: open it away from the face, wear gloves, wash hands.')}
          </Caution>
          <Refusal
            message={
              pot.error && !pot.error.problemAt('plants') && !pot.error.problemAt('container') && !pot.error.problemAt('small')
                ? pot.error.message
                : undefined
            }
          />
          <button
            className="act act-main"
            disabled={pot.isPending || !into || Object.values(grades).some(isOdd)}
            onClick={() =>
              pot.mutate(
                {
                  ...(from.tray === undefined ? {} : { tray: from.tray }),
                  container: code,
                  plants: count,
                  ...(filledFrom !== '' && { mix: Number(filledFrom) }),
                  ...parted(grades),
                },
                {
                  onSuccess: () => {
                    setOpen(false);
                    setGrades({ small: '', spare: '', culled: '' });
                  },
                },
              )
            }
          >
            {say('Pot {plants, plural, one {# plant} other {# plants}} into {trays, plural, one {# tray} other {# trays}}', {
              plants: count,
              trays: into ? Math.ceil(count / into.cells) : 0,
            })}
          </button>
        </div>
      </Sheet>
    </>
  );
}
