import type { RecipeView } from '../api/client';
import { figures, length } from '../words/quantity';
import { say } from '../words/say';

export const USES: Record<RecipeView['use'], string> = { SOWING: say('for sowing'), POTTING: say('for potting'), BLOCKS: say('for pressed blocks') };

const SQUEEZED: Record<RecipeView['says']['wetness'], string> = {
  HOLDS_TOGETHER: say('A handful, squeezed, holds together and no drop falls.'),
  A_FEW_DROPS: say('A handful, squeezed, gives a drop or two.'),
  JUST_SEEPS: say('A handful, squeezed, just seeps.'),
};

/** How wet it is to be, by the hand. */
export const squeezeWords = (recipe: RecipeView): string => SQUEEZED[recipe.says.wetness];

/** What a recipe says besides what goes in. */
export function handlingWords(recipe: RecipeView): string[] {
  const says = recipe.says;
  return [
    says.life === 'CLEAN'
      ? say('Clean: nothing lives in it, and little feeds.')
      : say('Alive: compost feeds, and may bring rot; air and a dry surface keep it away.'),
    says.reserveDays <= 14
      ? say('Feed from about {days} days after emergence.', { days: says.reserveDays })
      : say('It feeds until about {days} days after emergence.', { days: says.reserveDays }),
    ...(says.sieve == null ? [] : [say('Sieved at {mesh}.', { mesh: length(says.sieve) })]),
    SQUEEZED[says.wetness],
    say('It shrinks by {shrinkage} % when blended and wetted; cells take {packing} times their volume of it.', {
      shrinkage: Math.round(says.shrinkage * 100),
      packing: figures(says.packing, 2),
    }),
  ];
}
