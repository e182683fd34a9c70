import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Choices } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { OnPapers } from './OnPapers';
import { AddForm } from './AddForm';
import { Devices } from './Devices';
import { say } from '../words/say';
import {
  altitude,
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

const SHEETS = {
  crops: say('crops'),
  containers: say('containers'),
  varieties: say('varieties'),
  places: say('places'),
  sites: say('growers and sites'),
  lots: say('seed lots'),
  rates: say('what things cost'),
};

/** A typed number, or nothing; the server says what is wrong with nothing. */
const number = (text: string | undefined) => typedNumber(text ?? '') as number;
const share = (text: string | undefined) => {
  const percent = typedNumber(text ?? '');
  return (percent === undefined ? undefined : percent / 100) as number;
};

const ROLES = { PROPAGATOR: say('propagator'), BENCH_HAND: say('bench hand'), GROWER: say('grower') };

/** What the nursery has: places, seed, varieties, growers and people. */
export function NurseryPage() {
  const choices = useChoices();
  if (choices.isPending) return <Loading what={say('the nursery')} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return (
    <>
      <h1 className="mb-2">{say('The nursery')}</h1>
      <nav aria-label={say('Sheets')} className="mb-5 flex flex-wrap items-center gap-x-5 text-sm">
        <span className="text-pencil">{say('Change, read in, take out:')}</span>
        {Object.entries(SHEETS).map(([name, words]) => (
          <Link key={name} className="trail flex min-h-11 items-center" to={`/nursery/${name}`}>
            {words}
          </Link>
        ))}
        <Link className="trail flex min-h-11 items-center" to="/weather">
          {say('weather station')}
        </Link>
      </nav>
      <OnPapers />
      <Places choices={choices.data} />
      <Growers choices={choices.data} />
      <Varieties choices={choices.data} />
      <Lots choices={choices.data} />
      <People choices={choices.data} />
      <Devices choices={choices.data} />
    </>
  );
}

function Part({ name, things, children }: { name: string; things: string[] | undefined; children: ReactNode }) {
  return (
    <section aria-label={name} className="mb-8">
      <h2 className="mb-2">{name}</h2>
      {things?.length === 0 && <Nothing>{say('None yet.')}</Nothing>}
      {things && things.length > 0 && (
        <ul className="board max-h-64 overflow-y-auto p-3 sm:columns-2 lg:columns-3" tabIndex={0} aria-label={name}>
          {things.map((thing) => (
            <li key={thing} className="break-inside-avoid py-0.5">
              {thing}
            </li>
          ))}
        </ul>
      )}
      <details className="mt-2">
        <summary className="trail min-h-11 content-center">{say('Add')}</summary>
        {children}
      </details>
    </section>
  );
}

/** Who can sign in, and what they do. */
function People({ choices }: { choices: Choices }) {
  const people = useQuery({ queryKey: ['people'], queryFn: () => answered(api.GET('/api/people')) });
  return (
    <Part name={say('People who can sign in')} things={people.data?.map((person) => `${person.name}, ${ROLES[person.role]}, ${person.email}`) ?? []}>
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
    </Part>
  );
}

function Places({ choices }: { choices: Choices }) {
  const uses = (typed: Record<string, string>) => (typed.uses ? (typed.uses.split(' ') as 'EMERGENCE'[]) : []);
  return (
    <Part name={say('Places, in walking order')} things={choices.places.map((place) => `${place.name}: ${usesWords(place)}`)}>
      <AddForm
        verb={say('Add the place')}
        entries={[
          { key: 'name', name: say('Name') },
          { key: 'slots', name: say('Trays it holds'), type: 'number' },
          {
            key: 'daySetPoint',
            name: say('Set point by day, {unit}', { unit: temperatureUnit() }),
            type: 'number',
            hint: say('empty when unheated'),
          },
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
    </Part>
  );
}

function usesWords(place: Choices['places'][number]): string {
  return [place.forEmergence && say('coming up'), place.forGrowingOn && say('growing on'), place.forHardeningOff && say('hardening off')]
    .filter(Boolean)
    .join(', ');
}

function Growers({ choices }: { choices: Choices }) {
  const things = choices.sites.map((site) => {
    const grower = choices.growers.find((each) => each.id === site.growerId);
    return `${grower?.name}: ${site.name}, ${altitude(site.altitude)}`;
  });
  return (
    <Part name={say('Growers and their sites')} things={things}>
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
    </Part>
  );
}

function Varieties({ choices }: { choices: Choices }) {
  return (
    <Part name={say('Varieties')} things={choices.varieties.map((variety) => `${variety.name}, ${variety.crop.toLowerCase()}`)}>
      <AddForm
        verb={say('Add the variety')}
        entries={[
          { key: 'crop', name: say('Crop'), choices: choices.crops.map((crop) => ({ value: crop.code, name: crop.name })) },
          { key: 'name', name: say('Name') },
        ]}
        add={(typed) => answered(api.POST('/api/varieties', { body: { crop: typed.crop ?? '', name: typed.name ?? '' } }))}
      />
    </Part>
  );
}

function Lots({ choices }: { choices: Choices }) {
  const things = choices.lots.map((lot) => {
    const variety = choices.varieties.find((each) => each.id === lot.varietyId);
    return say('{code}, {name}: {seeds, plural, one {# seed} other {# seeds}} left, label {germinationLabel} %', {
      code: lot.code,
      name: variety?.name,
      seeds: lot.seedsLeft,
      germinationLabel: Math.round(lot.germinationLabel * 100),
    });
  });
  return (
    <Part name={say('Seed lots')} things={things}>
      <AddForm
        verb={say('Take the lot in')}
        entries={[
          { key: 'code', name: say('Code on the packet') },
          {
            key: 'varietyId',
            name: say('Variety'),
            choices: choices.varieties.map((variety) => ({ value: String(variety.id), name: variety.name })),
          },
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
    </Part>
  );
}
