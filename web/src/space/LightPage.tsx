import { useQuery } from '@tanstack/react-query';
import { Select } from '@headlessui/react';
import { Link, useNavigate, useParams } from 'react-router';
import { answered, api, type WarmthView } from '../api/client';
import { Loading, Nothing, Trouble } from '../look/States';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { LightOf } from './LightOf';
import { SpaceTabs } from './SpaceTabs';

type Lit = WarmthView['places'][number];

const mol = (place: Lit): string => figures(place.light.light, place.light.light < 10 ? 1 : 0);

/** The place to look at first: where something suffers, else the first of the round. */
const first = (places: Lit[]): Lit | undefined => places.find((place) => place.light.dark ?? place.light.fierce) ?? places[0];

/** How light each place is, and what makes one of them so. */
export function LightPage({ mayChange }: { mayChange: boolean }) {
  const asked = useParams().place;
  const go = useNavigate();
  const warmth = useQuery({ queryKey: ['warmth'], queryFn: () => answered(api.GET('/api/warmth')) });
  if (warmth.isPending) return <Loading what={say('the light of the places')} />;
  if (!warmth.data) return <Trouble error={warmth.error} retry={() => warmth.refetch()} />;
  const places = warmth.data.places;
  const chosen = asked === undefined ? first(places)?.placeId : Number(asked);
  return (
    <>
      <SpaceTabs />
      <h1 className="mb-1">{say('Light of the places')}</h1>
      <p className="mb-2 text-sm text-pencil">{say('Mol of light a day that reached the leaves last week.')}</p>
      <Select
        className="entry mb-4 w-full sm:hidden"
        aria-label={say('Place')}
        value={chosen === undefined ? '' : String(chosen)}
        onChange={(event) => void go(`/light/${event.target.value}`)}
      >
        {places.map((place) => (
          <option key={place.placeId} value={place.placeId}>
            {place.place} {mol(place)} {place.light.dark ? say('dark') : place.light.fierce ? say('fierce sun') : ''}
          </option>
        ))}
      </Select>
      <nav aria-label={say('Places')} className="mb-4 hidden flex-wrap gap-1 sm:flex">
        {places.map((place) => (
          <Link
            key={place.placeId}
            to={`/light/${place.placeId}`}
            aria-current={place.placeId === chosen ? 'page' : undefined}
            className={`flex min-h-11 items-baseline gap-2 border px-2 py-2 text-sm ${
              place.placeId === chosen ? 'border-dusk bg-board font-semibold' : 'border-rule'
            }`}
          >
            {place.place}
            <span className="font-semibold">{mol(place)}</span>
            {place.light.dark && <span className="text-ochre">{say('dark')}</span>}
            {place.light.fierce && <span className="text-brick">{say('fierce sun')}</span>}
          </Link>
        ))}
      </nav>
      {chosen === undefined ? <Nothing>{say('There are no places yet.')}</Nothing> : <LightOf key={chosen} place={chosen} mayChange={mayChange} />}
    </>
  );
}
