import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import type { Founding } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useChoices, useWeather } from '../api/queries';
import { Loading, Refusal, Trouble } from '../look/States';
import { useFounding } from '../today/NextStep';
import { ClimateForm } from '../weather/ClimateForm';
import { Position } from '../weather/Position';
import { altitude } from '../words/quantity';
import { say } from '../words/say';
import { AddPerson, AddSite } from './forms';
import { Grown } from './Grown';
import { PacketForm } from './PacketForm';
import { PlacePatterns } from './PlacePatterns';
import { STEPS } from './steps';

/** Founding a nursery, one thing at a time; each step can be left out and come back to. */
export function FoundingPage() {
  const { step: at } = useParams();
  const founding = useFounding();
  const index = STEPS.findIndex((step) => step.at === at);
  const here = useRef<HTMLLIElement>(null);
  // On a telephone the steps are wider than the page.
  useEffect(() => {
    here.current?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [index, founding.isPending]);
  if (founding.isPending) return <Loading what={say('the nursery')} />;
  if (founding.isError) return <Trouble error={founding.error} retry={() => founding.refetch()} />;
  const step = STEPS[index];
  if (!step) return <Navigate to={`/founding/${STEPS[0]!.at}`} replace />;
  const after = STEPS[index + 1];
  return (
    <>
      <nav aria-label={say('Steps')} className="mb-4 overflow-x-auto">
        <ol className="flex min-w-max border-b border-rule text-sm">
          {STEPS.map((each, position) => (
            <li key={each.at} ref={each === step ? here : null}>
              <Link
                to={`/founding/${each.at}`}
                aria-current={each === step ? 'step' : undefined}
                className={`flex min-h-12 flex-col justify-center border-b-3 px-3 ${each === step ? 'border-dusk font-semibold' : 'border-transparent hover:bg-wash'}`}
              >
                <span>
                  {position + 1} {each.name}
                </span>
                <span className="text-xs font-normal text-pencil">{each.done(founding.data) ? each.there(founding.data) : say('to be said')}</span>
              </Link>
            </li>
          ))}
        </ol>
      </nav>
      <h1 className="mb-3">{step.name}</h1>
      <Content at={step.at} founding={founding.data} next={after ? `/founding/${after.at}` : '/nursery'} />
      <p className="mt-6 flex flex-wrap gap-3 border-t border-rule pt-4">
        {index > 0 && (
          <Link className="act" to={`/founding/${STEPS[index - 1]!.at}`}>
            {say('Back')}
          </Link>
        )}
        {after ? (
          <Link className={step.done(founding.data) ? 'act act-main' : 'act'} to={`/founding/${after.at}`}>
            {step.done(founding.data) ? say('On: {step}', { step: after.name }) : say('Later. On: {step}', { step: after.name })}
          </Link>
        ) : (
          <Link className="act act-main" to={founding.data.next === 'FIRST_PLAN' ? '/orders/new' : '/nursery'}>
            {founding.data.next === 'FIRST_PLAN' ? say('On: the first plan') : say('To the nursery')}
          </Link>
        )}
      </p>
    </>
  );
}

function Content({ at, founding, next }: { at: string; founding: Founding; next: string }) {
  const navigate = useNavigate();
  const on = () => void navigate(next);
  switch (at) {
    case 'where':
      return (
        <>
          <p className="mb-4 max-w-prose text-pencil">
            {say(
              'Latitude decides how long it is light, height how cold it is, and the time zone when a day begins. The name of the place is only a label.',
            )}
          </p>
          <Position latitude={founding.latitude} altitude={founding.altitude} timeZone={founding.timeZone} kept={on} />
        </>
      );
    case 'climate':
      return <Climate measured={founding.weather === 'MEASURED'} kept={on} />;
    case 'places':
      return (
        <>
          <p className="mb-4 max-w-prose text-pencil">
            {say(
              'Pick what you have and put right what is different with you. One place to come up, one to grow on and one to harden off are enough to begin.',
            )}
          </p>
          <PlacePatterns />
          <Standing />
        </>
      );
    case 'crops':
      return (
        <>
          <p className="mb-4 max-w-prose text-pencil">
            {say('The library holds more than one nursery grows. Begin from a set or from all of it, and press what is to be offered or not.')}
          </p>
          <Grown />
        </>
      );
    case 'packets':
      return (
        <>
          <p className="mb-4 max-w-prose text-pencil">
            {say('Type what stands on the packet. What it does not say is left empty: Kiver goes by the library until counts say better.')}
          </p>
          <PacketForm />
        </>
      );
    case 'sites':
      return <Sites founding={founding} />;
    default:
      return <People />;
  }
}

function Climate({ measured, kept }: { measured: boolean; kept: () => void }) {
  const weather = useWeather();
  return (
    <>
      <p className="mb-4 max-w-prose text-pencil">
        {measured
          ? say('A station measures your weather. What is said here counts for days it does not have.')
          : say(
              'Say it as well as you know it; neighbours know the frosts. Whatever follows from it is marked as estimated until days are measured.',
            )}{' '}
        <Link className="trail" to="/weather">
          {say("I have a station's file")}
        </Link>
      </p>
      {weather.data && <ClimateForm kept={kept} />}
    </>
  );
}

function Standing() {
  const choices = useChoices();
  if (!choices.data || choices.data.places.length === 0) return null;
  return (
    <p className="mt-5">
      {say('There so far: {places}.', { places: choices.data.places.map((place) => place.name).join(', ') })}{' '}
      <Link className="trail" to="/nursery/places">
        {say('Change them')}
      </Link>
    </p>
  );
}

function Sites({ founding }: { founding: Founding }) {
  const choices = useChoices();
  const nursery = useQuery({ queryKey: ['nursery'], queryFn: () => answered(api.GET('/api/nursery')) });
  const own = useChange((grower: string) =>
    answered(api.POST('/api/growers', { body: { grower, site: say('Own beds'), altitude: founding.altitude } })),
  );
  return (
    <>
      <p className="mb-4 max-w-prose text-pencil">
        {say('Frost, soil and pests at the site decide when plants may go out. Whoever grows for their own table is a grower, too.')}
      </p>
      <button
        className="act act-main"
        disabled={!nursery.data || own.isPending || own.isSuccess}
        onClick={() => nursery.data && own.mutate(nursery.data.name)}
      >
        {say('Add our own beds, at {altitude}', { altitude: altitude(founding.altitude) })}
      </button>
      <Refusal message={own.error?.message} />
      <h2 className="mt-5">{say('Somebody else')}</h2>
      <AddSite />
      {choices.data && choices.data.sites.length > 0 && (
        <p className="mt-4">
          {say('There so far: {sites}.', {
            sites: choices.data.sites
              .map((site) => `${choices.data.growers.find((grower) => grower.id === site.growerId)?.name}: ${site.name}`)
              .join('; '),
          })}
        </p>
      )}
    </>
  );
}

function People() {
  const choices = useChoices();
  return (
    <>
      <p className="mb-4 max-w-prose text-pencil">
        {say(
          'Bench hands do the round and record; growers see their own orders only; another propagator may do everything. You can also work alone.',
        )}
      </p>
      {choices.data && <AddPerson choices={choices.data} />}
    </>
  );
}
