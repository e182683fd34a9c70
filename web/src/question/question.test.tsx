import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Answered, OfferView, Wish } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { samplePlan } from '../plan/samples';
import { changedBy, marked, settledWith, wishesOf } from './asking';
import { AskSheet } from './AskSheet';

const wish: Wish = { varietyId: 1, container: 'module-60', plants: 400, leavesFrom: 4, leavesTo: 5, target: '2027-06-12', siteId: 7 };
const offer: OfferView = {
  change: 'DAY',
  target: '2027-06-12',
  plants: 400,
  container: 'module-60',
  containerName: 'Module tray of 60',
  siteId: 7,
  chance: 0.85,
};
const reading = {
  wish,
  variety: 'Blue Lantern',
  crop: 'Curly kale',
  container: 'Module tray of 60',
  firstDay: '2027-06-12',
  lastDay: '2027-06-12',
  site: 'Near',
  grower: 'Field one',
};
const line: Answered['lines'][number] = { reading, missing: [], choices: [], growerId: 1, plan: samplePlan({ dates: { target: '2027-06-12' } }) };
const answer: Answered = { lines: [line], adds: false, notUnderstood: [] };
const question = () => screen.getByLabelText('Asked on the telephone');
const type = (words: string) => fireEvent.change(question(), { target: { value: words } });
const open = async () => {
  show(<AskSheet today="2027-04-15" />);
  fireEvent.keyDown(window, { key: 'p' });
  await screen.findByLabelText('Asked on the telephone');
};

describe('an offer taken', () => {
  it.each<[Partial<OfferView>, Partial<Wish>]>([
    [{ target: '2027-06-20' }, { target: '2027-06-20' }],
    [{ change: 'QUANTITY', plants: 250 }, { plants: 250 }],
    [
      { change: 'CONTAINER', container: 'pot-7' },
      { container: 'pot-7', containerPath: null },
    ],
    [{ change: 'SITE', siteId: 9, site: 'Far' }, { siteId: 9 }],
    [{ change: 'PROTECTION', protection: 'LOW_COVER' }, { protection: 'LOW_COVER' }],
  ])('%o changes the wish', (more, changed) => {
    expect(changedBy(wish, { ...offer, ...more })).toEqual({ ...wish, ...changed });
  });

  it('at another site stands under what that site has', () => {
    const covered: Wish = { ...wish, protection: 'LOW_COVER' };
    expect(changedBy(covered, { ...offer, change: 'SITE', siteId: 9 })).toEqual({ ...wish, siteId: 9 });
    expect(changedBy(covered, offer).protection).toBe('LOW_COVER');
  });
});

describe('what was asked', () => {
  it('is in pieces, of which those that meant nothing are marked', () => {
    expect(marked('400 kale bare root', [{ word: 'bare', from: 9, to: 13 }])).toEqual([
      { words: '400 kale ', lost: false },
      { words: 'bare', lost: true },
      { words: ' root', lost: false },
    ]);
  });

  it('can be asked on from once every line is understood, and each line is settled once', () => {
    expect(wishesOf(answer)).toEqual([wish]);
    expect(wishesOf({ ...answer, lines: [line, { missing: ['DAY'], choices: [] }] })).toBeUndefined();
    expect(settledWith([{ line: 0, wish }], 0, { ...wish, plants: 9 })).toEqual([{ line: 0, wish: { ...wish, plants: 9 } }]);
  });
});

describe('the question', () => {
  it('is opened with a key, read back, answered and turned into an order', async () => {
    const calls = fakeServer({
      'POST /api/promises': { ...answer, notUnderstood: [{ word: 'maybe', from: 29, to: 34 }] },
      'GET /api/choices': sampleChoices,
      'POST /api/orders': { number: 321 },
    });
    await open();
    type('400 blue lantern 12 june near maybe');
    expect(await screen.findByText('400 Blue Lantern')).toBeTruthy();
    expect(screen.getByText(/Not understood: “maybe”/)).toBeTruthy();
    await waitFor(() => expect((screen.getByRole('button', { name: 'Promise it: take the order' }) as HTMLButtonElement).disabled).toBe(false));
    fireEvent.click(screen.getByRole('button', { name: 'Promise it: take the order' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/orders')).toBe(true));
    expect(calls.find((call) => call.path === '/api/orders')?.body).toMatchObject({ growerId: 1, siteId: 7, lines: [{ wish, seen: 'YES' }] });
  });

  it('says what is still missing, and what cannot be', async () => {
    fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/promises': ({ body }: { body: unknown }) =>
        JSON.stringify(body).includes('many')
          ? new Status(422, { detail: 'x', errors: [{ field: 'text', message: 'Ask for 1 to 100000 plants.' }] })
          : { lines: [{ missing: ['DAY'], choices: [] }], adds: false, notUnderstood: [] },
    });
    await open();
    type('400 kale');
    expect(await screen.findByText('Still to say: for which day.')).toBeTruthy();
    type('far too many kale');
    expect(await screen.findByText('Ask for 1 to 100000 plants.')).toBeTruthy();
  });

  it('offers what fits twice with the answer to each, and settles it by one press', async () => {
    const fitting = { kind: 'VARIETY' as const, name: 'Blue Lantern', of: 'Curly kale', wish, answer: 'YES' as const, chance: 0.95 };
    const calls = fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/promises': ({ body }: { body: unknown }) =>
        JSON.stringify(body).includes('"line":0')
          ? answer
          : { ...answer, lines: [{ missing: [], choices: [fitting, { ...fitting, name: 'Ruffled Warden', answer: 'NO', chance: 0 }] }] },
    });
    await open();
    type('400 kale 12 june');
    expect(await screen.findByRole('button', { name: 'Ruffled Warden curly kale; no' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Blue Lantern curly kale; yes; 19 times in 20' }));
    expect(await screen.findByText('400 Blue Lantern')).toBeTruthy();
    expect(calls.filter((call) => call.path === '/api/promises').at(-1)?.body).toMatchObject({
      text: '400 kale 12 june',
      settled: [{ line: 0, wish }],
    });
  });

  it('is gone on from without being typed again', async () => {
    const calls = fakeServer({ 'GET /api/choices': sampleChoices, 'POST /api/promises': answer });
    await open();
    type('400 blue lantern 12 june');
    await screen.findByText('400 Blue Lantern');
    fireEvent.keyDown(question(), { key: 'Enter' });
    expect(screen.getByText('Asked before: 400 Blue Lantern, Sat 12 Jun')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('And if'), { target: { value: 'a week earlier' } });
    await waitFor(() => expect(calls.at(-1)?.body).toMatchObject({ text: 'a week earlier', before: [wish] }));
    fireEvent.click(screen.getByRole('button', { name: 'Begin anew' }));
    expect(screen.queryByText(/Asked before/)).toBeNull();
  });

  it('turned round, lists what can still be sown; one press asks for it', async () => {
    const lot = {
      lotId: 4,
      code: 'M26-4',
      varietyId: 1,
      variety: 'Blue Lantern',
      crop: 'Curly kale',
      seedsLeft: 600,
      container: 'Module tray of 60',
      ready: { early: '2027-05-28', middle: '2027-06-01', late: '2027-06-05' },
      goesOut: '2027-06-05',
      lastDay: '2027-06-20',
      chance: 0.9,
      plants: 480,
    };
    fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/promises': {
        lines: [],
        adds: false,
        notUnderstood: [],
        stillToSow: { sowDay: '2027-04-15', siteId: 7, site: 'Near', lots: [lot], nothingOf: 3 },
      },
    });
    await open();
    type('what can I still sow near');
    expect(await screen.findByText(/about 480 plants of 600 seeds \(M26-4\), ready to go Sat 5 Jun: 9 times in 10/)).toBeTruthy();
    expect(screen.getByText(/until Sun 20 Jun, 66 days left/)).toBeTruthy();
    expect(screen.getByText(/3 lots more would come to nothing now/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /Blue Lantern/ }));
    expect((question() as HTMLInputElement).value).toBe('480 Blue Lantern, 5 Jun 2027, module tray of 60, Near');
  });
});
