import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Choices } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { counted } from '../look/words';
import { AddForm } from './AddForm';

/** A typed number, or nothing; the server says what is wrong with nothing. */
const number = (text: string | undefined) => (text?.trim() ? Number(text) : undefined) as number;
const share = (text: string | undefined) => (text?.trim() ? Number(text) / 100 : undefined) as number;

/** What the nursery has: places, seed, varieties, growers and people. */
export function NurseryPage() {
  const choices = useChoices();
  if (choices.isPending) return <Loading what="the nursery" />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  return (
    <>
      <h1 className="mb-2">The nursery</h1>
      <nav aria-label="Sheets" className="mb-5 flex flex-wrap items-center gap-x-5 text-sm">
        <span className="text-pencil">Change, read in, take out:</span>
        {['crops', 'containers', 'varieties', 'places', 'sites', 'lots', 'rates'].map((name) => (
          <Link key={name} className="trail flex min-h-11 items-center" to={`/nursery/${name}`}>
            {{ sites: 'growers and sites', lots: 'seed lots', rates: 'what things cost' }[name] ?? name}
          </Link>
        ))}
        <Link className="trail flex min-h-11 items-center" to="/weather">weather station</Link>
      </nav>
      <Places choices={choices.data} />
      <Growers choices={choices.data} />
      <Varieties choices={choices.data} />
      <Lots choices={choices.data} />
      <Part name="People who can sign in" things={undefined}>
        <AddForm
          verb="Add the person"
          entries={[
            { key: 'name', name: 'Name' },
            { key: 'email', name: 'E-mail address', type: 'email' },
            { key: 'password', name: 'First password', type: 'password', hint: '10 letters or more' },
            { key: 'role', name: 'What they do', choices: [{ value: 'PROPAGATOR', name: 'Propagator' }, { value: 'BENCH_HAND', name: 'Bench hand' }, { value: 'GROWER', name: 'Grower' }] },
            { key: 'growerId', name: 'Of which grower', hint: 'only for growers', choices: choices.data.growers.map((grower) => ({ value: String(grower.id), name: grower.name })) },
          ]}
          add={(typed) => answered(api.POST('/api/people', {
            body: {
              name: typed.name ?? '', email: typed.email ?? '', password: typed.password ?? '',
              role: typed.role as 'GROWER', ...(typed.growerId ? { growerId: Number(typed.growerId) } : {}),
            },
          }))}
        />
      </Part>
    </>
  );
}

function Part({ name, things, children }: { name: string; things: string[] | undefined; children: ReactNode }) {
  return (
    <section aria-label={name} className="mb-8">
      <h2 className="mb-2">{name}</h2>
      {things?.length === 0 && <Nothing>None yet.</Nothing>}
      {things && things.length > 0 && (
        <ul className="board max-h-64 overflow-y-auto p-3 sm:columns-2 lg:columns-3" tabIndex={0} aria-label={name}>
          {things.map((thing) => <li key={thing} className="break-inside-avoid py-0.5">{thing}</li>)}
        </ul>
      )}
      <details className="mt-2">
        <summary className="trail min-h-11 content-center">Add</summary>
        {children}
      </details>
    </section>
  );
}

function Places({ choices }: { choices: Choices }) {
  const uses = (typed: Record<string, string>) => (typed.uses ? (typed.uses.split(' ') as 'EMERGENCE'[]) : []);
  return (
    <Part name="Places, in walking order" things={choices.places.map((place) => `${place.name}: ${usesWords(place)}`)}>
      <AddForm
        verb="Add the place"
        entries={[
          { key: 'name', name: 'Name' },
          { key: 'slots', name: 'Trays it holds', type: 'number' },
          { key: 'daySetPoint', name: 'Set point by day, °C', type: 'number', hint: 'empty when unheated' },
          { key: 'nightSetPoint', name: 'Set point by night, °C', type: 'number', hint: 'empty when unheated' },
          { key: 'daylightShare', name: 'Daylight that reaches it, %', type: 'number', first: '75' },
          { key: 'lampLight', name: 'Light from lamps, mol per m² and day', type: 'number', first: '0' },
          {
            key: 'uses', name: 'Used for', choices: [
              { value: 'EMERGENCE', name: 'coming up' },
              { value: 'GROWING_ON', name: 'growing on' },
              { value: 'EMERGENCE GROWING_ON', name: 'coming up and growing on' },
              { value: 'HARDENING_OFF', name: 'hardening off' },
              { value: 'GROWING_ON HARDENING_OFF', name: 'growing on and hardening off' },
            ],
          },
        ]}
        add={(typed) => answered(api.POST('/api/places', {
          body: {
            name: typed.name ?? '', slots: number(typed.slots), daylightShare: share(typed.daylightShare),
            lampLight: number(typed.lampLight), uses: uses(typed),
            ...(typed.daySetPoint ? { daySetPoint: number(typed.daySetPoint) } : {}),
            ...(typed.nightSetPoint ? { nightSetPoint: number(typed.nightSetPoint) } : {}),
          },
        }))}
      />
    </Part>
  );
}

function usesWords(place: Choices['places'][number]): string {
  return [place.forEmergence && 'coming up', place.forGrowingOn && 'growing on', place.forHardeningOff && 'hardening off']
    .filter(Boolean)
    .join(', ');
}

function Growers({ choices }: { choices: Choices }) {
  const things = choices.sites.map((site) => {
    const grower = choices.growers.find((each) => each.id === site.growerId);
    return `${grower?.name}: ${site.name}, ${site.altitude} m`;
  });
  return (
    <Part name="Growers and their sites" things={things}>
      <AddForm
        verb="Add the site"
        entries={[
          { key: 'grower', name: 'Grower', hint: 'one you have, or a new one' },
          { key: 'site', name: 'Site' },
          { key: 'altitude', name: 'Altitude, m', type: 'number' },
          { key: 'temperatureOffset', name: 'Warmer than the station, K', type: 'number', hint: 'empty: from the altitude' },
        ]}
        add={(typed) => answered(api.POST('/api/growers', {
          body: { grower: typed.grower ?? '', site: typed.site ?? '', altitude: number(typed.altitude), ...(typed.temperatureOffset ? { temperatureOffset: number(typed.temperatureOffset) } : {}) },
        }))}
      />
    </Part>
  );
}

function Varieties({ choices }: { choices: Choices }) {
  return (
    <Part name="Varieties" things={choices.varieties.map((variety) => `${variety.name}, ${variety.crop.toLowerCase()}`)}>
      <AddForm
        verb="Add the variety"
        entries={[
          { key: 'crop', name: 'Crop', choices: choices.crops.map((crop) => ({ value: crop.code, name: crop.name })) },
          { key: 'name', name: 'Name' },
        ]}
        add={(typed) => answered(api.POST('/api/varieties', { body: { crop: typed.crop ?? '', name: typed.name ?? '' } }))}
      />
    </Part>
  );
}

function Lots({ choices }: { choices: Choices }) {
  const things = choices.lots.map((lot) => {
    const variety = choices.varieties.find((each) => each.id === lot.varietyId);
    return `${lot.code}, ${variety?.name}: ${counted(lot.seedsLeft, 'seed')} left, label ${Math.round(lot.germinationLabel * 100)} %`;
  });
  return (
    <Part name="Seed lots" things={things}>
      <AddForm
        verb="Take the lot in"
        entries={[
          { key: 'code', name: 'Code on the packet' },
          { key: 'varietyId', name: 'Variety', choices: choices.varieties.map((variety) => ({ value: String(variety.id), name: variety.name })) },
          { key: 'supplier', name: 'Supplier' },
          { key: 'germinationLabel', name: 'Germination on the label, %', type: 'number' },
          { key: 'testedSeeds', name: 'Seeds tested', type: 'number', first: '100' },
          { key: 'testedOn', name: 'Tested on', type: 'date' },
          { key: 'seeds', name: 'Seeds in the packet', type: 'number' },
        ]}
        add={(typed) => answered(api.POST('/api/lots', {
          body: {
            code: typed.code ?? '', varietyId: number(typed.varietyId), supplier: typed.supplier ?? '',
            germinationLabel: share(typed.germinationLabel), testedSeeds: number(typed.testedSeeds),
            testedOn: typed.testedOn ?? '', seeds: number(typed.seeds),
          },
        }))}
      />
    </Part>
  );
}
