import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Choices } from '../api/client';
import { useChange } from '../api/queries';
import { Nothing, Refusal } from '../look/States';
import { shortDay, timeWords } from '../words/days';
import { say } from '../words/say';
import { AddForm } from './AddForm';

/** Devices that send readings, their last sign of life, and taking a token back. */
export function Devices({ choices }: { choices: Choices }) {
  const devices = useQuery({ queryKey: ['devices'], queryFn: () => answered(api.GET('/api/devices')) });
  const [added, setAdded] = useState<{ name: string; token: string }>();
  const withdraw = useChange((id: number) => answered(api.POST('/api/devices/{id}/withdrawals', { params: { path: { id } } })));
  const placeOf = (id: number) => choices.places.find((place) => place.id === id)?.name ?? '';
  return (
    <section aria-label={say('Devices that send readings')} className="mb-8">
      <h2 className="mb-2">{say('Devices that send readings')}</h2>
      {devices.data?.length === 0 && <Nothing>{say('None yet.')}</Nothing>}
      <ul
        hidden={devices.data?.length === 0}
        className="board max-h-80 divide-y divide-rule overflow-y-auto px-3"
        tabIndex={0}
        aria-label={say('Devices that send readings')}
      >
        {devices.data?.map((device) => (
          <li key={device.id} className="flex flex-wrap items-center gap-x-3 py-1">
            <span className="grow">
              <strong>{device.name}</strong>, {placeOf(device.placeId)}
              <span className="block text-sm text-pencil">
                {device.withdrawnOn != null
                  ? say('token withdrawn {day}', { day: shortDay(device.withdrawnOn) })
                  : device.lastHeard == null
                    ? say('not heard of yet')
                    : say('last heard of {day}, {time}', {
                        day: shortDay(device.lastHeard.slice(0, 10)),
                        time: timeWords(device.lastHeard.slice(11, 16)),
                      })}
                {device.simulated && say(', made up by the demonstration')}
              </span>
            </span>
            {device.withdrawnOn == null && (
              <button className="act" disabled={withdraw.isPending} onClick={() => withdraw.mutate(device.id)}>
                {say('Withdraw its token')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Refusal message={withdraw.error?.message} />
      {added && (
        <div role="status" className="mt-2 border-l-4 border-dusk bg-board p-3">
          <p>{say('The token of {name}. It is shown only now; put it into the device:', { name: added.name })}</p>
          <code className="block font-semibold break-all select-all">{added.token}</code>
          <p className="text-sm text-pencil">
            {say('It sends its readings to {address}, with this token as bearer, as JSON or CSV: at, celsius and, where it has it, humidity.', {
              address: `${window.location.origin}/api/readings`,
            })}
          </p>
        </div>
      )}
      <details className="mt-2">
        <summary className="trail min-h-11 content-center">{say('Add')}</summary>
        <AddForm
          verb={say('Add the device')}
          entries={[
            { key: 'name', name: say('Name') },
            { key: 'placeId', name: say('Where it hangs'), choices: choices.places.map((place) => ({ value: String(place.id), name: place.name })) },
          ]}
          add={async (typed) => {
            const made = await answered(
              api.POST('/api/devices', {
                body: { name: typed.name ?? '', ...(typed.placeId ? { placeId: Number(typed.placeId) } : {}) } as { name: string; placeId: number },
              }),
            );
            setAdded({ name: typed.name ?? '', token: made.token });
          }}
        />
      </details>
    </section>
  );
}
