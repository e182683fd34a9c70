import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { answered, api, type DeviceView } from '../api/client';
import { useChange } from '../api/queries';
import { Loading, Refusal, Trouble } from '../look/States';
import { dayWords, shortDay, timeWords } from '../words/days';
import { degrees, figures } from '../words/quantity';
import { say } from '../words/say';
import { AddForm } from './AddForm';

type Feeds = DeviceView['feeds'];

export const useDevices = () => useQuery({ queryKey: ['devices'], queryFn: () => answered(api.GET('/api/devices')) });

/** What is known of the weather and of each place, by which device, and when that was heard of last. */
export function DevicesPage() {
  const known = useDevices();
  const [added, setAdded] = useState<{ name: string; feeds: Feeds; token: string }>();
  if (known.isPending) return <Loading what={say('the devices')} />;
  if (known.isError) return <Trouble error={known.error} retry={() => known.refetch()} />;
  const { simulatedStation, estimated, forecastSaidOn, places } = known.data;
  const sending = known.data.devices.filter((device) => !device.withdrawnOn);
  const withdrawn = known.data.devices.filter((device) => device.withdrawnOn);
  const feeding = (feeds: Feeds, place?: number) => sending.filter((device) => device.feeds === feeds && (device.placeId ?? undefined) === place);
  const silent = sending.filter((device) => device.sign === 'SILENT');
  return (
    <>
      <h1 className="mb-1">{say('What measures here')}</h1>
      <p className="mb-3 max-w-prose">
        {silent.length === 0
          ? say(
              '{devices, plural, =0 {No device sends by itself yet.} one {One device sends, and it does.} other {# devices send, and all of them do.}}',
              { devices: sending.length },
            )
          : say('{silent, plural, one {One device is silent: {names}.} other {# devices are silent: {names}.}}', {
              silent: silent.length,
              names: silent.map((device) => device.name).join(', '),
            })}
      </p>
      <div className="board divide-y divide-rule">
        <Fed name={say('Outdoors')} devices={feeding('STATION')}>
          {simulatedStation
            ? say('The demonstration’s station, made up.')
            : estimated
              ? say('Nobody measures: days are estimated from what is known of the climate.')
              : say('Measured; read in from a file.')}{' '}
          <Link className="trail" to="/weather">
            {say('Weather')}
          </Link>
        </Fed>
        <Fed name={say('The days to come')} devices={feeding('FORECAST')}>
          {simulatedStation
            ? say('The demonstration’s station, made up.')
            : forecastSaidOn
              ? say('Typed in by hand, last {day}.', { day: dayWords(forecastSaidOn) })
              : say('Nothing is forecast.')}{' '}
          <Link className="trail" to="/weather">
            {say('Weather')}
          </Link>
        </Fed>
        {places.map((place) => (
          <Fed key={place.id} name={place.name} devices={feeding('PLACE', place.id)}>
            {place.readByHandOn
              ? say('Read by hand, last for {day}.', { day: dayWords(place.readByHandOn) })
              : say('Not measured: the figures said of it are believed.')}
          </Fed>
        ))}
      </div>
      {added && <Token {...added} />}
      <section aria-label={say('Add a device')} className="mt-6">
        <h2>{say('Add a device')}</h2>
        <AddForm
          verb={say('Add the device')}
          entries={[
            { key: 'name', name: say('Name') },
            {
              key: 'placeId',
              name: say('What it feeds'),
              choices: [
                { value: 'STATION', name: say('The weather outdoors') },
                { value: 'FORECAST', name: say('The days to come') },
                ...places.map((place) => ({ value: String(place.id), name: place.name })),
              ],
            },
          ]}
          add={async (typed) => {
            const chosen = typed.placeId ?? '';
            const feeds = chosen === 'STATION' || chosen === 'FORECAST' ? chosen : 'PLACE';
            const name = typed.name ?? '';
            const made = await answered(
              api.POST('/api/devices', { body: { name, feeds, ...(feeds === 'PLACE' && chosen ? { placeId: Number(chosen) } : {}) } }),
            );
            setAdded({ name, feeds, token: made.token });
          }}
        />
      </section>
      {withdrawn.length > 0 && (
        <details className="mt-4">
          <summary className="trail min-h-11 content-center">
            {say('{devices, plural, one {One whose token was withdrawn} other {# whose tokens were withdrawn}}', { devices: withdrawn.length })}
          </summary>
          <ul>
            {withdrawn.map((device) => (
              <li key={device.id} className="py-1 text-pencil">
                {device.name}, {say('token withdrawn {day}', { day: shortDay(device.withdrawnOn ?? '') })}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** Something that is fed: by devices, or else as it says. */
function Fed({ name, devices, children }: { name: string; devices: DeviceView[]; children: ReactNode }) {
  return (
    <section aria-label={name} className="grid gap-x-4 px-4 py-2 sm:grid-cols-[14rem_1fr]">
      <h2 className="text-base font-semibold">{name}</h2>
      {devices.length === 0 && <p className="text-pencil">{children}</p>}
      {devices.length > 0 && (
        <ul>
          {devices.map((device) => (
            <Sender key={device.id} device={device} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Sender({ device }: { device: DeviceView }) {
  const withdraw = useChange((id: number) => answered(api.POST('/api/devices/{id}/withdrawals', { params: { path: { id } } })));
  return (
    <li className="flex flex-wrap items-center gap-x-4">
      <span className="min-w-48 grow">
        {device.name}
        {device.celsius != null && (
          <strong className="ml-2 tabular-nums">
            {degrees(device.celsius)}
            {device.humidity != null && `, ${figures(device.humidity)} %`}
          </strong>
        )}
        <span className={`block text-sm ${device.sign === 'SILENT' ? 'border-l-4 border-ochre bg-ochre-wash px-2' : 'text-pencil'}`}>
          {signWords(device)}
        </span>
      </span>
      <button className="trail min-h-11" disabled={withdraw.isPending} onClick={() => withdraw.mutate(device.id)}>
        {say('Withdraw its token')}
        <span className="sr-only">: {device.name}</span>
      </button>
      <Refusal message={withdraw.error?.message} />
    </li>
  );
}

function signWords(device: DeviceView): string {
  const heard = device.lastHeard
    ? say('{day}, {time}', { day: shortDay(device.lastHeard.slice(0, 10)), time: timeWords(device.lastHeard.slice(11, 16)) })
    : undefined;
  const made = device.simulated ? say(', made up by the demonstration') : '';
  switch (device.sign) {
    case 'SILENT':
      return heard
        ? say('Silent since {heard}. Look at its battery and its net; until it sends, what else is known stands in.', { heard })
        : say('Never heard of. Look whether it has the token and reaches this address.');
    case 'LATELY':
      return say('last heard of {heard}{made}', { heard: heard ?? '', made });
    default:
      return say('not heard of yet');
  }
}

function Token({ name, feeds, token }: { name: string; feeds: Feeds; token: string }) {
  const address = `${window.location.origin}/api/${feeds === 'FORECAST' ? 'forecast' : 'readings'}`;
  return (
    <div role="status" className="mt-4 border-l-4 border-dusk bg-board p-3">
      <p>{say('The token of {name}. It is shown only now; put it into the device:', { name })}</p>
      <code className="block font-semibold break-all select-all">{token}</code>
      <p className="text-sm text-pencil">
        {feeds === 'FORECAST'
          ? say(
              'It sends the days to come to {address}, with this token as bearer, as JSON: day, minimum, maximum and, where it knows them, gust, rain, sun.',
              { address },
            )
          : feeds === 'STATION'
            ? say(
                'It sends its readings to {address}, with this token as bearer, as JSON or CSV: at, celsius; or a line a day: day, minimum, maximum.',
                { address },
              )
            : say('It sends its readings to {address}, with this token as bearer, as JSON or CSV: at, celsius and, where it has it, humidity.', {
                address,
              })}
      </p>
    </div>
  );
}
