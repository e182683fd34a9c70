import { useState } from 'react';
import type { PacketEntry, PacketTaken } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices } from '../api/queries';
import { massUnit, lengthUnit, typedLength, typedMass, typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { AddForm, TICKED, type Entry } from './AddForm';

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
        further={say('What else the packet says')}
        entries={[
          { key: 'crop', name: say('Crop'), choices: choices.data.crops.map((crop) => ({ value: crop.code, name: crop.name })) },
          { key: 'variety', name: say('Variety') },
          { key: 'seeds', name: say('Seeds in it'), type: 'number', hint: say('or their weight') },
          { key: 'grams', name: say('Weight of the seed, {unit}', { unit: massUnit() }), type: 'number' },
          { key: 'germination', name: say('Germination, %'), type: 'number', hint: say('where the packet says it, also when below standard') },
          { key: 'packed', name: say('Packed or tested, year'), type: 'number', hint: say('empty: this year') },
          { key: 'supplier', name: say('Supplier') },
          ...FURTHER().map((entry) => ({ ...entry, further: true })),
        ]}
        add={async (typed) => {
          const made = await answered(
            api.POST('/api/packets', {
              body: {
                crop: typed.crop ?? '',
                variety: typed.variety ?? '',
                supplier: typed.supplier ?? '',
                code: typed.code ?? '',
                belowStandard: typed.belowStandard === TICKED,
                hybrid: typed.hybrid === TICKED,
                coated: typed.coated === TICKED,
                ownSaved: typed.ownSaved === TICKED,
                ...(typed.maturityFrom ? { maturityFrom: typed.maturityFrom as NonNullable<PacketEntry['maturityFrom']> } : {}),
                ...defined({
                  seeds: whole(typed.seeds),
                  grams: typed.grams ? typedMass(typed.grams) : undefined,
                  germination: typed.germination ? typedNumber(typed.germination)! / 100 : undefined,
                  packed: whole(typed.packed),
                  sowBy: whole(typed.sowBy),
                  maturityDays: whole(typed.maturityDays),
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
          {taken.germinationReckoned != null &&
            say('Its germination was not said: {of} in 100 are reckoned with, as little known as from a score of seeds, until counts tell.', {
              of: Math.round(taken.germinationReckoned * 100),
            })}{' '}
          {taken.cautions.map((caution) => CAUTIONS[caution]).join(' ')}
        </p>
      )}
    </>
  );
}

const CAUTIONS: Record<PacketTaken['cautions'][number], string> = {
  PAST_ITS_YEAR: say('The year until which it was to be sown is over: try twenty seeds on damp paper first.'),
  SAVED_FROM_HYBRID: say('Seed saved from a hybrid does not come true: tell whoever gets the plants.'),
  COATED: say('Coated seed is not soaked, and keeps for a season only.'),
};

const FURTHER = (): Entry[] => [
  { key: 'code', name: say('Lot number'), hint: say('empty: Kiver makes one') },
  { key: 'sowBy', name: say('Sow by, year'), type: 'number' },
  { key: 'days', name: say('Up after days, from'), type: 'number' },
  { key: 'daysAtMost', name: say('Up after days, to'), type: 'number' },
  { key: 'depth', name: say('Depth, {unit}', { unit: lengthUnit() }), type: 'number', hint: say('0 for pressed in') },
  { key: 'maturityDays', name: say('Days to maturity'), type: 'number' },
  {
    key: 'maturityFrom',
    name: say('Counted from'),
    choices: [
      { value: 'SOWING', name: say('the sowing') },
      { value: 'EMERGENCE', name: say('coming up') },
      { value: 'PLANTING', name: say('planting out') },
    ],
  },
  { key: 'belowStandard', name: say('Says that it is below standard'), type: 'tick' },
  { key: 'hybrid', name: say('A hybrid'), type: 'tick' },
  { key: 'coated', name: say('Coated seed'), type: 'tick' },
  { key: 'ownSaved', name: say('Saved by ourselves'), type: 'tick' },
];

/** Without the entries that are not there. */
function defined<Entries extends Record<string, number | undefined>>(entries: Entries): { [Key in keyof Entries]?: number } {
  return Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined)) as { [Key in keyof Entries]?: number };
}
