import type { PottingView, PotView } from '../api/client';
import { length } from '../words/quantity';
import { say } from '../words/say';

/** A plug as it would stand in a pot, to scale, with the thumb of new mix that it should have round and below it. */
export function PotDrawing({ potting, pot }: { potting: PottingView; pot: PotView }) {
  const width = Math.max(pot.measures.widthMillimetres, potting.wanted.widthMillimetres) + 16;
  const depth = Math.max(pot.measures.depthMillimetres, potting.wanted.depthMillimetres) + 34;
  const middle = width / 2;
  const rim = 26;
  const box = (across: number, deep: number) => `M${middle - across / 2} ${rim} V${rim + deep} H${middle + across / 2} V${rim}`;
  // Pots taper: a tenth less across below than at the rim.
  const pots = (across: number, deep: number) =>
    `M${middle - across / 2} ${rim} L${middle - across * 0.42} ${rim + deep} H${middle + across * 0.42} L${middle + across / 2} ${rim}`;
  return (
    <figure className="flex items-center gap-3">
      <svg
        viewBox={`0 0 ${width} ${depth}`}
        className="h-28 w-auto shrink-0"
        role="img"
        aria-label={say('The plug, {plug} across, in the pot, {pot} across and {depth} deep', {
          plug: length(potting.plug.widthMillimetres),
          pot: length(pot.measures.widthMillimetres),
          depth: length(pot.measures.depthMillimetres),
        })}
        fill="none"
        strokeLinejoin="round"
      >
        <path d={pots(pot.measures.widthMillimetres, pot.measures.depthMillimetres)} className="fill-ochre-wash stroke-ink" strokeWidth={1.6} />
        <path
          d={box(potting.wanted.widthMillimetres, potting.wanted.depthMillimetres)}
          className="stroke-dusk"
          strokeWidth={1.2}
          strokeDasharray="4 3"
        />
        <path d={box(potting.plug.widthMillimetres, potting.plug.depthMillimetres)} className="fill-sheet stroke-ink" strokeWidth={1.6} />
        <path
          d={`M${middle - pot.measures.widthMillimetres / 2} ${rim} h${pot.measures.widthMillimetres}`}
          className="stroke-pencil"
          strokeWidth={1}
        />
        <path
          d={`M${middle} ${rim} v-12 c-8 0 -11 -4 -12 -9 c7 0 11 3 12 9 c1 -6 5 -9 12 -9 c-1 5 -4 9 -12 9`}
          className="stroke-ink"
          strokeWidth={1.6}
        />
      </svg>
      <figcaption className="text-sm text-pencil">
        {say('Dashed: a thumb of new mix all round and below the plug, {width} across and {depth} deep.', {
          width: length(potting.wanted.widthMillimetres),
          depth: length(potting.wanted.depthMillimetres),
        })}
      </figcaption>
    </figure>
  );
}
