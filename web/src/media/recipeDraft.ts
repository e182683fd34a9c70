import type { RecipeView } from '../api/client';
import { typedNumber } from '../words/quantity';

type Says = RecipeView['says'];

/** A recipe as it is typed: percentages instead of shares, and figures as text. */
export interface RecipeDraft {
  name: string;
  use: RecipeView['use'];
  base: { ingredient: string; parts: string }[];
  additions: { ingredients: string[]; percent: string; of: Says['additions'][number]['of'] }[];
  sieve: string;
  water: string;
  wetness: Says['wetness'];
  shrinkage: string;
  packing: string;
  life: Says['life'];
  reserveDays: string;
}

export const FRESH: RecipeDraft = {
  name: '',
  use: 'SOWING',
  base: [{ ingredient: 'coir', parts: '1' }],
  additions: [],
  sieve: '6',
  water: '30',
  wetness: 'HOLDS_TOGETHER',
  shrinkage: '12',
  packing: '1.05',
  life: 'CLEAN',
  reserveDays: '14',
};

const text = (figure: number) => String(Math.round(figure * 1000) / 1000);

export function draftOf(recipe: RecipeView): RecipeDraft {
  const { says } = recipe;
  return {
    name: recipe.name,
    use: recipe.use,
    base: says.base.map((part) => ({ ingredient: part.ingredient, parts: text(part.parts) })),
    additions: says.additions.map((addition) => ({ ...addition, percent: text(addition.share * 100) })),
    sieve: says.sieve == null ? '' : text(says.sieve),
    water: text(says.water * 100),
    wetness: says.wetness,
    shrinkage: text(says.shrinkage * 100),
    packing: text(says.packing),
    life: says.life,
    reserveDays: text(says.reserveDays),
  };
}

/** What is sent; what is no number is sent as none, so that the server says what is missing where. */
export function entryOf(draft: RecipeDraft, version: number) {
  const share = (percent: string) => {
    const read = typedNumber(percent);
    return read === undefined ? undefined : read / 100;
  };
  return {
    version,
    name: draft.name,
    use: draft.use,
    base: draft.base.map((part) => ({ ingredient: part.ingredient, parts: typedNumber(part.parts) ?? 0 })),
    additions: draft.additions.map(({ ingredients, percent, of }) => ({ ingredients, share: share(percent) ?? 0, of })),
    sieve: typedNumber(draft.sieve),
    water: share(draft.water)!,
    wetness: draft.wetness,
    shrinkage: share(draft.shrinkage)!,
    packing: typedNumber(draft.packing)!,
    life: draft.life,
    reserveDays: typedNumber(draft.reserveDays)!,
  };
}
