import type { TrayWater } from './waterWords';

const WIDTH = 100;
const HEIGHT = 22;

/** A tray cut open: how high the water stands in it, how sure that is, and the mark at which its crop is watered. */
export function TrayTrough({ tray }: { tray: TrayWater }) {
  const at = (share: number) => share * WIDTH;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-6 w-28 shrink-0" aria-hidden preserveAspectRatio="none">
      <rect x={0.5} y={5} width={WIDTH - 1} height={12} rx={2} className="fill-board stroke-pencil" strokeWidth={1} />
      <rect x={at(tray.low)} y={8.5} width={Math.max(1, at(tray.high - tray.low))} height={5} className="fill-wash stroke-dusk" strokeWidth={0.5} />
      <rect x={Math.max(0, at(tray.share) - 1.5)} y={5} width={3} height={12} className="fill-dusk" />
      <path d={`M${at(tray.mark)} 0 v${HEIGHT}`} className="stroke-brick" strokeWidth={1.5} strokeDasharray="3 2" />
    </svg>
  );
}
