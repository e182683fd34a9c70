import { Link, useSearchParams } from 'react-router';
import type { SowingListView } from '../api/client';
import { useSowingList } from '../api/queries';
import { Caution, Loading, Nothing, Trouble } from '../look/States';
import { addDays, dayWords } from '../words/days';
import { degrees, figures, length, mass, volume } from '../words/quantity';
import { companyWords, packetWords } from '../words/reasons';
import { listWords } from '../words/phrases';
import { say } from '../words/say';
import { HANDLING } from './handlingWords';
import { FromTheStore } from './FromTheStore';

type Group = SowingListView['groups'][number];

/** The sowing of a day: what to take from the store, what is sown in one go, what to soak for the next day. */
export function SowingListPage({ today }: { today: string }) {
  const [search, setSearch] = useSearchParams();
  const day = search.get('day') ?? today;
  const list = useSowingList(day);
  if (list.isPending) return <Loading what={say('the sowing')} />;
  if (!list.data) return <Trouble error={list.error} retry={() => list.refetch()} />;
  const { groups, soak, company } = list.data;
  const sowings = groups.flatMap((group) => group.sowings);
  const labels = sowings.reduce((sum, sowing) => sum + byTray(sowing.runs).length, 0);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Sowing, {day}', { day: dayWords(day) })}</h1>
        <span className="no-print ml-auto flex flex-wrap gap-2">
          <button
            className="act min-w-11"
            disabled={day <= today}
            aria-label={say('A day earlier')}
            onClick={() => setSearch({ day: addDays(day, -1) })}
          >
            ‹
          </button>
          <button className="act min-w-11" aria-label={say('A day later')} onClick={() => setSearch({ day: addDays(day, 1) })}>
            ›
          </button>
          <button className="act" onClick={() => window.print()}>
            {say('Print')}
          </button>
          {sowings.length > 0 && day === today && (
            <Link className="act act-main" to="/sow/along">
              {say('Sow along')}
            </Link>
          )}
        </span>
      </div>
      {groups.length === 0 && <Nothing>{say('Nothing is to be sown on this day.')}</Nothing>}
      {company.length > 0 && (
        <ul className="mb-4">
          {company.map((each) => (
            <li key={`${each.tray} ${companyWords(each.against)}`} className="border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
              {say('Tray T{tray}: {against}', { tray: each.tray, against: companyWords(each.against) })}
              {each.fitting
                .filter((fitting) => fitting.with.length > 0)
                .map((fitting) => (
                  <span key={fitting.crop} className="block">
                    {say('Of what is sown this day, with {crop} go {others}.', {
                      crop: fitting.crop.toLowerCase(),
                      others: listWords(fitting.with.map((other) => other.toLowerCase())),
                    })}
                  </span>
                ))}
            </li>
          ))}
        </ul>
      )}
      {groups.length > 0 && (
        <div className="no-print mb-4">
          <Caution>{say('Dust of dry mix: damp it down and wear a mask; open compost bags away from the face.')}</Caution>
        </div>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_20rem]">
        <div className="flex min-w-0 flex-col gap-5">
          {groups.map((group) => (
            <InOneGo key={`${group.container} ${group.recipe} ${group.depth} ${group.needsLight}`} group={group} day={day} />
          ))}
        </div>
        <div className="flex flex-col gap-5">
          {groups.length > 0 && <FromTheStore list={list.data} labels={labels} />}
          {soak.length > 0 && (
            <section aria-label={say('To soak')} className="board p-4">
              <h2 className="mb-1">{say('To soak')}</h2>
              <ul className="text-sm">
                {soak.map((each) => (
                  <li key={each.batch} className="border-t border-rule py-1.5">
                    <strong>{each.variety}</strong>{' '}
                    {say('{seeds, plural, one {# seed} other {# seeds}} of {lot}', { seeds: each.seeds, lot: each.lot })}
                    <span className="block text-pencil">
                      {say(
                        '{hours, plural, one {# hour} other {# hours}} in water, not longer: it drowns; sown {when, select, same {later that day} other {the next day}}',
                        { hours: each.hours, when: each.sowDay === day ? 'same' : 'next' },
                      )}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </>
  );
}

type Run = Group['sowings'][number]['runs'][number];

/** A trial's rows are one stretch of their tray here. */
const byTray = (runs: Run[]): Run[] =>
  [...new Set(runs.map((run) => run.tray))].map((tray) => {
    const own = runs.filter((run) => run.tray === tray);
    return { ...own[0]!, lastCell: own.at(-1)!.lastCell };
  });

const trialsOf = (runs: Run[]): string[] => [...new Set(runs.flatMap((run) => run.trial?.name ?? []))];

/** What has the same mix, container and depth, one after the other. */
function InOneGo({ group, day }: { group: Group; day: string }) {
  return (
    <section aria-label={group.containerName} className="board p-4">
      <h2>
        {group.containerName}, {group.depth === 0 ? say('on the surface') : say('{depth} deep', { depth: length(group.depth) })}
      </h2>
      <p className="mb-1 text-sm text-pencil">
        {[
          group.recipeName && say('{recipe}, {volume}', { recipe: group.recipeName, volume: volume(group.litres) }),
          say('{trays, plural, one {# tray} other {# trays}}', { trays: group.trays }),
          group.needsLight && say('in light'),
        ]
          .filter(Boolean)
          .join('; ')}
      </p>
      <p className="no-print text-sm">
        <Link className="trail inline-flex min-h-11 items-center" to={`/trays/${group.sowings[0]!.runs[0]!.tray}/layout?day=${day}`}>
          {say('Share or cut trays')}
        </Link>
      </p>
      <ul>
        {group.sowings.map((sowing) => (
          <li key={sowing.batch} className="border-t border-rule py-2">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <strong>{sowing.variety}</strong>
              <span className="text-pencil">{sowing.crop.toLowerCase()}</span>
              <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${sowing.batch}`}>
                {sowing.batch}
              </Link>
              <span className="ml-auto">
                {say('lot {lot}, {seedsPerCell} a cell, {seeds, plural, one {# seed} other {# seeds}}, {grams}', {
                  lot: sowing.lot,
                  seedsPerCell: sowing.seedsPerCell,
                  seeds: sowing.seeds,
                  grams: mass(sowing.grams),
                })}
              </span>
            </div>
            <p className="text-sm">
              {byTray(sowing.runs).map((run) => (
                <Link key={run.tray} className="trail mr-3 inline-flex min-h-11 items-center" to={`/trays/${run.tray}`}>
                  {say('{code}: {firstCell} to {lastCell}', { code: run.code, firstCell: run.firstCell, lastCell: run.lastCell })}
                </Link>
              ))}
              {trialsOf(sowing.runs).map((name) => (
                <span key={name} className="mr-3 font-semibold">
                  {say('Laid out for the trial {name}: sow along it row by row.', { name })}
                </span>
              ))}
              {say('then {place}, {warmth}: half are up in about {days, plural, one {# day} other {# days}}', {
                place: sowing.place.toLowerCase(),
                warmth: degrees(sowing.warmth, 0),
                days: Math.round(sowing.days),
              })}
            </p>
            {sowing.seeds > sowing.seedsLeft && (
              <p className="font-semibold text-brick">
                {say('The packet holds {seedsLeft}: it will be short.', { seedsLeft: figures(sowing.seedsLeft) })}
              </p>
            )}
            {sowing.packet.map((each) => (
              <p key={each.kind} className="text-sm text-pencil">
                {packetWords(each)}
              </p>
            ))}
            {(sowing.handling.length > 0 || sowing.caution) && (
              <p className="text-sm text-ochre">{[...sowing.handling.map((each) => HANDLING[each]), sowing.caution].filter(Boolean).join(' ')}</p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
