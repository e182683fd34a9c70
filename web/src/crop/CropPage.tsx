import { Input, Select } from '@headlessui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answered, api, type CropView } from '../api/client';
import { useChoices, useSession } from '../api/queries';
import { Field } from '../look/Field';
import { LineChart } from '../look/LineChart';
import { Caution, Loading, Trouble } from '../look/States';
import { spreadWords } from '../words/days';
import { say } from '../words/say';
import { TendingOf } from './TendingOf';
import { degrees, figures, temperature, temperatureUnit } from '../words/quantity';

/** A crop: its curves with what they were fitted to, its stages at a place and day, and every figure with its source. */
export function CropPage({ today }: { today: string }) {
  const mayChange = useSession().data?.role === 'PROPAGATOR';
  const code = useParams().code ?? '';
  const choices = useChoices();
  const [place, setPlace] = useState('');
  const [sown, setSown] = useState(today);
  const query = { sown, ...(place ? { place: Number(place) } : {}) };
  const crop = useQuery({
    queryKey: ['crops', code, query],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.GET('/api/crops/{code}', { params: { path: { code }, query } })),
  });
  if (crop.isPending) return <Loading what={say('the crop')} />;
  if (crop.isError) return <Trouble error={crop.error} retry={() => crop.refetch()} />;
  const view = crop.data;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4">
        <h1>{view.name}</h1>
        <p className="text-pencil">{view.hardiness}</p>
        <Link className="trail ml-auto flex min-h-11 items-center" to="/nursery/crops">
          {say('Change its figures')}
        </Link>
      </div>
      {view.caution && (
        <div className="mb-3">
          <Caution>{view.caution}</Caution>
        </div>
      )}
      <div className="grid gap-5 lg:grid-cols-2">
        <section aria-label={say('Coming up')} className="board p-4">
          <LineChart
            title={say('Days from sowing until half are up')}
            xTitle={say('{unit}, held steady', { unit: temperatureUnit() })}
            yTitle={say('days')}
            series={[
              {
                name: say('fitted'),
                points: view.curve.filter((point) => point.days != null).map((point) => ({ x: temperature(point.temperature), y: point.days! })),
              },
            ]}
            dots={view.observed.map((point) => ({ x: temperature(point.temperature), y: point.days }))}
            yMost={Math.min(60, Math.max(15, ...view.observed.map((point) => point.days)) + 2)}
          />
          <p className="text-sm text-pencil">
            {say('{what}Source: {emergenceSource}.', {
              what:
                view.observed.length > 0
                  ? say('Circles: {observed} observed temperatures that the line is fitted to. ', { observed: view.observed.length })
                  : say('No observations to judge it by. '),
              emergenceSource: view.emergenceSource,
            })}
          </p>
        </section>
        <section aria-label={say('Leaves')} className="board p-4">
          <LineChart
            title={say('True leaves a day in full light')}
            xTitle={say('{unit}, held steady', { unit: temperatureUnit() })}
            yTitle={say('leaves a day')}
            series={[{ name: say('leaves'), points: view.curve.map((point) => ({ x: temperature(point.temperature), y: point.leavesPerDay })) }]}
          />
          <p className="text-sm text-pencil">{say('Source: {growthSource}.', { growthSource: view.growthSource })}</p>
          <TaughtHere taught={view.taught} />
        </section>
      </div>
      <section aria-label={say('Its stages')} className="board mt-5 p-4">
        <h2 className="mb-2">{say('Its stages, if sown')}</h2>
        <div className="mb-3 flex flex-wrap gap-3">
          <Field name={say('on')}>
            <Input className="entry" type="date" value={sown} onChange={(event) => event.target.value && setSown(event.target.value)} />
          </Field>
          <Field name={say('in')}>
            <Select className="entry" value={place || String(view.placeId)} onChange={(event) => setPlace(event.target.value)}>
              {choices.data?.places.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </Select>
          </Field>
          <p className="self-end pb-2 text-pencil">
            {say('about {meanTemperature} in the first three weeks', { meanTemperature: degrees(view.meanTemperature, 0) })}
          </p>
        </div>
        <dl className="grid gap-x-4 text-sm sm:grid-cols-[8rem_1fr]">
          {view.stages.map((stage) => (
            <div key={stage.stage} className="contents">
              <dt className="border-t border-rule py-1 font-semibold">{stage.stage}</dt>
              <dd className="border-rule py-1 sm:border-t">{spreadWords(stage.spread)}</dd>
            </div>
          ))}
        </dl>
      </section>
      <TendingOf key={code} code={code} tending={view.tending} mayChange={mayChange} />
      <section aria-label={say('Every figure')} className="mt-5">
        <h2 className="mb-2">{say('Every figure')}</h2>
        <dl className="board grid grid-cols-[1fr_auto] gap-x-4 p-3 text-sm lg:grid-cols-[1fr_auto_1fr_auto]">
          {view.figures.map((figure) => (
            <div key={figure.name} className="contents">
              <dt className="border-t border-rule py-1">
                {figure.name}
                {figure.hint && <span className="block text-xs text-pencil">{figure.hint}</span>}
              </dt>
              <dd className="border-t border-rule py-1 text-right font-semibold">{figure.value || '–'}</dd>
            </div>
          ))}
        </dl>
      </section>
    </>
  );
}

/** What counts of its leaves taught beside these figures; plans and forecasts go by both. */
function TaughtHere({ taught }: { taught: CropView['taught'] }) {
  if (taught.length === 0)
    return (
      <p className="mt-2 text-sm">{say('Nobody has counted its leaves here yet: five plants of a batch, once, teach how fast it is with you.')}</p>
    );
  return (
    <>
      <h3 className="mt-3">{say('With you, by counts of its leaves')}</h3>
      <ul className="text-sm">
        {taught.map((here) => (
          <li key={here.place}>
            {say(
              '{place}: a leaf takes {longer} times as long as the figures say, {from} to {to}; told by {batches, plural, one {# batch} other {# batches}}',
              { place: here.place, longer: figures(here.longer, 2), from: figures(here.from, 2), to: figures(here.to, 2), batches: here.batches },
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
