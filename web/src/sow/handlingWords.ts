import type { SowingListView } from '../api/client';
import { say } from '../words/say';

type Handling = SowingListView['groups'][number]['sowings'][number]['handling'][number];

/** What the hand must know of a seed, in a sentence each. */
export const HANDLING: Record<Handling, string> = {
  SOAKED: say('It was to lie in water; drain it, sow it damp.'),
  ON_EDGE: say('Flat seed: set it on edge, so that water runs off.'),
  MICE: say('Mice eat this seed and come in there: cover the trays, or put them where none comes, until it is up.'),
  FINE: say('Fine as dust: no fan, no heater, no draught; with a wet stick, or mixed with sand.'),
  FILL_LOW: say('Fill the cells low, drop, and top up over the seed.'),
  CELL_TOO_SHALLOW: say('These cells are shallow for it: use deeper ones where there are any.'),
  CLUSTER: say('One of these gives several seedlings.'),
};
