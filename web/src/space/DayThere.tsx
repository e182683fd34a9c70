import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { SpaceView, SpreadView } from '../api/client';
import { answered, api } from '../api/client';
import { Refusal } from '../look/States';
import { addDays, daysBetween, dayWords } from '../words/days';
import { say } from '../words/say';
import { roomFigures } from './roomFigures';

/** What stands at a place on a day: the batches whose trays add up to how full it is. */
export function DayThere({
  place,
  overYears,
  day,
  first,
  last,
  choose,
  close,
}: {
  place: SpaceView['places'][number];
  overYears: SpreadView['places'][number] | undefined;
  day: string;
  first: string;
  last: string;
  choose: (day: string) => void;
  close: () => void;
}) {
  const there = useQuery({
    queryKey: ['space', 'standing', place.id, day],
    placeholderData: (before) => before,
    queryFn: () => answered(api.GET('/api/space/standing', { params: { query: { place: place.id, day } } })),
  });
  return (
    <section aria-label={say('What stands there')} className="border-t border-rule bg-wash p-4">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="grow">
          {place.name}, {dayWords(day)}
        </h2>
        <button type="button" className="act" disabled={day <= first} onClick={() => choose(addDays(day, -1))}>
          {say('A day earlier')}
        </button>
        <button type="button" className="act" disabled={day >= last} onClick={() => choose(addDays(day, 1))}>
          {say('A day later')}
        </button>
        <button type="button" className="trail min-h-11 px-2" onClick={close}>
          {say('Close')}
        </button>
      </div>
      {there.isPending && <p role="status">{say('Looking it up…')}</p>}
      <Refusal message={there.error?.message} />
      {there.data && (
        <>
          <p className={there.data.used > place.slots ? 'font-semibold text-brick' : ''} role="status">
            {say('{used} of {slots} tray places', { used: roomFigures(there.data.used), slots: place.slots })}
          </p>
          {overYears && (
            <p className="text-sm">
              {say('Enough in half of all past years: {half}; in nine of ten: {nine}', {
                half: roomFigures(overYears.half[daysBetween(first, day)] ?? 0),
                nine: roomFigures(overYears.nineOfTen[daysBetween(first, day)] ?? 0),
              })}
            </p>
          )}
          <ul className="mt-1 grid gap-x-6 text-sm sm:grid-cols-2 lg:grid-cols-3">
            {there.data.standing.map((each) => (
              <li key={each.batch} className="flex min-h-11 items-center gap-2 border-t border-rule">
                <Link className="trail" to={`/batches/${each.batch}`}>
                  {each.batch}
                </Link>
                <span className="grow">{each.variety}</span>
                <span className="font-semibold">{roomFigures(each.slots)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
