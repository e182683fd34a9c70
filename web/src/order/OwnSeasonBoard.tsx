import type { Choices, OwnSeason } from '../api/client';
import { timeScale } from '../look/timeScale';
import { TimeAxis } from '../look/TimeAxis';
import { dayWords, shortDay } from '../words/days';
import { chanceWords } from '../words/phrases';
import { places as trays } from '../words/quantity';
import { say } from '../words/say';

type Sowing = OwnSeason['sowings'][number];

/** A season of one's own: each sowing drawn from the tray to the table, the seed, the days and the room. */
export function OwnSeasonBoard({ season, choices }: { season: OwnSeason; choices: Choices }) {
  const name = (sowing: Sowing) => choices.varieties.find((variety) => variety.id === sowing.wish.varietyId)?.name ?? '';
  const short = season.seeds.filter((seed) => seed.needed > seed.inStore);
  const tight = season.weeks.flatMap((week) =>
    week.rooms.filter((room) => room.needed > room.free + 0.05).map((room) => ({ ...room, monday: week.monday })),
  );
  return (
    <>
      <section aria-label={say('From the tray to the table')} className="board p-4">
        <h2 className="mb-2">{say('From the tray to the table')}</h2>
        <Drawing sowings={season.sowings} name={name} />
      </section>
      {season.sowings.some((each) => each.answer !== 'NO') && (
        <>
          <section aria-label={say('Seed')} className="board p-4">
            <h2 className="mb-1">
              {short.length === 0
                ? say('Seed: all of it is there')
                : say('Seed: {short, plural, one {one kind runs} other {# kinds run}} short', { short: short.length })}
            </h2>
            <ul>
              {season.seeds.map((seed) => (
                <li key={seed.varietyId} className="py-0.5">
                  {seed.needed > seed.inStore
                    ? say('{variety}: {needed, plural, one {# seed} other {# seeds}}, {inStore} there; buy {missing} more.', {
                        variety: seed.variety,
                        needed: seed.needed,
                        inStore: seed.inStore,
                        missing: seed.needed - seed.inStore,
                      })
                    : say('{variety}: {needed, plural, one {# seed} other {# seeds}} of {inStore}.', {
                        variety: seed.variety,
                        needed: seed.needed,
                        inStore: seed.inStore,
                      })}
                </li>
              ))}
            </ul>
          </section>
          <section aria-label={say('Days')} className="board p-4">
            <h2 className="mb-1">{say('Week by week')}</h2>
            {tight.length > 0 && (
              <p className="mb-2 border-l-4 border-ochre bg-ochre-wash p-2">
                {say('Room runs out at {place} in the week of {monday}: {needed} trays are needed, {free} are free.', {
                  place: tight[0]!.place,
                  monday: dayWords(tight[0]!.monday),
                  needed: trays(tight[0]!.needed),
                  free: trays(Math.max(0, tight[0]!.free)),
                })}
              </p>
            )}
            <ol className="divide-y divide-rule">
              {season.weeks.map((week) => (
                <li key={week.monday} className="grid gap-x-4 py-2 sm:grid-cols-[7rem_1fr_12rem]">
                  <span className="text-pencil">{say('from {day}', { day: shortDay(week.monday) })}</span>
                  <ul>
                    {week.tasks.map((task, index) => {
                      const sowing = season.sowings[task.sowing]!;
                      return (
                        <li key={index}>
                          {taskWords(task, name(sowing), sowing)} <span className="text-sm text-pencil">{dayWords(task.day)}</span>
                        </li>
                      );
                    })}
                  </ul>
                  <span className="text-sm text-pencil">
                    {week.rooms.map((room) => say('{place}: {trays}', { place: room.place, trays: trays(room.needed) })).join(', ')}
                  </span>
                </li>
              ))}
            </ol>
          </section>
        </>
      )}
    </>
  );
}

function Drawing({ sowings, name }: { sowings: Sowing[]; name: (sowing: Sowing) => string }) {
  const days = sowings.flatMap((each) => [each.sowDay, each.wish.target, each.pickOn]).filter((day): day is string => day != null);
  const sorted = [...days].sort();
  const scale = timeScale(sorted[0] ?? '', sorted[sorted.length - 1] ?? '');
  return (
    <div>
      <div className="sm:ml-48">
        <TimeAxis scale={scale} />
      </div>
      <ul>
        {sowings.map((sowing, index) => (
          <li key={index} className="grid items-center gap-x-2 border-t border-rule py-1 sm:grid-cols-[11.5rem_1fr]">
            <span>
              {say('{plants} {variety}', { plants: sowing.wish.plants, variety: name(sowing) })}
              <span className="block text-sm text-pencil">
                {sowing.answer === 'NO' || !sowing.sowDay
                  ? say('not in time')
                  : say('sow {sow}, {chance}', { sow: shortDay(sowing.sowDay), chance: chanceWords(sowing.chance) })}
              </span>
            </span>
            {sowing.answer === 'NO' || !sowing.sowDay ? (
              <div className="text-sm">
                {sowing.couldPickFrom && (
                  <p className="font-semibold">{say('It could be picked from {day} on.', { day: dayWords(sowing.couldPickFrom) })}</p>
                )}
                <p>{sowing.why}</p>
              </div>
            ) : (
              <div>
                <Bar sowing={sowing} sowDay={sowing.sowDay} at={scale.at} />
                {sowing.why && <p className="text-sm text-pencil">{sowing.why}</p>}
              </div>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-pencil">{say('Filled: in trays. Open: in the bed, until it is picked from.')}</p>
    </div>
  );
}

/** In trays it is filled, in the bed it is open; where it is picked from, a stroke. */
function Bar({ sowing, sowDay, at }: { sowing: Sowing; sowDay: string; at: (day: string) => number }) {
  const { target } = sowing.wish;
  const planted = at(target);
  const picked = at(sowing.pickOn);
  const words = say('In trays from {sow}, planted {planted}, picked from {picked}', {
    sow: dayWords(sowDay),
    planted: dayWords(target),
    picked: dayWords(sowing.pickOn),
  });
  return (
    <div role="img" aria-label={words} title={words} className="relative h-6">
      <span className="absolute inset-y-1 bg-dusk" style={{ left: `${at(sowDay)}%`, width: `${Math.max(0.5, planted - at(sowDay))}%` }} />
      <span className="absolute inset-y-1 border border-dusk" style={{ left: `${planted}%`, width: `${Math.max(0, picked - planted)}%` }} />
      <span className="absolute inset-y-0 w-1 bg-ink" style={{ left: `calc(${picked}% - 2px)` }} />
    </div>
  );
}

type Task = OwnSeason['weeks'][number]['tasks'][number];

function taskWords(task: Task, variety: string, sowing: Sowing): string {
  const plants = sowing.wish.plants;
  switch (task.step) {
    case 'SOW':
      return say('Sow {variety}, {seeds, plural, one {# seed} other {# seeds}}, at {place}.', { variety, seeds: sowing.seeds, place: task.place });
    case 'MOVE':
      return say('Move {variety} to {place}.', { variety, place: task.place });
    case 'PLANT':
      return say('Plant {plants} {variety} out.', { plants, variety });
    default:
      return say('Pick {variety}.', { variety });
  }
}
