import type { MixLotView } from '../api/client';

/** The newest mix for a use of which something is left. */
export function fittingMix(mixes: MixLotView[], use: MixLotView['use']): MixLotView | undefined {
  return mixes.find((mix) => mix.litres > 0 && mix.use === use);
}
