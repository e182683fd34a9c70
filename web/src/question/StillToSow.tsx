import type { Answered } from '../api/client';
import { Nothing } from '../look/States';
import { dayOfYear, dayWords, daysBetween } from '../words/days';
import { chanceWords } from '../words/phrases';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type View = NonNullable<Answered['stillToSow']>;

/** The question turned round: what of the seed in hand would still come to something, the most pressing first. */
export function StillToSow({ view, today, ask }: { view: View; today: string; ask: (words: string) => void }) {
  const day = view.sowDay === today ? say('today') : say('on {day}', { day: dayWords(view.sowDay) });
  return (
    <section aria-label={say('What can still be sown')} className="flex flex-col gap-2">
      <h3>
        {view.site
          ? say('Of the seed in hand, sown {day} for {site}', { day, site: view.site })
          : say('Of the seed in hand, sown {day}; no site named, so frost is not looked at', { day })}
      </h3>
      {view.lots.length === 0 && <Nothing>{say('Nothing would come of any lot now.')}</Nothing>}
      <ul className="divide-y divide-rule border-y border-rule">
        {view.lots.map((lot) => (
          <li key={lot.lotId}>
            <button
              type="button"
              className="grid min-h-11 w-full items-baseline gap-x-3 py-1.5 text-left hover:bg-wash sm:grid-cols-[12rem_1fr_9rem]"
              onClick={() =>
                ask(`${lot.plants} ${lot.variety}, ${dayOfYear(lot.goesOut)}, ${lot.container.toLowerCase()}${view.site ? `, ${view.site}` : ''}`)
              }
            >
              <span>
                <strong>{lot.variety}</strong> <span className="text-pencil">{lot.crop.toLowerCase()}</span>
              </span>
              <span>
                {say('about {plants} plants of {seeds} seeds ({lot}), ready to go {goesOut}: {chance}', {
                  plants: figures(lot.plants),
                  seeds: figures(lot.seedsLeft),
                  lot: lot.code,
                  goesOut: dayWords(lot.goesOut),
                  chance: chanceWords(lot.chance),
                })}
              </span>
              <span className="sm:text-right">{lastWords(lot, view.sowDay)}</span>
            </button>
          </li>
        ))}
      </ul>
      {view.nothingOf > 0 && (
        <p className="text-sm text-pencil">
          {say('{lots, plural, one {# lot} other {# lots}} more would come to nothing now: too early, too late, or all of it planned.', {
            lots: view.nothingOf,
          })}
        </p>
      )}
    </section>
  );
}

function lastWords(lot: View['lots'][number], sowDay: string): string {
  if (!lot.lastDay) return say('no last day in sight');
  const left = daysBetween(sowDay, lot.lastDay);
  return left <= 0
    ? say('past its last day')
    : say('until {lastDay}, {days, plural, one {# day} other {# days}} left', { lastDay: dayWords(lot.lastDay), days: left });
}
