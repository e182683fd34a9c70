import { useState } from 'react';
import type { PacketTaken } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices } from '../api/queries';
import { massUnit, lengthUnit, typedLength, typedMass, typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { AddForm } from './AddForm';

/** A packet as it lies on the table: variety and seed at once; three entries are enough. */
export function PacketForm() {
  const choices = useChoices();
  const [taken, setTaken] = useState<PacketTaken & { variety: string }>();
  if (!choices.data) return null;
  const whole = (text: string | undefined) => (text ? typedNumber(text) : undefined);
  return (
    <>
      <AddForm
        verb={say('Take the packet in')}
        entries={[
          { key: 'crop', name: say('Crop'), choices: choices.data.crops.map((crop) => ({ value: crop.code, name: crop.name })) },
          { key: 'variety', name: say('Variety') },
          { key: 'seeds', name: say('Seeds in it'), type: 'number', hint: say('or their weight') },
          { key: 'grams', name: say('Weight of the seed, {unit}', { unit: massUnit() }), type: 'number' },
          { key: 'germination', name: say('Germination, %'), type: 'number', hint: say('where the packet says it, also when below standard') },
          { key: 'packed', name: say('Packed or tested, year'), type: 'number', hint: say('empty: this year') },
          { key: 'supplier', name: say('Supplier'), hint: say('or own seed') },
          { key: 'code', name: say('Lot number'), hint: say('empty: Kiver makes one') },
          { key: 'days', name: say('Up after days, from'), type: 'number' },
          { key: 'daysAtMost', name: say('Up after days, to'), type: 'number' },
          { key: 'depth', name: say('Depth, {unit}', { unit: lengthUnit() }), type: 'number', hint: say('0 for pressed in') },
        ]}
        add={async (typed) => {
          const made = await answered(
            api.POST('/api/packets', {
              body: {
                crop: typed.crop ?? '',
                variety: typed.variety ?? '',
                supplier: typed.supplier ?? '',
                code: typed.code ?? '',
                ...defined({
                  seeds: whole(typed.seeds),
                  grams: typed.grams ? typedMass(typed.grams) : undefined,
                  germination: typed.germination ? typedNumber(typed.germination)! / 100 : undefined,
                  packed: whole(typed.packed),
                  days: whole(typed.days),
                  daysAtMost: whole(typed.daysAtMost),
                  depth: typed.depth ? typedLength(typed.depth) : undefined,
                }),
              },
            }),
          );
          setTaken({ ...made, variety: typed.variety ?? '' });
        }}
      />
      {taken && (
        <p role="status" className="mt-3 border-l-4 border-dusk pl-3">
          {say('{variety} is in the store as lot {code}, {seeds, plural, one {# seed} other {# seeds}}.', {
            variety: taken.variety,
            code: taken.code,
            seeds: taken.seeds,
          })}{' '}
          {taken.germinationUnsaid &&
            say('Its germination was not said: 85 in 100 are reckoned with, as little known as from a score of seeds, until counts tell.')}
        </p>
      )}
    </>
  );
}

/** Without the entries that are not there. */
function defined<Entries extends Record<string, number | undefined>>(entries: Entries): { [Key in keyof Entries]?: number } {
  return Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined)) as { [Key in keyof Entries]?: number };
}
