import type { FailingView } from '../api/client';
import { say } from '../words/say';

export type Sign = FailingView['sign'];
type Cause = FailingView['suspects'][number]['cause'];

export const SIGNS: Record<Sign, string> = {
  YELLOW: say('yellow'),
  PINCHED_AT_BASE: say('pinched at the base'),
  STRETCHED: say('stretched'),
  PURPLE: say('purple'),
  STUNTED: say('stunted'),
  DROOPING: say('drooping'),
  SNAPPED_OFF: say('snapped off'),
};

export const CAUSES: Record<Cause, string> = {
  TOO_WET: say('Too much water'),
  TOO_DRY: say('Too little water'),
  HUNGRY: say('Hunger'),
  TOO_STRONG_FEED: say('Feed too strong'),
  TOO_COLD: say('Cold nights'),
  TOO_HOT: say('Heat'),
  TOO_DARK: say('Too little light'),
  DAMPING_OFF: say('Damping-off'),
  CROWDED_ROOTS: say('Roots without room'),
  EATEN: say('Something eats them'),
};

interface Advice {
  /** What tells it from the others. */
  look: string;
  /** What to do now. */
  act: string;
  /** What to do otherwise next time. */
  next: string;
}

export const ADVICE: Record<Cause, Advice> = {
  TOO_WET: {
    look: say('Lift the tray: heavy, with a dark surface, maybe green with algae; roots brown and soft, not white.'),
    act: say('No water until it is light; air and light; lift trays off wet benches.'),
    next: say('Water when a tray comes to its mark, not by the day.'),
  },
  TOO_DRY: {
    look: say('The tray is light, mix has drawn away from the cell, leaves feel thin; they stand up within hours of water.'),
    act: say('Stand it in water until the surface is dark, then in the shade for a day.'),
    next: say('Weigh one of them now and then: the round then calls before it is too late.'),
  },
  HUNGRY: {
    look: say('The oldest leaves are the palest, evenly; the tray is light and the roots are white.'),
    act: say('A weak feed now, again in a week; or pot on into mix that feeds.'),
    next: say('Begin with feed when the mix ends, or take a mix that feeds longer.'),
  },
  TOO_STRONG_FEED: {
    look: say('Leaf edges brown and dry, a crust on the mix; a meter in what drains off shows a high figure.'),
    act: say('Rinse with clear water from above until twice its volume ran through.'),
    next: say('Half as strong, twice as often; measure the can.'),
  },
  TOO_COLD: {
    look: say('All of the bench, the side by the glass most; the youngest leaves small and dark, stems sound.'),
    act: say('A warmer place or a cover at night; water with water that is not cold.'),
    next: say('Keep it where nights stay above what it bears; sow later rather than colder.'),
  },
  TOO_HOT: {
    look: say('Worst after noon and by the roof; leaf edges bleached; better in the evening.'),
    act: say('Vent, shade at midday, water the path.'),
    next: say('Shade before a hot day, not after it.'),
  },
  TOO_DARK: {
    look: say('Long pale stems that lean to one side; leaves far apart.'),
    act: say('More light or less warmth today; a hand over the tops each day; tomatoes may be potted deeper.'),
    next: say('Light and cooler on the day on which it is up.'),
  },
  DAMPING_OFF: {
    look: say('A stem thin as a thread at the mix, in patches that grow; threads of mould in the morning.'),
    act: say('Take the patch out with its mix, keep the rest drier and in moving air. It does not recover.'),
    next: say('Clean trays and mix, sow thinner, cover off as soon as it is up, water from below.'),
  },
  CROWDED_ROOTS: {
    look: say('Knock one out: roots run round, or come out below.'),
    act: say('Pot on or release now; loosen the outer roots.'),
    next: say('Larger cells, or sow nearer to the day.'),
  },
  EATEN: {
    look: say('Slime, droppings, bitten edges; look with a lamp at night, under the trays by day.'),
    act: say('Gather what you find, lift the trays, close the way in; what is sprayed or laid out only as it is approved locally, by its label.'),
    next: say('A bench that stands in nothing they can climb; a place that keeps mice out.'),
  },
};
