import type { TimeScale } from '../look/timeScale';
import { memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { BoardBatch } from '../api/client';
import { forWhom } from '../look/forWhom';
import { type Mark, StageMark } from '../look/StageMark';
import { addDays, dayWords, shortDay, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { dragged } from './boardScale';
import { say } from '../words/say';

/** What a row tells the board. */
export interface RowActs {
  trySowDay: (batch: BoardBatch, day: string) => void;
  settle: () => void;
  forget: () => void;
  choose: (batch: BoardBatch) => void;
  grab: (batch: BoardBatch, event: PointerEvent<HTMLElement>) => void;
}

/**
 * One batch drawn towards its target: the days on which it may be sown, the sowing, its marks on the way, the spread of
 * its ready day and the heavy line of the day wanted. While a change is tried the tried path lies over the present one.
 */
export const BoardRow = memo(function BoardRow({
  batch,
  tried,
  scale,
  chosen,
  neighbour,
  mayChange,
  acts,
  index,
  reachable,
  reach,
  walk,
}: {
  batch: BoardBatch;
  tried: BoardBatch | undefined;
  scale: TimeScale;
  chosen: boolean;
  neighbour: boolean;
  mayChange: boolean;
  acts: RowActs;
  index: number;
  reachable: boolean;
  reach: (batch: number) => void;
  walk: (event: KeyboardEvent) => void;
}) {
  const shown = tried ?? batch;
  return (
    <div className={`grid h-full grid-cols-1 border-b border-rule sm:grid-cols-[17rem_1fr] ${chosen ? 'bg-wash' : neighbour ? 'bg-ochre-wash' : ''}`}>
      <button
        type="button"
        className="flex min-w-0 touch-none items-center gap-2 px-2 text-left text-sm select-none sm:border-r sm:border-rule"
        onClick={() => acts.choose(batch)}
        onPointerDown={(event) => mayChange && acts.grab(batch, event)}
        aria-pressed={chosen}
        data-row={index}
        tabIndex={reachable ? 0 : -1}
        onFocus={() => reach(batch.number)}
        onKeyDown={walk}
      >
        <StageMark stage={batch.stage} size={22} />
        <span className="min-w-0 grow">
          <span className="block truncate font-semibold">
            {batch.number} {batch.variety}
            {batch.plan.pinned && <span className="font-normal text-pencil"> {say('· by hand')}</span>}
          </span>
          <span className="block truncate text-xs text-pencil" title={`${batch.plants} ${batch.crop.toLowerCase()}, ${forWhom(batch.promises)}`}>
            {batch.plants} {batch.crop.toLowerCase()}, {forWhom(batch.promises)}
          </span>
        </span>
        <span className={`shrink-0 text-xs ${shown.chance < 0.5 ? 'font-bold text-brick' : 'text-pencil'}`}>{Math.round(shown.chance * 100)} %</span>
      </button>
      <div
        className="relative"
        title={say('ready {ready}; wanted {target}; {chance}', {
          ready: spreadWords(shown.dates.ready),
          target: dayWords(batch.dates.target),
          chance: chanceWords(shown.chance),
        })}
      >
        {!batch.sown && batch.plan.window && <Window batch={batch} scale={scale} />}
        {tried && <Path batch={batch} scale={scale} faint />}
        <Path batch={shown} scale={scale} faint={false} />
        <span aria-hidden className="absolute inset-y-0.5 w-[3px] bg-brick" style={{ left: `${scale.at(batch.dates.target)}%` }} />
        {!batch.sown && mayChange && <SowHandle batch={batch} shown={shown} scale={scale} acts={acts} reachable={reachable} />}
        {(batch.sown || !mayChange) && <At day={shown.dates.sowDay} stage="SOWN" scale={scale} />}
      </div>
    </div>
  );
});

/** The days on which it may be sown, drawn open. */
function Window({ batch, scale }: { batch: BoardBatch; scale: TimeScale }) {
  const window = batch.plan.window!;
  if (!window.open) return null;
  const left = scale.at(window.earliest);
  return (
    <span
      aria-hidden
      className="absolute top-1/2 h-6 -translate-y-1/2 border-2 border-dotted border-dusk"
      style={{ left: `${left}%`, width: `${Math.max(0.4, scale.at(addDays(window.latest, 1)) - left)}%` }}
    />
  );
}

/** From sowing to ready: under the surface, growing leaves, hardening; then the spread of the ready day. */
function Path({ batch, scale, faint }: { batch: BoardBatch; scale: TimeScale; faint: boolean }) {
  const up = batch.dates.emerged?.middle ?? batch.dates.target;
  const reached = batch.dates.stageReached?.middle ?? batch.dates.target;
  const ready = batch.dates.ready?.middle ?? reached;
  const stage = reached < ready ? reached : ready;
  const part = (from: string, to: string, look: string) => {
    const left = scale.at(from);
    const width = scale.at(to) - left;
    return width > 0 ? (
      <span aria-hidden className={`absolute top-1/2 -translate-y-1/2 ${look}`} style={{ left: `${left}%`, width: `${width}%` }} />
    ) : null;
  };
  return (
    <span className={faint ? 'opacity-30' : ''}>
      {part(batch.dates.sowDay, up, 'h-0 border-t-2 border-dashed border-dusk')}
      {part(up, stage, 'h-1 bg-dusk')}
      {part(stage, ready, 'h-2 border-y-2 border-dusk')}
      {batch.dates.ready && part(batch.dates.ready.early, addDays(batch.dates.ready.late, 1), 'h-4 bg-dusk/30')}
      {!faint && (
        <>
          {batch.dates.emerged && up > batch.dates.sowDay && <At day={up} stage="EMERGING" scale={scale} />}
          {batch.dates.pottings.map((potting, index) => (
            <At key={index} day={potting.middle} stage="POTTED_ON" scale={scale} />
          ))}
          {batch.dates.stageReached && stage < ready && <At day={stage} stage="HARDENING_OFF" scale={scale} />}
          {batch.dates.ready && <At day={ready} stage="READY" scale={scale} />}
          {batch.dates.pastLimit && <At day={batch.dates.pastLimit.middle} stage="PAST_BEST" scale={scale} />}
        </>
      )}
    </span>
  );
}

/** A stage mark on its day; days gone by are left out. */
function At({ day, stage, scale }: { day: string; stage: Mark; scale: TimeScale }) {
  if (day < scale.first || scale.at(day) >= 100) return null;
  return (
    <span aria-hidden className="absolute top-1/2 -translate-x-1/2 -translate-y-1/2 rounded-full bg-board/85" style={{ left: `${scale.at(day)}%` }}>
      <StageMark stage={stage} size={17} />
    </span>
  );
}

/** The sowing, to be dragged along its row or walked with the arrow keys. */
function SowHandle({
  batch,
  shown,
  scale,
  acts,
  reachable,
}: {
  batch: BoardBatch;
  shown: BoardBatch;
  scale: TimeScale;
  acts: RowActs;
  reachable: boolean;
}) {
  const held = useRef<{ x: number; width: number; day: string }>(undefined);
  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { x: event.clientX, width: event.currentTarget.parentElement!.clientWidth, day: shown.dates.sowDay };
    acts.trySowDay(batch, shown.dates.sowDay);
  };
  const onPointerMove = (event: PointerEvent<HTMLButtonElement>) => {
    if (!held.current) return;
    acts.trySowDay(batch, dragged(held.current.day, event.clientX - held.current.x, held.current.width, scale));
  };
  const onPointerUp = () => {
    if (held.current) acts.settle();
    held.current = undefined;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const days = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 }[event.key];
    if (days) {
      event.preventDefault();
      acts.trySowDay(batch, addDays(shown.dates.sowDay, days));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      acts.settle();
    } else if (event.key === 'Escape') {
      acts.forget();
    }
  };
  return (
    <button
      type="button"
      role="slider"
      tabIndex={reachable ? 0 : -1}
      aria-label={
        batch.boughtIn
          ? say('Day on which batch {number} arrives', { number: batch.number })
          : say('Sow day of batch {number}', { number: batch.number })
      }
      aria-valuenow={Math.round(scale.at(shown.dates.sowDay))}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuetext={dayWords(shown.dates.sowDay)}
      className="absolute top-1/2 z-10 flex h-8 min-w-8 -translate-x-1/2 -translate-y-1/2 cursor-ew-resize touch-none items-center justify-center border-2 border-dusk bg-board"
      style={{ left: `${scale.at(shown.dates.sowDay)}%` }}
      title={
        batch.boughtIn
          ? say('To arrive {sowDay}: drag', { sowDay: shortDay(shown.dates.sowDay) })
          : say('Sow {sowDay}: drag', { sowDay: shortDay(shown.dates.sowDay) })
      }
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={acts.forget}
      onKeyDown={onKeyDown}
    >
      <StageMark stage="PLANNED" size={18} />
    </button>
  );
}
