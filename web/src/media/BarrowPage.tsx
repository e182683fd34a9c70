import { Input } from '@headlessui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { answered, api, type BarrowSheetView, type RecipeView, type Refused } from '../api/client';
import { useChoices, useMedia, useNumberedChange } from '../api/queries';
import { Choice } from '../look/Choice';
import { Field } from '../look/Field';
import { Caution, Loading, Nothing, Refusal, Trouble } from '../look/States';
import { announce } from '../look/announce';
import { typedNumber, typedVolume, volumeTyped, volumeUnit } from '../words/quantity';
import { say } from '../words/say';
import { BarrowSheet } from './BarrowSheet';

interface Fill {
  container: string;
  count: number;
}

/** "module-60:4,pot-9:12" */
const fillsOf = (written: string | null): Fill[] =>
  (written ?? '')
    .split(',')
    .map((each) => each.split(':'))
    .filter((each) => each[0] && Number(each[1]) > 0)
    .map(([container, count]) => ({ container: container!, count: Number(count) }));

const writtenOf = (fills: Fill[]): string => fills.map((fill) => `${fill.container}:${fill.count}`).join(',');

/** What goes into the barrow, for a volume or for what is to be filled; ticked off part by part, and written down when made. */
export function BarrowPage() {
  const media = useMedia();
  const choices = useChoices();
  const [search, setSearch] = useSearchParams();
  if (media.isPending || choices.isPending) return <Loading what={say('the recipes')} />;
  if (media.isError) return <Trouble error={media.error} retry={() => media.refetch()} />;
  if (choices.isError) return <Trouble error={choices.error} retry={() => choices.refetch()} />;
  const recipes = media.data.recipes.filter((recipe) => !recipe.retired);
  const chosen = recipes.find((recipe) => recipe.code === search.get('recipe')) ?? recipes.find((recipe) => recipe.usual) ?? recipes[0];
  const fills = fillsOf(search.get('fill'));
  const change = (next: Record<string, string | undefined>) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        Object.entries(next).forEach(([name, value]) => (value ? after.set(name, value) : after.delete(name)));
        return after;
      },
      { replace: true },
    );
  if (!chosen) return <Nothing>{say('There is no recipe yet. Take one of the library on the page of mixes.')}</Nothing>;
  return (
    <>
      <h1 className="mb-3">{say('Barrow sheet')}</h1>
      <div className="no-print mb-4 flex flex-wrap items-start gap-x-6 gap-y-3">
        <Choice
          name={say('Recipe')}
          value={chosen.code}
          choices={recipes.map((recipe) => [recipe.code, recipe.name])}
          choose={(recipe) => change({ recipe })}
        />
        <Volume litres={search.get('litres')} given={fills.length === 0} choose={(litres) => change({ litres, fill: undefined })} />
        <Fills
          fills={fills}
          containers={choices.data.containers.map((container) => [container.code, container.name])}
          choose={(next) => change({ fill: writtenOf(next), litres: undefined })}
        />
      </div>
      <Sheet key={chosen.code} recipe={chosen} litres={Number(search.get('litres')) || (fills.length > 0 ? undefined : 50)} fills={fills} />
    </>
  );
}

function Volume({ litres, given, choose }: { litres: string | null; given: boolean; choose: (litres: string | undefined) => void }) {
  const [typed, setTyped] = useState(given ? volumeTyped(Number(litres) || 50) : '');
  const read = typedVolume(typed);
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (read !== undefined) choose(String(read));
      }}
    >
      <Field name={say('For a volume, {unit}', { unit: volumeUnit() })}>
        <Input className="entry w-28" inputMode="decimal" value={typed} onChange={(event) => setTyped(event.target.value)} />
      </Field>
      <button className="act" disabled={read === undefined || read <= 0}>
        {say('Reckon')}
      </button>
    </form>
  );
}

function Fills({ fills, containers, choose }: { fills: Fill[]; containers: [string, string][]; choose: (fills: Fill[]) => void }) {
  const [container, setContainer] = useState(containers[0]?.[0] ?? '');
  const [count, setCount] = useState('');
  const read = typedNumber(count);
  const nameOf = (code: string) => containers.find(([each]) => each === code)?.[1] ?? code;
  return (
    <div>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (read === undefined || read < 1) return;
          choose([...fills.filter((fill) => fill.container !== container), { container, count: Math.round(read) }]);
          setCount('');
        }}
      >
        <Field name={say('Or to fill')}>
          <Input className="entry w-20" inputMode="numeric" placeholder="4" value={count} onChange={(event) => setCount(event.target.value)} />
        </Field>
        <Choice name={say('of')} value={container} choices={containers} choose={setContainer} />
        <button className="act" disabled={read === undefined || read < 1}>
          {say('Add')}
        </button>
      </form>
      {fills.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-x-4 text-sm">
          {fills.map((fill) => (
            <li key={fill.container} className="flex items-center gap-1">
              {fill.count} × {nameOf(fill.container).toLowerCase()}
              <button
                type="button"
                className="trail min-h-11 min-w-11"
                aria-label={say('Leave out {container}', { container: nameOf(fill.container) })}
                onClick={() => choose(fills.filter((each) => each.container !== fill.container))}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Sheet({ recipe, litres, fills }: { recipe: RecipeView; litres: number | undefined; fills: Fill[] }) {
  const body = { recipe: recipe.code, ...(fills.length > 0 ? { fills } : { litres: litres ?? 0 }) };
  const sheet = useQuery<BarrowSheetView, Refused>({
    queryKey: ['barrow', body],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.POST('/api/barrow-sheets', { body })),
  });
  if (sheet.isPending) return <Loading what={say('the sheet')} />;
  if (sheet.isError)
    return sheet.error.mayPassLater ? <Trouble error={sheet.error} retry={() => sheet.refetch()} /> : <Refusal message={sheet.error.message} />;
  return (
    <>
      {(sheet.data.dusty || sheet.data.alive || sheet.data.heaviest > 15) && (
        <div className="mb-3">
          <Caution>
            {[
              sheet.data.dusty && say('Dry dust harms the lungs: damp it down before tipping and wear a mask.'),
              sheet.data.alive && say('Open compost bags away from the face, cover cuts, wash hands before eating.'),
              sheet.data.heaviest > 15 && say('Lift with two, or open the bag where it lies and carry by the bucket.'),
            ]
              .filter(Boolean)
              .join(' ')}
          </Caution>
        </div>
      )}
      <BarrowSheet key={JSON.stringify(body)} sheet={sheet.data} recipe={recipe} />
      <div className="no-print mt-4">
        <Made sheet={sheet.data} />
      </div>
    </>
  );
}

/** Writes the mix down: it gets a number, and its ingredients are taken off the store. */
function Made({ sheet }: { sheet: BarrowSheetView }) {
  const [number, setNumber] = useState<number>();
  const make = useNumberedChange((entry: { recipe: string; litres: number }, requestId) =>
    answered(api.POST('/api/stock/mixes', { body: { requestId, ...entry } })),
  );
  if (number !== undefined) {
    return (
      <p role="status" className="border-l-4 border-dusk bg-wash p-3 text-lg">
        {say('Written down as mix {number}. Write the number on the heap.', { number })}
      </p>
    );
  }
  return (
    <div className="flex flex-wrap items-center gap-3">
      <button
        className="act act-main"
        disabled={make.isPending}
        onClick={() =>
          make.mutate(
            { recipe: sheet.recipe, litres: sheet.litres },
            {
              onSuccess: (made) => {
                setNumber(made.number);
                announce(say('Mix {number} is made.', { number: made.number }));
              },
            },
          )
        }
      >
        {say('It is made: write it down')}
      </button>
      <button type="button" className="act" onClick={() => window.print()}>
        {say('Print')}
      </button>
      <Refusal message={make.error?.message} />
    </div>
  );
}
