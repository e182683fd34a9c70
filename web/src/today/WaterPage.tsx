import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { WaterView } from '../api/client';
import { useWater } from '../api/queries';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { say } from '../words/say';
import { ContainerWeights } from './ContainerWeights';
import { RoundTabs } from './RoundTabs';
import { TrayTrough } from './TrayTrough';
import { useWaterNotes, wateredWords } from './useWaterNotes';
import { WeighTray } from './WeighTray';
import { againOf, againWords, HEFTS, howWords, markWords, shareWords, SURFACES, type TrayWater } from './waterWords';

type Notes = ReturnType<typeof useWaterNotes>;

/** Water by need: which trays want some and how, which want a look, and which are left alone. */
export function WaterPage() {
  const water = useWater();
  const notes = useWaterNotes();
  if (water.isPending) return <Loading what={say('the water')} />;
  if (!water.data) return <Trouble error={water.error} retry={() => water.refetch()} />;
  const view = water.data;
  const trays = view.stops.flatMap((stop) => stop.trays);
  const wanting = trays.filter((tray) => wants(tray) && !notes.waiting.has(tray.tray)).length;
  const looks = trays.filter((tray) => tray.advice === 'LOOK' && !notes.waiting.has(tray.tray)).length;
  return (
    <>
      <RoundTabs />
      <h1>{say('Water')}</h1>
      {trays.length === 0 ? (
        <Nothing>{say('Nothing stands here that could want water.')}</Nothing>
      ) : (
        <p className="mb-3">
          {say('Water {wanting}, look at {looks}, leave {rest}.', { wanting, looks, rest: trays.length - wanting - looks })}{' '}
          <span className="text-pencil">{say('Not by the calendar: a dark wet surface and a heavy tray want nothing.')}</span>
        </p>
      )}
      <Refusal message={notes.problem} />
      {view.stops.map((stop) => (
        <Stop key={stop.placeId} stop={stop} view={view} notes={notes} />
      ))}
      <ContainerWeights weights={view.weights} />
    </>
  );
}

const wants = (tray: TrayWater) => tray.advice === 'WATER' || tray.advice === 'SPRAY';

function Stop({ stop, view, notes }: { stop: WaterView['stops'][number]; view: WaterView; notes: Notes }) {
  const open = stop.trays.filter((tray) => !notes.waiting.has(tray.tray));
  const wanting = open.filter(wants);
  const looks = open.filter((tray) => tray.advice === 'LOOK' && tray.untilUp == null);
  const surfaces = open.filter((tray) => tray.advice === 'LOOK' && tray.untilUp != null);
  const rest = stop.trays.filter((tray) => ![...wanting, ...looks, ...surfaces].includes(tray));
  const ways = (['BELOW', 'ABOVE', 'SPRAY'] as const).map((how) => ({ how, trays: wanting.filter((tray) => tray.how === how) }));
  const rows = (trays: TrayWater[]) => (
    <ul className="board divide-y divide-rule px-3">
      {trays.map((tray) => (
        <Row key={tray.tray} tray={tray} view={view} notes={notes} />
      ))}
    </ul>
  );
  const isAskedFor = useLocation().hash === `#place-${stop.placeId}`;
  const section = useRef<HTMLElement>(null);
  useEffect(() => {
    if (isAskedFor) section.current?.scrollIntoView();
  }, [isAskedFor]);
  return (
    <section ref={section} id={`place-${stop.placeId}`} aria-label={stop.place} className="mb-5 scroll-mt-20">
      <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2>{stop.place}</h2>
        {ways
          .filter(({ trays }) => trays.length > 1)
          .map(({ how, trays }) => (
            <button
              key={how}
              className="act"
              onClick={() => void notes.note({ trays: trays.map((tray) => tray.tray), kind: 'WATERED', word: how }, wateredWords(trays.length))}
            >
              {DONE[how](trays.length)}
            </button>
          ))}
      </div>
      <Again trays={stop.trays} />
      {wanting.length + looks.length > 0 && rows([...wanting, ...looks])}
      {surfaces.length > 0 && <Surfaces trays={surfaces} notes={notes} />}
      {rest.length > 0 && (
        <details className="mt-1">
          <summary className="trail min-h-11 cursor-pointer py-2.5 text-sm">
            {say('Leave {trays, plural, one {# tray} other {# trays}}', { trays: rest.length })}
          </summary>
          {rows(rest)}
        </details>
      )}
    </section>
  );
}

/** Trays that will not last until tomorrow's round, whatever is done now. */
function Again({ trays }: { trays: TrayWater[] }) {
  const again = trays.filter((tray) => tray.again != null);
  const first = again.flatMap((tray) => tray.again ?? []).sort()[0];
  if (first == null) return null;
  return (
    <p className="mb-1 text-sm">
      {againOf(
        again.map((tray) => tray.tray),
        first,
      )}
    </p>
  );
}

const DONE = {
  BELOW: (trays: number) => say('All {trays} watered from below', { trays }),
  ABOVE: (trays: number) => say('All {trays} watered from above', { trays }),
  SPRAY: (trays: number) => say('All {trays} sprayed', { trays }),
};

/** Trays in which nothing shows yet: their surface is looked at, and most are dark. */
function Surfaces({ trays, notes }: { trays: TrayWater[]; notes: Notes }) {
  const tell = (some: TrayWater[], word: 'DARK' | 'PALE', words: string) =>
    void notes.note({ trays: some.map((tray) => tray.tray), kind: 'SURFACE', word }, words);
  return (
    <div className="board mt-2 px-3 py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <p className="mr-auto text-sm">
          {say('Nothing shows yet in {trays, plural, one {# tray} other {# trays}}: look at the surface; water only where it is dry.', {
            trays: trays.length,
          })}
        </p>
        <button
          className="act"
          onClick={() => tell(trays, 'DARK', say('surface of {trays, plural, one {# tray} other {# trays}} dark', { trays: trays.length }))}
        >
          {say('All dark')}
        </button>
      </div>
      <ul className="flex flex-wrap gap-x-5">
        {trays.map((tray) => (
          <li key={tray.tray} className="flex items-center gap-x-2 text-sm">
            <span className="font-semibold">{tray.code}</span> {tray.crop.toLowerCase()}
            <button
              className="trail min-h-11"
              aria-label={say('{code}: surface dry', { code: tray.code })}
              onClick={() => tell([tray], 'PALE', say('{code}: surface dry', { code: tray.code }))}
            >
              {say('dry')}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Row({ tray, view, notes }: { tray: TrayWater; view: WaterView; notes: Notes }) {
  const [open, setOpen] = useState(false);
  const isWaiting = notes.waiting.has(tray.tray);
  const watered = () => notes.note({ trays: [tray.tray], kind: 'WATERED', word: tray.how }, say('water for {code}', { code: tray.code }));
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Link className="trail inline-flex min-h-11 items-center font-semibold" to={`/trays/${tray.tray}`}>
          {tray.code}
        </Link>
        <TrayTrough tray={tray} />
        <span className="min-w-48 grow basis-60 text-sm">
          <strong>{tray.variety}</strong> <span className="text-pencil">{tray.crop.toLowerCase()}</span>
          <span className="block">{say('{share}; {mark}', { share: shareWords(tray), mark: markWords(tray, view.now) })}</span>
          {wants(tray) && <span className="block font-semibold">{howWords(tray)}</span>}
          {tray.again != null && <span className="block font-semibold">{againWords(tray.again)}</span>}
          {tray.neverDries && !wants(tray) && (
            <span className="block font-semibold text-brick">
              {say('It never dries: watered three times before it wanted any. Roots rot, leaves yellow, stems damp off. Leave it until it is light.')}
            </span>
          )}
          {isWaiting && <span className="block text-ochre">{say('Noted, waiting to be sent.')}</span>}
        </span>
        {wants(tray) && !isWaiting && (
          <button className="act act-main" aria-label={say('Watered: {code}', { code: tray.code })} onClick={() => void watered()}>
            {tray.how === 'SPRAY' ? say('Sprayed') : say('Watered')}
          </button>
        )}
        {tray.advice === 'LOOK' && !isWaiting && <Lifted tray={tray} notes={notes} />}
        <button
          className="trail min-h-11 text-sm"
          aria-expanded={open}
          aria-label={say('Say how {code} is', { code: tray.code })}
          onClick={() => setOpen(!open)}
        >
          {say('How is it?')}
        </button>
      </div>
      {open && <Told tray={tray} hasScale={view.hasScale} notes={notes} close={() => setOpen(false)} />}
    </li>
  );
}

/** Three taps for how heavy it feels. */
function Lifted({ tray, notes }: { tray: TrayWater; notes: Notes }) {
  return (
    <span role="group" aria-label={say('Lift {code}', { code: tray.code })} className="flex gap-2">
      {HEFTS.map(({ word, words }) => (
        <button
          key={word}
          className="act"
          onClick={() => void notes.note({ trays: [tray.tray], kind: 'LIFTED', word }, say('{code}: {words}', { code: tray.code, words }))}
        >
          {words}
        </button>
      ))}
    </span>
  );
}

/** Whatever else the hand or the eye tells; or put on the scale. */
function Told({ tray, hasScale, notes, close }: { tray: TrayWater; hasScale: boolean; notes: Notes; close: () => void }) {
  const tell = (word: string, words: string) =>
    notes.note({ trays: [tray.tray], kind: 'SURFACE', word }, say('{code}: {words}', { code: tray.code, words })).then(close);
  return (
    <div role="group" aria-label={say('How {code} is', { code: tray.code })} className="mt-1 flex flex-wrap items-center gap-2">
      {tray.advice !== 'LOOK' && <Lifted tray={tray} notes={notes} />}
      {SURFACES.map(({ word, words }) => (
        <button key={word} className="act" onClick={() => void tell(word, words)}>
          {words}
        </button>
      ))}
      {!wants(tray) && (
        <button
          className="act"
          onClick={() =>
            void notes.note({ trays: [tray.tray], kind: 'WATERED', word: tray.how }, say('water for {code}', { code: tray.code })).then(close)
          }
        >
          {say('watered all the same')}
        </button>
      )}
      <WeighTray tray={tray} hasScale={hasScale} close={close} />
    </div>
  );
}
