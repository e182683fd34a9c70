import type { RecipeView } from '../api/client';
import { say } from '../words/say';
import { groundOf } from './ingredientLook';

/** A recipe drawn as it lies in the barrow: each ingredient as thick as its share of the whole. */
export function RecipeDrawn({ recipe }: { recipe: RecipeView }) {
  const total = recipe.litres.reduce((sum, each) => sum + each.litres, 0);
  const layers = recipe.litres.map((each, place) => ({
    ...each,
    share: each.litres / total,
    below: recipe.litres.slice(0, place).reduce((sum, lower) => sum + lower.litres, 0) / total,
  }));
  return (
    <figure className="flex items-stretch gap-3">
      <svg viewBox="0 0 60 100" className="h-32 w-16 shrink-0" preserveAspectRatio="none" aria-hidden>
        {layers.map((layer, place) => (
          <rect
            key={layer.ingredient}
            x="2"
            width="56"
            y={100 - (layer.below + layer.share) * 100}
            height={layer.share * 100}
            className={`${groundOf(place)} stroke-ink`}
            strokeWidth="0.800"
          />
        ))}
      </svg>
      <ol reversed className="flex min-w-0 flex-col-reverse justify-end text-sm">
        {layers.map((layer, place) => (
          <li key={layer.ingredient} className="flex items-baseline gap-2">
            <svg viewBox="0 0 10 10" className="size-3 shrink-0" aria-hidden>
              <rect width="10" height="10" className={`${groundOf(place)} stroke-ink`} />
            </svg>
            <span>{layer.name}</span>
            <span className="text-pencil">{say('{percent} %', { percent: Math.round(layer.share * 100) })}</span>
          </li>
        ))}
      </ol>
    </figure>
  );
}
