import { Link } from 'react-router';
import type { LightOfPlace } from '../api/client';
import { useBenchChange } from '../bench/useOutbox';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { figures, places } from '../words/quantity';
import { say } from '../words/say';

type Growing = LightOfPlace['growing'][number];
type Move = Growing['moves'][number];

/** What grows at a place, the light that it wants, and where it would be better off. */
export function GrowingInLight({ view }: { view: LightOfPlace }) {
  if (view.growing.length === 0) return <p className="mt-3 text-sm text-pencil">{say('Nothing that is up grows here.')}</p>;
  const harmed = new Set([...(view.state.dark?.batches ?? []), ...(view.state.fierce?.batches ?? [])]);
  const suffering = view.growing.filter((each) => harmed.has(each.batch));
  const well = view.growing.filter((each) => !harmed.has(each.batch));
  return (
    <>
      {suffering.length > 0 && (
        <>
          <h3 className="mt-4">{say('Where they would be better off')}</h3>
          <ul className="flex flex-col gap-3">
            {suffering.map((each) => (
              <li key={each.batch} className="board p-3 text-sm">
                <Named growing={each} />
                {each.moves.length === 0 && <p>{say('No other place suits it now: they are too dark, too bright, too cold or too hot for it.')}</p>}
                <ul className="mt-1 flex flex-col gap-1">
                  {each.moves.map((move) => (
                    <MoveThere key={move.placeId} growing={each} move={move} />
                  ))}
                </ul>
              </li>
            ))}
          </ul>
        </>
      )}
      {well.length > 0 && (
        <>
          <h3 className="mt-4">{say('Grow well in this light')}</h3>
          <ul className="text-sm">
            {well.map((each) => (
              <li key={each.batch}>
                <Named growing={each} />
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

function Named({ growing }: { growing: Growing }) {
  return (
    <p>
      <Link className="trail mr-2 inline-flex min-h-11 items-center font-semibold" to={`/batches/${growing.batch}`}>
        {say('{crop}, batch {batch}', { crop: growing.crop, batch: growing.batch })}
      </Link>
      {say('wants {wanted} mol a day not to stretch; more than {plenty} makes no difference', {
        wanted: figures(growing.wanted, 1),
        plenty: figures(growing.plenty, 0),
      })}
    </p>
  );
}

function MoveThere({ growing, move }: { growing: Growing; move: Move }) {
  const send = useBenchChange<{ placeId: number; trays: number[] }>(`/api/batches/${growing.batch}/moves`, () =>
    say('move of batch {number}', { number: growing.batch }),
  );
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule pt-1">
      <span className="min-w-0 flex-1 basis-64">
        <b>{move.place}</b>{' '}
        {say('{light} mol a day; {ready}; in time {chance}', {
          light: figures(move.light, 1),
          ready: readyWords(growing, move),
          chance: chanceWords(move.chance),
        })}{' '}
        <span className={move.fits ? 'text-pencil' : 'font-semibold text-brick'}>
          {move.fits
            ? say('takes {takes} of {free} tray places free there', { takes: places(move.takes), free: places(Math.max(0, move.free)) })
            : say('needs {takes} tray places, {free} are free', { takes: places(move.takes), free: places(Math.max(0, move.free)) })}
        </span>
        <Refusal message={send.error?.message} />
      </span>
      <button className="act" disabled={send.isPending || send.isSuccess} onClick={() => send.mutate({ placeId: move.placeId, trays: [] })}>
        {send.isSuccess ? say('Moved') : say('Move to {place}', { place: move.place })}
      </button>
    </li>
  );
}

const dayOr = (day: string | null | undefined): string => (day ? dayWords(day) : say('not this season'));

function readyWords(growing: Growing, move: Move): string {
  return (growing.ready ?? null) === (move.ready ?? null)
    ? say('ready {ready}, as now', { ready: dayOr(move.ready) })
    : say('ready {ready} instead of {before}', { ready: dayOr(move.ready), before: dayOr(growing.ready) });
}
