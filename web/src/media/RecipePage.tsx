import { Input } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { answered, api, type MediaView, type RecipeView } from '../api/client';
import { useChange, useMedia } from '../api/queries';
import { Choice } from '../look/Choice';
import { Field } from '../look/Field';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { draftOf, entryOf, FRESH, type RecipeDraft } from './recipeDraft';
import { USES } from './mixWords';

/** Writing a recipe, or changing one: the base in parts, then what is added by a share of it. */
export function RecipePage() {
  const code = useParams().code ?? '';
  const media = useMedia();
  if (media.isPending) return <Loading what={say('the recipe')} />;
  if (media.isError) return <Trouble error={media.error} retry={() => media.refetch()} />;
  const recipe = media.data.recipes.find((each) => each.code === code);
  if (code !== 'new' && !recipe) return <Nothing>{say('There is no such recipe.')}</Nothing>;
  return <RecipeForm key={`${code} ${recipe?.version}`} recipe={recipe} media={media.data} />;
}

function RecipeForm({ recipe, media }: { recipe: RecipeView | undefined; media: MediaView }) {
  const [draft, setDraft] = useState<RecipeDraft>(recipe ? draftOf(recipe) : FRESH);
  const navigate = useNavigate();
  const put = useChange(({ code, body }: { code: string; body: ReturnType<typeof entryOf> }) =>
    answered(api.PUT('/api/media/recipes/{code}', { params: { path: { code } }, body })),
  );
  const set = (more: Partial<RecipeDraft>) => setDraft({ ...draft, ...more });
  const ingredients: [string, string][] = media.ingredients.map((each) => [each.code, each.name]);
  const problem = (field: string) => put.error?.problemAt(field);
  return (
    <form
      noValidate
      className="max-w-3xl"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate(
          { code: recipe?.code ?? codeOf(draft.name), body: entryOf(draft, recipe?.version ?? 0) },
          { onSuccess: () => void navigate('/mix') },
        );
      }}
    >
      <h1 className="mb-3">{recipe ? recipe.name : say('A recipe of your own')}</h1>
      {media.ingredients.length === 0 && <Nothing>{say('There are no ingredients yet: they come with the first recipe that is taken.')}</Nothing>}
      <div className="grid gap-3 sm:grid-cols-2">
        <Field name={say('Name')} problem={problem('name')}>
          <Input className="entry" value={draft.name} onChange={(event) => set({ name: event.target.value })} />
        </Field>
        <Choice name={say('It is')} value={draft.use} choices={Object.entries(USES)} choose={(use) => set({ use: use as RecipeDraft['use'] })} />
      </div>
      <section aria-label={say('Base')} className="board mt-4 p-4">
        <h2>{say('Base, in parts')}</h2>
        {draft.base.map((part, place) => (
          <div key={place} className="flex flex-wrap items-center gap-3 py-1">
            <Input
              className="entry w-20"
              inputMode="decimal"
              aria-label={say('Parts of {place}', { place: place + 1 })}
              value={part.parts}
              onChange={(event) => set({ base: draft.base.with(place, { ...part, parts: event.target.value }) })}
            />
            <Choice
              name={say('parts of')}
              value={part.ingredient}
              choices={ingredients}
              choose={(ingredient) => set({ base: draft.base.with(place, { ...part, ingredient }) })}
            />
            {draft.base.length > 1 && (
              <button type="button" className="trail min-h-11" onClick={() => set({ base: draft.base.toSpliced(place, 1) })}>
                {say('Leave out')}
              </button>
            )}
          </div>
        ))}
        <button
          type="button"
          className="trail min-h-11"
          onClick={() => set({ base: [...draft.base, { ingredient: ingredients[0]?.[0] ?? '', parts: '1' }] })}
        >
          {say('One more')}
        </button>
        <Refusal message={problem('base')} />
      </section>
      <section aria-label={say('Added')} className="board mt-4 p-4">
        <h2>{say('Added to it')}</h2>
        {draft.additions.map((addition, place) => (
          <div key={place} className="flex flex-wrap items-center gap-3 border-t border-rule py-2">
            <Input
              className="entry w-20"
              inputMode="decimal"
              aria-label={say('Percent of addition {place}', { place: place + 1 })}
              value={addition.percent}
              onChange={(event) => set({ additions: draft.additions.with(place, { ...addition, percent: event.target.value }) })}
            />
            <Choice
              name="%"
              value={addition.of}
              choices={[
                ['BASE', say('of the base')],
                ['RUNNING_TOTAL', say('of the whole so far')],
              ]}
              choose={(of) => set({ additions: draft.additions.with(place, { ...addition, of: of as typeof addition.of }) })}
            />
            <fieldset className="flex flex-wrap gap-x-3">
              <legend className="sr-only">{say('Shared by')}</legend>
              {media.ingredients.map((each) => (
                <label key={each.code} className="flex min-h-11 items-center gap-1 text-sm">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={addition.ingredients.includes(each.code)}
                    onChange={(event) =>
                      set({
                        additions: draft.additions.with(place, {
                          ...addition,
                          ingredients: event.target.checked
                            ? [...addition.ingredients, each.code]
                            : addition.ingredients.filter((code) => code !== each.code),
                        }),
                      })
                    }
                  />
                  {each.name}
                </label>
              ))}
            </fieldset>
            <button type="button" className="trail min-h-11" onClick={() => set({ additions: draft.additions.toSpliced(place, 1) })}>
              {say('Leave out')}
            </button>
          </div>
        ))}
        <button
          type="button"
          className="trail min-h-11"
          onClick={() => set({ additions: [...draft.additions, { ingredients: [], percent: '10', of: 'BASE' }] })}
        >
          {say('Add something')}
        </button>
      </section>
      <section aria-label={say('Handling')} className="board mt-4 grid gap-3 p-4 sm:grid-cols-2">
        <Figure name={say('Sieved at, mm; empty for not')} value={draft.sieve} set={(sieve) => set({ sieve })} problem={problem('sieve')} />
        <Figure name={say('Water, % of its dry volume')} value={draft.water} set={(water) => set({ water })} problem={problem('water')} />
        <Figure name={say('Shrinks by, %')} value={draft.shrinkage} set={(shrinkage) => set({ shrinkage })} problem={problem('shrinkage')} />
        <Figure
          name={say('Cells take, times their volume')}
          value={draft.packing}
          set={(packing) => set({ packing })}
          problem={problem('packing')}
          hint={say('1 loose, 1.1 firmed, about 1.4 for pressed blocks')}
        />
        <Choice
          name={say('Squeezed')}
          value={draft.wetness}
          choices={[
            ['HOLDS_TOGETHER', say('it holds, no drop falls')],
            ['A_FEW_DROPS', say('a drop or two')],
            ['JUST_SEEPS', say('it just seeps')],
          ]}
          choose={(wetness) => set({ wetness: wetness as RecipeDraft['wetness'] })}
        />
        <Choice
          name={say('It is')}
          value={draft.life}
          choices={[
            ['CLEAN', say('clean')],
            ['ALIVE', say('alive')],
          ]}
          choose={(life) => set({ life: life as RecipeDraft['life'] })}
        />
        <Figure
          name={say('Feeds until, days after emergence')}
          value={draft.reserveDays}
          set={(reserveDays) => set({ reserveDays })}
          problem={problem('reserveDays')}
          hint={say('14 with nothing in it, 28 with compost, 42 and more with slow feeds')}
        />
      </section>
      <div className="mt-3">
        <Refusal message={put.error && !put.error.problems.some((each) => each.field) ? put.error.message : problem('version')} />
      </div>
      <button className="act act-main mt-3" disabled={put.isPending}>
        {say('Save the recipe')}
      </button>
    </form>
  );
}

/** What a recipe goes by, made of its name. */
const codeOf = (name: string): string =>
  name
    .normalize('NFD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .slice(0, 40) || 'recipe';

function Figure({
  name,
  value,
  set,
  problem,
  hint,
}: {
  name: string;
  value: string;
  set: (value: string) => void;
  problem: string | undefined;
  hint?: string;
}) {
  const wrong = value.trim() !== '' && typedNumber(value) === undefined ? say('This is no number.') : problem;
  return (
    <Field name={name} problem={wrong} {...(hint !== undefined && { hint })}>
      <Input className="entry" inputMode="decimal" value={value} onChange={(event) => set(event.target.value)} />
    </Field>
  );
}
