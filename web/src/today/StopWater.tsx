import { Link } from 'react-router';
import type { StopView } from '../api/client';
import { Refusal } from '../look/States';
import { listWords, trayWords } from '../words/phrases';
import { say } from '../words/say';
import { useWaterNotes, wateredWords } from './useWaterNotes';
import { againOf, named } from './waterWords';

/** Water at a stop: these trays want some, look at those, leave the rest. */
export function StopWater({ placeId, water }: { placeId: number; water: StopView['water'] }) {
  const { note, problem, waiting } = useWaterNotes();
  const open = (trays: number[]) => trays.filter((tray) => !waiting.has(tray));
  const wanted = [
    { word: 'BELOW', trays: open(water.below), what: say('from below'), done: say('Watered') },
    { word: 'ABOVE', trays: open(water.above), what: say('from above'), done: say('Watered') },
    { word: 'SPRAY', trays: open(water.spray), what: say('a fine spray'), done: say('Sprayed') },
  ].filter((each) => each.trays.length > 0);
  const look = open(water.look);
  const { again, againFrom } = water;
  if (wanted.length === 0 && look.length === 0 && again.length === 0) return null;
  const rest = [
    look.length > 0 && say('look at {trays}', { trays: named(look) }),
    water.leave > 0 && say('leave {leave, plural, one {# tray} other {# trays}}', { leave: water.leave }),
  ].filter((words) => typeof words === 'string');
  return (
    <div className="mt-1 text-sm">
      {wanted.map((each) => (
        <p key={each.word} className="flex flex-wrap items-center gap-x-3">
          <span>
            <strong>{say('Water {trays}', { trays: named(each.trays) })}</strong> {each.what}
          </span>
          <button
            className="act"
            aria-label={say('{done}: {trays}', { done: each.done, trays: trayWords(each.trays) })}
            onClick={() => void note({ trays: each.trays, kind: 'WATERED', word: each.word }, wateredWords(each.trays.length))}
          >
            {each.done}
          </button>
        </p>
      ))}
      {again.length > 0 && againFrom != null && <p>{againOf(again, againFrom)}</p>}
      <p>
        <Link className="trail inline-flex min-h-11 items-center" to={`/water#place-${placeId}`}>
          {rest.length > 0 ? say('Water: {rest}', { rest: listWords(rest) }) : say('Water, tray by tray')}
        </Link>
      </p>
      <Refusal message={problem} />
    </div>
  );
}
