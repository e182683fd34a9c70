import type { Choices } from '../api/client';
import { answered, api } from '../api/client';
import {
  altitudeUnit,
  differenceUnit,
  lengthUnit,
  temperatureUnit,
  typedAltitude,
  typedDifference,
  typedLength,
  typedNumber,
  typedTemperature,
} from '../words/quantity';
import { say } from '../words/say';
import { AddForm } from './AddForm';

/** A typed number, or nothing; the server says what is wrong with nothing. */
const number = (text: string | undefined) => typedNumber(text ?? '') as number;
const share = (text: string | undefined) => {
  const percent = typedNumber(text ?? '');
  return (percent === undefined ? undefined : percent / 100) as number;
};

/** A grower's site. */
export const AddSite = () => (
  <AddForm
    verb={say('Add the site')}
    entries={[
      { key: 'grower', name: say('Grower'), hint: say('one you have, or a new one') },
      { key: 'site', name: say('Site') },
      { key: 'altitude', name: say('Altitude, {unit}', { unit: altitudeUnit() }), type: 'number' },
      {
        key: 'temperatureOffset',
        name: say('Warmer than the station, {unit}', { unit: differenceUnit() }),
        type: 'number',
        hint: say('empty: from the altitude'),
      },
    ]}
    add={(typed) =>
      answered(
        api.POST('/api/growers', {
          body: {
            grower: typed.grower ?? '',
            site: typed.site ?? '',
            altitude: typedAltitude(typed.altitude ?? '') as number,
            ...(typed.temperatureOffset ? { temperatureOffset: typedDifference(typed.temperatureOffset) } : {}),
          },
        }),
      )
    }
  />
);

/** A variety without a packet. */
export const AddVariety = ({ choices }: { choices: Choices }) => (
  <AddForm
    verb={say('Add the variety')}
    entries={[
      { key: 'crop', name: say('Crop'), choices: choices.crops.map((crop) => ({ value: crop.code, name: crop.name })) },
      { key: 'name', name: say('Name') },
    ]}
    add={(typed) => answered(api.POST('/api/varieties', { body: { crop: typed.crop ?? '', name: typed.name ?? '' } }))}
  />
);

/** A seed lot of a variety that is there. */
export const AddLot = ({ choices }: { choices: Choices }) => (
  <AddForm
    verb={say('Take the lot in')}
    entries={[
      { key: 'code', name: say('Code on the packet') },
      { key: 'varietyId', name: say('Variety'), choices: choices.varieties.map((variety) => ({ value: String(variety.id), name: variety.name })) },
      { key: 'supplier', name: say('Supplier') },
      { key: 'germinationLabel', name: say('Germination on the label, %'), type: 'number' },
      { key: 'testedSeeds', name: say('Seeds tested'), type: 'number', first: '100' },
      { key: 'testedOn', name: say('Tested on'), type: 'date' },
      { key: 'seeds', name: say('Seeds in the packet'), type: 'number' },
      { key: 'packetDaysFrom', name: say('Packet: up after days, from'), type: 'number', hint: say('where the packet says it') },
      { key: 'packetDaysTo', name: say('Packet: up after days, to'), type: 'number' },
      { key: 'packetDepth', name: say('Packet: depth, {unit}', { unit: lengthUnit() }), type: 'number', hint: say('0 for pressed in') },
    ]}
    add={(typed) =>
      answered(
        api.POST('/api/lots', {
          body: {
            code: typed.code ?? '',
            varietyId: number(typed.varietyId),
            supplier: typed.supplier ?? '',
            germinationLabel: share(typed.germinationLabel),
            testedSeeds: number(typed.testedSeeds),
            testedOn: typed.testedOn ?? '',
            seeds: number(typed.seeds),
            ...(typed.packetDaysFrom ? { packetDaysFrom: number(typed.packetDaysFrom) } : {}),
            ...(typed.packetDaysTo ? { packetDaysTo: number(typed.packetDaysTo) } : {}),
            ...(typed.packetDepth ? { packetDepth: typedLength(typed.packetDepth) } : {}),
          },
        }),
      )
    }
  />
);

/** Somebody who can sign in. */
export const AddPerson = ({ choices }: { choices: Choices }) => (
  <AddForm
    verb={say('Add the person')}
    entries={[
      { key: 'name', name: say('Name') },
      { key: 'email', name: say('E-mail address'), type: 'email' },
      { key: 'password', name: say('First password'), type: 'password', hint: say('10 letters or more') },
      {
        key: 'role',
        name: say('What they do'),
        choices: [
          { value: 'PROPAGATOR', name: say('Propagator') },
          { value: 'BENCH_HAND', name: say('Bench hand') },
          { value: 'GROWER', name: say('Grower') },
        ],
      },
      {
        key: 'growerId',
        name: say('Of which grower'),
        hint: say('only for growers'),
        choices: choices.growers.map((grower) => ({ value: String(grower.id), name: grower.name })),
      },
    ]}
    add={(typed) =>
      answered(
        api.POST('/api/people', {
          body: {
            name: typed.name ?? '',
            email: typed.email ?? '',
            password: typed.password ?? '',
            role: typed.role as 'GROWER',
            ...(typed.growerId ? { growerId: Number(typed.growerId) } : {}),
          },
        }),
      )
    }
  />
);

/** A place of which no pattern tells. */
export function AddPlaceByHand() {
  const uses = (typed: Record<string, string>) => (typed.uses ? (typed.uses.split(' ') as 'EMERGENCE'[]) : []);
  return (
    <AddForm
      verb={say('Add the place')}
      entries={[
        { key: 'name', name: say('Name') },
        { key: 'slots', name: say('Trays it holds'), type: 'number' },
        { key: 'daySetPoint', name: say('Set point by day, {unit}', { unit: temperatureUnit() }), type: 'number', hint: say('empty when unheated') },
        {
          key: 'nightSetPoint',
          name: say('Set point by night, {unit}', { unit: temperatureUnit() }),
          type: 'number',
          hint: say('empty when unheated'),
        },
        { key: 'daylightShare', name: say('Daylight that reaches it, %'), type: 'number', first: '75' },
        { key: 'lampFlux', name: say('Light of lamps at the leaves, µmol per m² and second'), type: 'number', first: '0', hint: say('0 for none') },
        { key: 'lampHours', name: say('Hours a day that lamps burn'), type: 'number', first: '16' },
        {
          key: 'keepsMiceOut',
          name: say('Keeps mice out'),
          first: 'no',
          choices: [
            { value: 'no', name: say('no') },
            { value: 'yes', name: say('yes') },
          ],
        },
        {
          key: 'uses',
          name: say('Used for'),
          choices: [
            { value: 'EMERGENCE', name: say('coming up') },
            { value: 'GROWING_ON', name: say('growing on') },
            { value: 'EMERGENCE GROWING_ON', name: say('coming up and growing on') },
            { value: 'HARDENING_OFF', name: say('hardening off') },
            { value: 'GROWING_ON HARDENING_OFF', name: say('growing on and hardening off') },
          ],
        },
      ]}
      add={(typed) =>
        answered(
          api.POST('/api/places', {
            body: {
              name: typed.name ?? '',
              slots: number(typed.slots),
              daylightShare: share(typed.daylightShare),
              lampFlux: number(typed.lampFlux),
              lampHours: number(typed.lampHours),
              keepsMiceOut: typed.keepsMiceOut === 'yes',
              uses: uses(typed),
              ...(typed.daySetPoint ? { daySetPoint: typedTemperature(typed.daySetPoint) } : {}),
              ...(typed.nightSetPoint ? { nightSetPoint: typedTemperature(typed.nightSetPoint) } : {}),
            },
          }),
        )
      }
    />
  );
}
