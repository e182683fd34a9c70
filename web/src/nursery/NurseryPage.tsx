import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Choices, DeviceView, Founding } from '../api/client';
import { answered, api } from '../api/client';
import { useChoices } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { NextStep, useFounding } from '../today/NextStep';
import { altitude } from '../words/quantity';
import { say } from '../words/say';
import { useDevices } from './DevicesPage';
import { AddLot, AddPerson, AddPlaceByHand, AddSite, AddVariety } from './forms';
import { KeptSafe } from './KeptSafe';
import { OnPapers } from './OnPapers';
import { People } from './People';
import { PlacePatterns } from './PlacePatterns';
import { STEPS } from './steps';

/** What the nursery is and has, line by line as in an inventory: each is looked at, added to and changed where it stands. */
export function NurseryPage() {
  const choices = useChoices();
  const founding = useFounding();
  const devices = useDevices();
  const people = useQuery({ queryKey: ['people'], queryFn: () => answered(api.GET('/api/people')) });
  if (choices.isPending || founding.isPending) return <Loading what={say('the nursery')} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  if (founding.isError) return <Trouble error={founding.error} retry={() => founding.refetch()} />;
  const { growers, places, sites, varieties, lots, crops, containers } = choices.data;
  return (
    <>
      <h1 className="mb-3">{say('The nursery')}</h1>
      <NextStep />
      <div className="board divide-y divide-rule">
        {STEPS.slice(0, 2).map((step) => (
          <Line key={step.at} name={step.name} there={step.there(founding.data)} to={`/founding/${step.at}`} />
        ))}
        <Line name={say('Weather station')} there={station(founding.data)} to="/weather" />
        <Line name={say('Play a season')} there={say('try it in a copy first')} to="/season/play" />
        <Line name={say('What measures here')} there={devices.data ? sendingWords(devices.data.devices) : ''} to="/nursery/devices" />
        <Part
          name={say('Places')}
          there={STEPS.find((step) => step.at === 'places')!.there(founding.data)}
          sheet="places"
          things={places.map((place) => `${place.name}: ${usesWords(place)}`)}
        >
          <PlacePatterns />
          <details className="mt-3">
            <summary className="trail min-h-11 content-center">{say('A place unlike any of these')}</summary>
            <AddPlaceByHand />
          </details>
        </Part>
        <Line
          name={say('Crops')}
          there={say('{crops, plural, one {# is offered} other {# are offered}}', { crops: crops.length })}
          to="/founding/crops"
        />
        <Line
          name={say('Containers')}
          there={say('{containers, plural, one {# kind} other {# kinds}}', { containers: containers.length })}
          to="/nursery/containers"
        />
        <Part
          name={say('Varieties')}
          there={say('{varieties, plural, =0 {none yet} other {#}}', { varieties: varieties.length })}
          sheet="varieties"
          things={varieties.map((variety) => `${variety.name}, ${variety.crop.toLowerCase()}`)}
        >
          <AddVariety choices={choices.data} />
        </Part>
        <Part
          name={say('Seed lots')}
          there={say('{lots, plural, =0 {none yet} other {#}}', { lots: lots.length })}
          sheet="lots"
          things={lots.map((lot) =>
            say('{code}, {name}: {seeds, plural, one {# seed} other {# seeds}} left, label {germinationLabel} %', {
              code: lot.code,
              name: varieties.find((each) => each.id === lot.varietyId)?.name,
              seeds: lot.seedsLeft,
              germinationLabel: Math.round(lot.germinationLabel * 100),
            }),
          )}
        >
          <p className="mt-2">
            <Link className="trail" to="/founding/packets">
              {say('With its variety at once, from a packet')}
            </Link>
          </p>
          <AddLot choices={choices.data} />
        </Part>
        <Part
          name={say('Growers and their sites')}
          there={STEPS.find((step) => step.at === 'sites')!.there(founding.data)}
          sheet="sites"
          things={sites.map((site) => `${growers.find((each) => each.id === site.growerId)?.name}: ${site.name}, ${altitude(site.altitude)}`)}
        >
          <AddSite />
        </Part>
        <Part
          name={say('People who can sign in')}
          there={
            people.data
              ? say('{people, plural, one {only you} other {# people}}', { people: people.data.filter((person) => !person.keptOut).length })
              : ''
          }
          things={[]}
          list={people.data && <People people={people.data} choices={choices.data} />}
        >
          <AddPerson choices={choices.data} />
        </Part>
        <Line name={say('What things cost')} there={say('seed, mix, labels, room and hours')} to="/nursery/rates" />
      </div>
      <div className="mt-6">
        <OnPapers />
        <KeptSafe />
      </div>
    </>
  );
}

const station = (founding: Founding) =>
  founding.daysFromFile > 0
    ? say('{days, plural, one {# day} other {# days}} read in from files', { days: founding.daysFromFile })
    : founding.weather === 'MEASURED'
      ? say('measures')
      : say('none: read its file in, or let it send');

function sendingWords(devices: DeviceView[]): string {
  const sending = devices.filter((device) => !device.withdrawnOn);
  return say(
    '{devices, plural, =0 {no device sends by itself} one {one device sends} other {# devices send}}{silent, plural, =0 {} one {, one is silent} other {, # are silent}}',
    { devices: sending.length, silent: sending.filter((device) => device.sign === 'SILENT').length },
  );
}

const LINE = 'grid min-h-12 grid-cols-[1fr_auto] items-center gap-x-4 px-4 py-2 sm:grid-cols-[14rem_1fr_auto]';

function Line({ name, there, to }: { name: string; there: string; to: string }) {
  return (
    <Link className={`${LINE} hover:bg-wash`} to={to}>
      <span className="font-semibold">{name}</span>
      <span className="order-last col-span-2 text-pencil sm:order-none sm:col-span-1">{there}</span>
      <span className="trail">{say('Look, change')}</span>
    </Link>
  );
}

function Part({
  name,
  there,
  sheet,
  things,
  list,
  children,
}: {
  name: string;
  there: string;
  sheet?: string;
  things: string[];
  list?: ReactNode;
  children: ReactNode;
}) {
  return (
    <section aria-label={name}>
      <details>
        <summary className={`${LINE} cursor-pointer hover:bg-wash`}>
          <span className="font-semibold">{name}</span>
          <span className="order-last col-span-2 text-pencil sm:order-none sm:col-span-1">{there}</span>
          <span className="trail">{say('Look, add')}</span>
        </summary>
        <div className="border-t border-rule bg-wash/40 px-4 py-3">
          {list}
          {!list && things.length === 0 && <Nothing>{say('None yet.')}</Nothing>}
          {things.length > 0 && (
            <ul className="max-h-64 overflow-y-auto sm:columns-2 lg:columns-3" tabIndex={0} aria-label={name}>
              {things.map((thing) => (
                <li key={thing} className="break-inside-avoid py-0.5">
                  {thing}
                </li>
              ))}
            </ul>
          )}
          {sheet && (
            <p>
              <Link className="trail inline-flex min-h-11 items-center" to={`/nursery/${sheet}`}>
                {say('Change, read in, take out: {name}', { name })}
              </Link>
            </p>
          )}
          <h3 className="mt-2 font-semibold">{say('Add')}</h3>
          {children}
        </div>
      </details>
    </section>
  );
}

function usesWords(place: Choices['places'][number]): string {
  return [place.forEmergence && say('coming up'), place.forGrowingOn && say('growing on'), place.forHardeningOff && say('hardening off')]
    .filter(Boolean)
    .join(', ');
}
