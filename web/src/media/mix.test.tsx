import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import type { BarrowSheetView, MediaView, MixNeedsView, RecipeView, StockView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { BarrowPage } from './BarrowPage';
import { fittingMix } from './fittingMix';
import { MixPage } from './MixPage';
import { RecipePage } from './RecipePage';
import { draftOf, entryOf } from './recipeDraft';

const recipe: RecipeView = {
  code: 'living',
  name: 'Living mix',
  use: 'SOWING',
  usual: true,
  retired: false,
  version: 3,
  says: {
    base: [
      { ingredient: 'coir', parts: 75 },
      { ingredient: 'compost', parts: 25 },
    ],
    additions: [{ ingredients: ['perlite'], share: 0.1, of: 'BASE' }],
    sieve: 6,
    water: 0.3,
    wetness: 'HOLDS_TOGETHER',
    shrinkage: 0.15,
    packing: 1.05,
    life: 'ALIVE',
    reserveDays: 42,
  },
  litres: [
    { ingredient: 'coir', name: 'Coir', litres: 75 },
    { ingredient: 'compost', name: 'Garden compost', litres: 25 },
    { ingredient: 'perlite', name: 'Perlite', litres: 10 },
  ],
};
const ingredient = (code: string, name: string) => ({ code, name, density: 0.2, bagLitres: 70, bagPrice: 10, dusty: true, alive: false });
const media: MediaView = {
  recipes: [recipe],
  library: [{ ...recipe, code: 'rich', name: 'Rich mix', use: 'POTTING', usual: false, version: 0 }],
  ingredients: [ingredient('coir', 'Coir'), ingredient('compost', 'Garden compost'), ingredient('perlite', 'Perlite')],
  mixing: { bucket: 12, barrow: 90, waste: 0.05, leastPlants: 20, workPerBarrow: 6 },
};
const mix = (number: number, litres: number, use: 'SOWING' | 'POTTING' = 'SOWING') => ({
  number,
  name: 'Living mix',
  recipe: 'living',
  use,
  madeOn: '2027-04-13',
  made: 80,
  litres,
  words: `Living mix, mix ${number}`,
  parts: [{ ingredient: 'Coir', lot: 'A1', supplier: 'Millgate Yard', litres: 60 }],
  filled: [{ batch: 214, day: '2027-04-14', litres: 12 }],
});
const stock: StockView = {
  mixes: [mix(17, 31), mix(16, 0.5), mix(15, -4)],
  ingredients: [
    {
      code: 'coir',
      name: 'Coir',
      litres: 140,
      bagLitres: 70,
      deliveries: [{ id: 5, code: 'A1', supplier: 'Millgate Yard', boughtOn: '2027-01-02', litres: 140 }],
    },
  ],
};
const needs: MixNeedsView = {
  needs: [
    { day: '2027-04-16', recipe: 'Living mix', litres: 12, batch: 220 },
    { day: '2027-04-28', recipe: 'Living mix', litres: 40, batch: 221 },
  ],
  toBuy: [{ ingredient: 'Perlite', needed: 10, lacking: 4, bags: 1, bagLitres: 100, cost: 16, by: '2027-04-28' }],
};
const sheet: BarrowSheetView = {
  recipe: 'living',
  name: 'Living mix',
  litres: 60,
  dry: 70.6,
  water: 21.2,
  mass: 41,
  loads: 1,
  heaviest: 24,
  cost: 12.5,
  priced: true,
  bucket: 12,
  dusty: true,
  alive: true,
  lines: [
    { ingredient: 'Coir', litres: 40, buckets: 3.3, bags: 1, bagLitres: 70, mass: 4.8, cost: 8 },
    { ingredient: 'Perlite', litres: 5.3, buckets: 0.4, bags: 0, bagLitres: 100, mass: 0.5, cost: 1 },
  ],
  fills: [{ container: 'Module tray of 60', count: 6, litres: 3.3, cost: 0.64 }],
  worth: { kind: 'MakingSaves', saved: 6.7 },
};
const all = { 'GET /api/media': media, 'GET /api/stock': stock, 'GET /api/mix-needs': needs };

describe('mixes', () => {
  it('says what must be bought by when, what lies ready and what went wrong with a heap', async () => {
    fakeServer(all);
    show(<MixPage mayChange />);
    expect(await screen.findByText('1 ingredient to be bought, the first by Wed 28 Apr')).toBeTruthy();
    expect(screen.getByText('31 L left')).toBeTruthy();
    expect(screen.getByText('more filled than made: look')).toBeTruthy();
    expect(screen.getByText('1 that is used up')).toBeTruthy();
    expect(screen.getByText('4 L lack of 10 L')).toBeTruthy();
  });

  it('takes a recipe of another school', async () => {
    const calls = fakeServer({ ...all, 'POST /api/media/recipes/rich/taking': {} });
    show(<MixPage mayChange />);
    fireEvent.click(await screen.findByRole('button', { name: 'Take Rich mix' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/media/recipes/rich/taking')).toBe(true));
  });

  it('keeps what somebody saw to be left', async () => {
    const calls = fakeServer({ ...all, 'POST /api/stock/counts': {} });
    show(<MixPage mayChange={false} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Say how much of mix 17 is left' }));
    fireEvent.change(screen.getByLabelText('Left of mix 17, L'), { target: { value: '20,5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(calls.find((call) => call.path === '/api/stock/counts')?.body).toMatchObject({ mix: 17, litres: 20.5 }));
    expect(screen.queryByRole('button', { name: 'Take Rich mix' })).toBeNull();
  });

  it('fills from the newest heap of its use that holds anything', () => {
    expect(fittingMix([mix(18, 5, 'POTTING'), mix(17, 0), mix(16, 3)], 'SOWING')?.number).toBe(16);
    expect(fittingMix([mix(17, 3)], 'POTTING')).toBeUndefined();
  });
});

describe('the barrow sheet', () => {
  const choices = { lots: [], places: [], containers: [{ code: 'module-60', name: 'Module tray of 60', cells: 60, kind: 'CELLS', cellVolume: 50 }] };

  it('is ticked off part by part, warns once, and gives the mix its number', async () => {
    const calls = fakeServer({ ...all, 'GET /api/choices': choices, 'POST /api/barrow-sheets': sheet, 'POST /api/stock/mixes': { number: 18 } });
    show(<BarrowPage />, '/mix/barrow?recipe=living&fill=module-60:6');
    const coir = await screen.findByRole('button', { name: /Coir/ });
    fireEvent.click(coir);
    expect(coir.getAttribute('aria-pressed')).toBe('true');
    expect(calls.find((call) => call.path === '/api/barrow-sheets')?.body).toEqual({
      recipe: 'living',
      fills: [{ container: 'module-60', count: 6 }],
    });
    expect(screen.getByText(/Lift with two/)).toBeTruthy();
    expect(screen.getByText(/Making it saves 6.70/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'It is made: write it down' }));
    expect(await screen.findByText('Written down as mix 18. Write the number on the heap.')).toBeTruthy();
  });
});

describe('a recipe', () => {
  it('is typed in percent and sent in shares', () => {
    expect(entryOf(draftOf(recipe), 3)).toEqual({ version: 3, name: 'Living mix', use: 'SOWING', ...recipe.says });
    expect(entryOf({ ...draftOf(recipe), water: '20,5', sieve: '' }, 3)).toMatchObject({ water: 0.205, sieve: undefined });
  });

  it('is changed by its version, and what is wrong is said at its place', async () => {
    const calls = fakeServer({ ...all, 'PUT /api/media/recipes/living': {} });
    show(
      <Routes>
        <Route path="/mix/recipes/:code" element={<RecipePage />} />
        <Route path="/mix" element={<p>saved</p>} />
      </Routes>,
      '/mix/recipes/living',
    );
    fireEvent.change(await screen.findByLabelText('Percent of addition 1'), { target: { value: '15' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save the recipe' }));
    expect(await screen.findByText('saved')).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
      version: 3,
      additions: [{ ingredients: ['perlite'], share: 0.15, of: 'BASE' }],
    });
  });
});
