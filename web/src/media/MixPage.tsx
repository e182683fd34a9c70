import { Link } from 'react-router';
import type { MediaView, MixLotView, MixNeedsView, StockView } from '../api/client';
import { useMedia, useMixNeeds, useStock } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { StoreTabs } from '../seed/StoreTabs';
import { dayWords, shortDay, weekOf } from '../words/days';
import { figures, volume, weight } from '../words/quantity';
import { say } from '../words/say';
import { Delivery } from './Delivery';
import { Heap } from './Heap';
import { LibraryRecipes, Recipes } from './Recipes';
import { CountLeft } from './CountLeft';
import { ShedCounts } from './ShedCounts';

/** Mix: what is made, what the plan takes week by week, what must be bought, the recipes. */
export function MixPage({ mayChange }: { mayChange: boolean }) {
  const media = useMedia();
  const stock = useStock();
  const needs = useMixNeeds();
  if (media.isPending || stock.isPending || needs.isPending) return <Loading what={say('the mixes')} />;
  const failed = [media, stock, needs].find((each) => each.isError);
  if (media.isError || stock.isError || needs.isError) return <Trouble error={failed!.error} retry={() => failed!.refetch()} />;
  const { toBuy } = needs.data;
  return (
    <>
      <StoreTabs />
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Mix')}</h1>
        <p className={toBuy.length > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {toBuy.length > 0
            ? say('{ingredients, plural, one {# ingredient} other {# ingredients}} to be bought, the first by {day}', {
                ingredients: toBuy.length,
                day: dayWords(toBuy[0]!.by),
              })
            : media.data.recipes.length > 0
              ? say('There is enough for everything that is planned.')
              : say('Take a recipe to begin with; it can be changed.')}
        </p>
        {media.data.recipes.some((recipe) => !recipe.retired) && (
          <Link className="act act-main ml-auto" to="/mix/barrow">
            {say('Make a mix')}
          </Link>
        )}
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <section aria-label={say('Made')} className="board p-4">
          <h2 className="mb-1">{say('Made')}</h2>
          {stock.data.mixes.length === 0 && <p className="text-pencil">{say('No mix lies ready.')}</p>}
          <Heaps mixes={stock.data.mixes.filter((mix) => !isUsedUp(mix))} media={media.data} />
          {stock.data.mixes.some(isUsedUp) && (
            <details>
              <summary className="trail min-h-11 content-center text-sm">
                {say('{mixes, plural, one {# that is used up} other {# that are used up}}', { mixes: stock.data.mixes.filter(isUsedUp).length })}
              </summary>
              <Heaps mixes={stock.data.mixes.filter(isUsedUp)} media={media.data} />
            </details>
          )}
        </section>
        <div className="flex min-w-0 flex-col gap-5">
          <ToBuy needs={needs.data} />
          <Weeks needs={needs.data} />
        </div>
        <Recipes media={media.data} mayChange={mayChange} />
        <Ingredients stock={stock.data} media={media.data} />
        <ShedCounts />
        {media.data.library.length > 0 && <LibraryRecipes media={media.data} mayChange={mayChange} />}
      </div>
    </>
  );
}

/** A rest that fills no tray any more. */
const isUsedUp = (mix: MixLotView) => mix.litres >= 0 && mix.litres < 2;

function Heaps({ mixes, media }: { mixes: MixLotView[]; media: MediaView }) {
  return (
    <ul>
      {mixes.map((mix) => (
        <Heap key={mix.number} mix={mix} recipe={media.recipes.find((recipe) => recipe.code === mix.recipe)} />
      ))}
    </ul>
  );
}

function ToBuy({ needs }: { needs: MixNeedsView }) {
  const cost = needs.toBuy.reduce((sum, line) => sum + line.cost, 0);
  return (
    <section aria-label={say('To buy')} className="board p-4">
      <h2 className="mb-1">{say('To buy')}</h2>
      {needs.toBuy.length === 0 && <p className="text-pencil">{say('Nothing.')}</p>}
      <ul className="text-sm">
        {needs.toBuy.map((line) => (
          <li key={line.ingredient} className="flex flex-wrap gap-x-3 border-t border-rule py-1.5">
            <strong className="grow">{line.ingredient}</strong>
            <span>{say('{bags, plural, one {# bag} other {# bags}} of {volume}', { bags: line.bags, volume: volume(line.bagLitres) })}</span>
            <span className="text-pencil">{say('{lacking} lack of {needed}', { lacking: volume(line.lacking), needed: volume(line.needed) })}</span>
            <span className="font-semibold text-brick">{say('by {neededBy}', { neededBy: dayWords(line.by) })}</span>
          </li>
        ))}
      </ul>
      {cost > 0 && <p className="border-t border-rule pt-1.5 text-right text-sm">{say('together {cost}', { cost: figures(cost, 2) })}</p>}
    </section>
  );
}

/** What the plan fills, week by week; a week opens to its batches. */
function Weeks({ needs }: { needs: MixNeedsView }) {
  const weeks = [...new Set(needs.needs.map((need) => weekOf(need.day)))].map((first) => {
    const own = needs.needs.filter((need) => weekOf(need.day) === first);
    return { first, own, litres: own.reduce((sum, need) => sum + need.litres, 0) };
  });
  const most = Math.max(1, ...weeks.map((week) => week.litres));
  return (
    <section aria-label={say('Taken by the plan')} className="board p-4">
      <h2 className="mb-1">{say('Taken by the plan')}</h2>
      {weeks.length === 0 && <p className="text-pencil">{say('Nothing is to be filled, or no recipe is the usual one.')}</p>}
      <div className="max-h-80 overflow-y-auto" tabIndex={0} role="group" aria-label={say('Mix by week')}>
        {weeks.map((week) => (
          <details key={week.first} className="border-t border-rule text-sm">
            <summary className="grid min-h-11 grid-cols-[6.500rem_1fr_5rem] items-center gap-2">
              <span className="font-semibold">{say('from {day}', { day: shortDay(week.first) })}</span>
              <span aria-hidden className="h-3 bg-dusk/35" style={{ width: `${(week.litres / most) * 100}%` }} />
              <span className="text-right text-pencil">{volume(week.litres)}</span>
            </summary>
            <ul className="pb-2">
              {week.own.map((need) => (
                <li key={`${need.batch} ${need.day} ${need.recipe}`} className="grid grid-cols-[4.500rem_1fr_auto] gap-2 py-0.5">
                  <span>{shortDay(need.day)}</span>
                  <span>
                    <Link className="trail" to={`/batches/${need.batch}`}>
                      {need.batch}
                    </Link>{' '}
                    {need.recipe}
                  </span>
                  <span className="text-pencil">{volume(need.litres)}</span>
                </li>
              ))}
            </ul>
          </details>
        ))}
      </div>
    </section>
  );
}

/** What there is of each ingredient, by delivery. */
function Ingredients({ stock, media }: { stock: StockView; media: MediaView }) {
  if (stock.ingredients.length === 0) return <Nothing>{say('No ingredients yet: they come with the recipes that are taken.')}</Nothing>;
  return (
    <section aria-label={say('Ingredients')} className="board p-4">
      <h2 className="mb-1">{say('Ingredients')}</h2>
      <ul className="text-sm">
        {stock.ingredients.map((each) => {
          const known = media.ingredients.find((ingredient) => ingredient.code === each.code);
          return (
            <li key={each.code} className="border-t border-rule">
              <details>
                <summary className="flex min-h-11 flex-wrap items-center gap-x-3">
                  <strong className="grow">{each.name}</strong>
                  <span>{volume(each.litres)}</span>
                  <span className="text-pencil">
                    {say('bags of {volume}, {mass} each', { volume: volume(each.bagLitres), mass: weight(each.bagLitres * (known?.density ?? 0)) })}
                  </span>
                </summary>
                <ul className="pb-2">
                  {each.deliveries.length === 0 && <li className="text-pencil">{say('Nothing of it is there.')}</li>}
                  {each.deliveries.map((delivery) => (
                    <li key={delivery.id} className="flex flex-wrap items-center gap-x-3 py-0.5">
                      <span className="grow">
                        {delivery.code === '?'
                          ? say('used without being written down')
                          : say('{code}, {supplier}, {day}', { code: delivery.code, supplier: delivery.supplier, day: dayWords(delivery.boughtOn) })}
                      </span>
                      <span className={delivery.litres < 0 ? 'font-semibold text-brick' : ''}>{volume(delivery.litres)}</span>
                      <CountLeft delivery={delivery.id} what={`${each.name}, ${delivery.code}`} left={delivery.litres} />
                    </li>
                  ))}
                </ul>
                <Delivery ingredient={each} />
              </details>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
