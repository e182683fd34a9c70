import { useState } from 'react';
import { Link } from 'react-router';
import type { SeedNeedsView } from '../api/client';
import { useSeedNeeds } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { dayOfYear, dayWords, shortDay, weekOf } from '../words/days';
import { say } from '../words/say';
import { mass } from '../words/quantity';
import { LotKnown } from './LotKnown';
import { StoreTabs } from './StoreTabs';

type Lot = SeedNeedsView['lots'][number];
type Sowing = SeedNeedsView['sowings'][number];

/** The seed store against the plan: what is short, what to buy, what to take out week by week, which lots are tired. */
export function SeedPage() {
  const needs = useSeedNeeds();
  const [search, setSearch] = useState('');
  if (needs.isPending) return <Loading what={say('the seed store')} />;
  if (!needs.data) return <Trouble error={needs.error} retry={() => needs.refetch()} />;
  const words = search.toLowerCase().split(' ').filter(Boolean);
  const lots = needs.data.lots.filter((lot) =>
    words.every((word) => `${lot.code} ${lot.variety} ${lot.crop} ${lot.supplier}`.toLowerCase().includes(word)),
  );
  return (
    <>
      <StoreTabs />
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Seed')}</h1>
        <p className={needs.data.buying.length > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {needs.data.buying.length > 0
            ? say('{lots, plural, one {# lot} other {# lots}} run short', { lots: needs.data.buying.length })
            : say('There is enough of everything that is planned.')}
        </p>
        <Link className="trail ml-auto flex min-h-11 items-center" to="/nursery/lots">
          {say('Change lots')}
        </Link>
      </div>
      <div className="grid gap-5 lg:grid-cols-2">
        <Buying needs={needs.data} />
        <Weeks needs={needs.data} />
      </div>
      <section aria-label={say('Lots')} className="mt-5">
        <div className="mb-2 flex flex-wrap items-center gap-3">
          <h2>{say('Lots')}</h2>
          <input
            className="entry max-w-xs"
            type="search"
            aria-label={say('Find a lot')}
            placeholder={say('kale, M26-107, a supplier…')}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
        </div>
        <Lots lots={lots} sowings={needs.data.sowings} />
      </section>
    </>
  );
}

function Buying({ needs }: { needs: SeedNeedsView }) {
  return (
    <section aria-label={say('To buy')} className="board p-4">
      <h2 className="mb-1">{say('To buy')}</h2>
      {needs.buying.length === 0 && <p className="text-pencil">{say('Nothing.')}</p>}
      <ul className="text-sm">
        {needs.buying.map((line) => (
          <li key={line.variety + line.neededBy} className="flex flex-wrap gap-x-3 border-t border-rule py-1.5">
            <strong className="grow">{line.variety}</strong>
            <span>
              {say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: line.seeds })}, {mass(line.grams)}
            </span>
            <span className="text-pencil">{line.supplier}</span>
            <span className="font-semibold text-brick">{say('by {neededBy}', { neededBy: dayWords(line.neededBy) })}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the next weeks take, and the packets lined up by the day they are opened. */
function Weeks({ needs }: { needs: SeedNeedsView }) {
  const weeks = byWeek(needs.sowings);
  const most = Math.max(1, ...weeks.map((week) => week.seeds));
  return (
    <section aria-label={say('Lined up by sow day')} className="board p-4">
      <h2 className="mb-1">{say('Lined up by sow day')}</h2>
      {weeks.length === 0 && <p className="text-pencil">{say('No sowing is planned.')}</p>}
      <div className="max-h-80 overflow-y-auto" tabIndex={0} role="group" aria-label={say('Sowings by week')}>
        {weeks.map((week) => (
          <details key={week.first} className="border-t border-rule text-sm">
            <summary className="grid min-h-11 grid-cols-[6.500rem_1fr_7rem] items-center gap-2">
              <span className="font-semibold">{say('from {day}', { day: shortDay(week.first) })}</span>
              <span aria-hidden className="h-3 bg-dusk/35" style={{ width: `${(week.seeds / most) * 100}%` }} />
              <span className="text-right text-pencil">{say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: week.seeds })}</span>
            </summary>
            <ul className="pb-2">
              {week.sowings.map((sowing) => (
                <SowingRow key={sowing.batch} sowing={sowing} />
              ))}
            </ul>
          </details>
        ))}
      </div>
    </section>
  );
}

/** A sowing and the seed it takes. */
function SowingRow({ sowing }: { sowing: Sowing }) {
  return (
    <li className="grid grid-cols-[4.500rem_1fr_auto] gap-2 py-0.5">
      <span>{shortDay(sowing.day)}</span>
      <span>
        <Link className="trail" to={`/batches/${sowing.batch}`}>
          {sowing.batch}
        </Link>{' '}
        {say('{variety}, lot {lot}', { variety: sowing.variety, lot: sowing.lot })}
      </span>
      <span className={sowing.lacking ? 'font-semibold text-brick' : 'text-pencil'}>
        {say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: sowing.seeds })}, {mass(sowing.grams)}
        {sowing.lacking && say(', short')}
      </span>
    </li>
  );
}

/** Seed that the plan takes of a lot; opens to the sowings that take it. */
function Planned({ needed, sowings }: { needed: number; sowings: Sowing[] }) {
  return (
    <details>
      <summary className="trail min-h-11 content-center">{say('{needed, number} planned', { needed })}</summary>
      <ul className="text-left">
        {sowings.map((sowing) => (
          <SowingRow key={sowing.batch} sowing={sowing} />
        ))}
      </ul>
    </details>
  );
}

interface Week {
  first: string;
  sowings: SeedNeedsView['sowings'];
  seeds: number;
}

/** Sowings by the week they fall in, the first first. */
function byWeek(sowings: SeedNeedsView['sowings']): Week[] {
  const weeks = new Map<string, Week>();
  for (const sowing of sowings) {
    const first = weekOf(sowing.day);
    const before = weeks.get(first) ?? { first, sowings: [], seeds: 0 };
    weeks.set(first, { first, sowings: [...before.sowings, sowing], seeds: before.seeds + sowing.seeds });
  }
  return [...weeks.values()].sort((one, other) => (one.first < other.first ? -1 : 1));
}

function Lots({ lots, sowings }: { lots: Lot[]; sowings: Sowing[] }) {
  if (lots.length === 0) return <Nothing>{say('No lot fits.')}</Nothing>;
  return (
    <ul className="board divide-y divide-rule text-sm">
      {lots.map((lot) => (
        <li key={lot.id} className="grid gap-x-4 px-3 py-2 lg:grid-cols-[7rem_13rem_1fr_13rem] lg:items-center">
          <Link className="trail flex min-h-11 items-center font-semibold" to={`/trace/lots/${lot.id}`} title={say('Everything that came of it')}>
            {lot.code}
          </Link>
          <span>
            {lot.variety} <span className="text-pencil">{lot.crop.toLowerCase()}</span>
          </span>
          <span>
            <span className="text-pencil">
              {say('{supplier}, tested {testedOn}: label {label} %', {
                supplier: lot.supplier,
                testedOn: dayOfYear(lot.quality.testedOn),
                label: Math.round(lot.quality.label * 100),
              })}{' '}
            </span>
            <LotKnown lot={lot.id} low={lot.quality.low} high={lot.quality.high} />
            {(lot.quality.old || lot.quality.poor) && (
              <span className="block text-ochre">
                {say('{what}: 100 plants take {cellsForHundred} cells, with fresh seed {cellsForHundredFresh}.', {
                  what: lot.quality.old && lot.quality.poor ? say('Old and poor') : lot.quality.old ? say('Old') : say('Poor'),
                  cellsForHundred: lot.quality.cellsForHundred,
                  cellsForHundredFresh: lot.quality.cellsForHundredFresh,
                })}
              </span>
            )}
          </span>
          <span className="sm:text-right">
            {say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: lot.stock.seeds })}, {mass(lot.stock.grams)}
            <span className={`block ${lot.stock.lacking > 0 ? 'font-semibold text-brick' : 'text-pencil'}`}>
              {lot.stock.needed === 0 && say('nothing planned')}
              {lot.stock.lacking > 0 &&
                say('{lacking, number} short from {shortFrom}', { lacking: lot.stock.lacking, shortFrom: shortDay(lot.stock.shortFrom!) })}
            </span>
            {lot.stock.needed > 0 && <Planned needed={lot.stock.needed} sowings={sowings.filter((sowing) => sowing.lot === lot.code)} />}
          </span>
        </li>
      ))}
    </ul>
  );
}
