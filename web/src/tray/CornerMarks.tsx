import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { say } from '../words/say';
import type { Shot } from './shot';

export type Corner = [across: number, down: number];

/** As one reads from above left, going round with the clock; each as a share of the photograph. */
export type Corners = [Corner, Corner, Corner, Corner];

export const FIRST_CORNERS: Corners = [
  [0.08, 0.08],
  [0.92, 0.08],
  [0.92, 0.92],
  [0.08, 0.92],
];

const NAMES = [say('Corner above left'), say('Corner above right'), say('Corner below right'), say('Corner below left')];

const STEP = 0.004;

const STEPS: Record<string, Corner> = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] };

const inside = (share: number) => Math.min(1, Math.max(0, share));

/** The photograph with a mark at each corner of the tray, to be drawn into place. */
export function CornerMarks({ shot, corners, change }: { shot: Shot; corners: Corners; change: (corners: Corners) => void }) {
  const box = useRef<HTMLDivElement>(null);
  const move = (index: number, [across, down]: Corner) =>
    change(corners.map((corner, each) => (each === index ? [inside(across), inside(down)] : corner)) as Corners);
  const drag = (index: number) => (event: PointerEvent<HTMLButtonElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId) || !box.current) return;
    const around = box.current.getBoundingClientRect();
    move(index, [(event.clientX - around.left) / around.width, (event.clientY - around.top) / around.height]);
  };
  const key = (index: number) => (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    move(index, [corners[index]![0] + step[0], corners[index]![1] + step[1]]);
  };
  return (
    <div
      ref={box}
      className="relative touch-none select-none overflow-hidden"
      style={{ width: `min(100%, calc(60dvh * ${shot.width / shot.height}))` }}
    >
      <img src={shot.address} alt={say('The tray as it was photographed')} className="block h-auto w-full" draggable={false} />
      <svg viewBox="0 0 100 100" preserveAspectRatio="none" className="pointer-events-none absolute inset-0 size-full" aria-hidden>
        <polygon
          points={corners.map(([across, down]) => `${across * 100},${down * 100}`).join(' ')}
          className="fill-none stroke-board"
          strokeWidth={4}
          vectorEffect="non-scaling-stroke"
        />
        <polygon
          points={corners.map(([across, down]) => `${across * 100},${down * 100}`).join(' ')}
          className="fill-none stroke-brick"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {corners.map(([across, down], index) => (
        <button
          key={NAMES[index]}
          type="button"
          aria-label={NAMES[index]}
          className="absolute size-11 -translate-x-1/2 -translate-y-1/2 cursor-grab rounded-full border-3 border-brick bg-board/40 text-sm font-bold"
          style={{ left: `${across * 100}%`, top: `${down * 100}%` }}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={drag(index)}
          onKeyDown={key(index)}
        >
          <span aria-hidden className="absolute top-1/2 left-1/2 size-1.5 -translate-x-1/2 -translate-y-1/2 rounded-full bg-brick" />
        </button>
      ))}
    </div>
  );
}
