import { Link } from 'react-router';
import { answered, api, type MediaView, type RecipeView } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { handlingWords, USES } from './mixWords';
import { RecipeDrawn } from './RecipeDrawn';

/** The nursery's recipes, each drawn as it lies in the barrow. */
export function Recipes({ media, mayChange }: { media: MediaView; mayChange: boolean }) {
  const change = useChange(({ code, what }: { code: string; what: 'usual' | 'retire' | 'bring back' }) =>
    what === 'usual'
      ? answered(api.POST('/api/media/recipes/{code}/usual', { params: { path: { code } } }))
      : answered(api.POST('/api/media/recipes/{code}/retirement', { params: { path: { code } }, body: { retired: what === 'retire' } })),
  );
  return (
    <section aria-label={say('Recipes')} className="board p-4">
      <div className="mb-1 flex items-center">
        <h2 className="grow">{say('Recipes')}</h2>
        {mayChange && (
          <Link className="trail flex min-h-11 items-center text-sm" to="/mix/recipes/new">
            {say('Write a recipe')}
          </Link>
        )}
      </div>
      {media.recipes.length === 0 && <p className="text-pencil">{say('None yet.')}</p>}
      <ul>
        {media.recipes.map((recipe) => (
          <li key={recipe.code} className={`border-t border-rule py-2 ${recipe.retired ? 'text-pencil' : ''}`}>
            <RecipeHead recipe={recipe} />
            {!recipe.retired && <RecipeDrawn recipe={recipe} />}
            <p className="mt-1 text-sm text-pencil">{handlingWords(recipe).join(' ')}</p>
            <div className="flex flex-wrap gap-x-4 text-sm">
              {!recipe.retired && (
                <Link className="trail flex min-h-11 items-center" to={`/mix/barrow?recipe=${recipe.code}`}>
                  {say('Barrow sheet')}
                </Link>
              )}
              {mayChange && !recipe.retired && (
                <Link className="trail flex min-h-11 items-center" to={`/mix/recipes/${recipe.code}`}>
                  {say('Change')}
                </Link>
              )}
              {mayChange && !recipe.usual && !recipe.retired && (
                <button className="trail min-h-11" onClick={() => change.mutate({ code: recipe.code, what: 'usual' })}>
                  {say('Use it as the usual one')}
                </button>
              )}
              {mayChange && (
                <button
                  className="trail min-h-11"
                  onClick={() => change.mutate({ code: recipe.code, what: recipe.retired ? 'bring back' : 'retire' })}
                >
                  {recipe.retired ? say('Bring it back') : say('Take it off the list')}
                </button>
              )}
            </div>
          </li>
        ))}
      </ul>
      <Refusal message={change.error?.message} />
    </section>
  );
}

function RecipeHead({ recipe }: { recipe: RecipeView }) {
  return (
    <p className="mb-1">
      <strong>{recipe.name}</strong>{' '}
      <span className="text-pencil">
        {USES[recipe.use]}
        {recipe.usual && say(', the usual one')}
        {recipe.retired && say(', off the list')}
      </span>
    </p>
  );
}

/** Recipes of the library, by the schools they come from, to be taken and changed. */
export function LibraryRecipes({ media, mayChange }: { media: MediaView; mayChange: boolean }) {
  const take = useChange((code: string) => answered(api.POST('/api/media/recipes/{code}/taking', { params: { path: { code } } })));
  return (
    <section aria-label={say('Other schools')} className="board p-4">
      <h2 className="mb-1">{say('Other schools')}</h2>
      <p className="text-sm text-pencil">{say('Good practitioners disagree about mixes. Take one and change it as you like.')}</p>
      <ul>
        {media.library.map((recipe) => (
          <li key={recipe.code} className="border-t border-rule py-2">
            <RecipeHead recipe={recipe} />
            <RecipeDrawn recipe={recipe} />
            <p className="mt-1 text-sm text-pencil">{handlingWords(recipe).join(' ')}</p>
            {mayChange && (
              <button className="act mt-1" disabled={take.isPending} onClick={() => take.mutate(recipe.code)}>
                {say('Take {recipe}', { recipe: recipe.name })}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Refusal message={take.error?.message} />
    </section>
  );
}
