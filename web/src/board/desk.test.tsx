import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchChoices, SeedNeedsView, Work } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { SuccessionForm } from '../order/SuccessionForm';
import { SeedPage } from '../seed/SeedPage';
import { ReschedulePage } from './ReschedulePage';
import { sampleChoices, samplePromise, sampleSeason } from './samples';
import { WallPage } from './WallPage';

describe('rescheduling', () => {
  const choices: BatchChoices = {
    batch: 214,
    variety: 'Blue Lantern',
    promises: [samplePromise('Field one', 114)],
    plants: 120,
    stage: 'PLANNED',
    targetBefore: '2027-06-10',
    target: '2027-06-17',
    chanceBefore: 0.9,
    choices: [
      { remedy: { kind: 'SowOn', day: '2027-05-10', before: '2027-05-03' }, target: '2027-06-17', chance: 0.9 },
      { remedy: { kind: 'Hold', place: { number: 2 }, byKelvin: 4, ready: '2027-06-15' }, target: '2027-06-17', chance: 0.5 },
      { remedy: { kind: 'Keep' }, target: '2027-06-17', chance: 0.3 },
    ],
  };

  it('picks batches, shows what can be done for each, and does what was chosen once', async () => {
    const calls = fakeServer({ 'GET /api/board': sampleSeason(), 'POST /api/reschedule/choices': [choices], 'POST /api/reschedule': {} });
    show(<ReschedulePage />);
    fireEvent.change(await screen.findByLabelText('Find batches'), { target: { value: 'lantern' } });
    expect(screen.getAllByRole('checkbox')).toHaveLength(1);
    fireEvent.click(screen.getByRole('checkbox'));
    fireEvent.click(screen.getByRole('button', { name: 'What can be done for 1 batch' }));
    expect(await screen.findByText('Sow it on Mon 10 May instead of Mon 3 May.')).toBeTruthy();
    expect(screen.getByText('Leave it as it is for Thu 17 Jun.')).toBeTruthy();
    expect(screen.getByText(/^Hold it in the .+, 4 K cooler; ready about Tue 15 Jun\.$/)).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/reschedule/choices')?.body).toEqual({ batches: [214], days: 7 });
    fireEvent.click(screen.getAllByRole('button', { name: 'Take this' })[0]!);
    expect(await screen.findByText('Done.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take this' })).toBeNull();
    expect(calls.find((call) => call.path === '/api/reschedule')?.body).toMatchObject({
      batch: 214,
      remedy: { kind: 'SowOn', day: '2027-05-10' },
      target: '2027-06-17',
    });
  });

  it('tells at its entry what is wrong with the days', async () => {
    fakeServer({
      'GET /api/board': sampleSeason(),
      'POST /api/reschedule/choices': new Status(422, { detail: 'x', errors: [{ field: 'days', message: 'That day has passed.' }] }),
    });
    show(<ReschedulePage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Pick these 3' }));
    fireEvent.change(screen.getByLabelText('The day moves by'), { target: { value: 'x' } });
    expect((screen.getByRole('button', { name: /What can be done/ }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('The day moves by'), { target: { value: '-400' } });
    fireEvent.click(screen.getByRole('button', { name: 'What can be done for 3 batches' }));
    expect(await screen.findByText('That day has passed.')).toBeTruthy();
  });
});

describe('sheets for the wall', () => {
  const work = (day: string, kind: Work['kind'], batch: number, variety: string, words: string): Work => ({
    day,
    kind,
    batch,
    variety,
    words,
    place: 'Warm room',
    placeId: 1,
    growerId: 1,
    spread: undefined,
    task: 'SOW',
    minutes: 10,
    trays: [1042],
    lot: 'M26-1',
  });

  it('show a week day by day and a month at a glance, and give an address for calendars', async () => {
    const calls = fakeServer({
      'GET /api/work': [
        work('2027-04-15', 'SOW', 301, 'Blue Lantern', 'Sow 60 cells of Blue Lantern'),
        work('2027-04-15', 'TAKE_IN', 303, 'Rosy Marble', 'Take in 50 Rosy Marble'),
        work('2027-04-16', 'COUNT', 302, 'Stonecap', 'Count Stonecap'),
      ],
      'GET /api/choices': sampleChoices,
      'POST /api/calendar-feeds/mine': { path: '/calendar/abc.ics' },
      'POST /api/calendar-feeds/places/1': { path: '/calendar/def.ics' },
    });
    show(<WallPage today="2027-04-15" />);
    expect(await screen.findByText(/Sow 60 cells of Blue Lantern/)).toBeTruthy();
    expect(calls.some((call) => call.path.includes('from=2027-04-12&to=2027-04-18'))).toBe(true);
    expect(screen.getAllByRole('listitem').length).toBeGreaterThanOrEqual(7);
    fireEvent.click(screen.getByRole('button', { name: 'Later' }));
    await waitFor(() => expect(calls.some((call) => call.path.includes('from=2027-04-19'))).toBe(true));
    fireEvent.click(screen.getByLabelText('Month'));
    expect(await screen.findByText('April 2027')).toBeTruthy();
    expect(await screen.findByText('Sow Blue Lantern')).toBeTruthy();
    expect(screen.getByText('Take in Rosy Marble')).toBeTruthy();
    expect(screen.getByText('1 to count, move or harden')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Show its address' }));
    expect((await screen.findByRole('link')).getAttribute('href')).toContain('/calendar/abc.ics');
    fireEvent.change(screen.getByLabelText('Whose calendar'), { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Show its address' }));
    await waitFor(() => expect(screen.getByRole('link').getAttribute('href')).toContain('/calendar/def.ics'));
  });
});

describe('seed', () => {
  const lot = {
    id: 1,
    code: 'M26-107',
    variety: 'Blue Lantern',
    crop: 'Curly kale',
    supplier: 'Seed house',
    quality: {
      testedOn: '2026-06-01',
      label: 0.9,
      germination: 0.88,
      low: 0.84,
      high: 0.92,
      old: false,
      poor: false,
      cellsForHundred: 112,
      cellsForHundredFresh: 111,
    },
    stock: { seeds: 500, grams: 1.8, needed: 800, shortFrom: '2027-05-10', lacking: 300, lackingGrams: 1.08 },
  };
  const needs: SeedNeedsView = {
    lots: [
      lot,
      {
        ...lot,
        id: 2,
        code: 'K23-001',
        variety: 'Stonecap',
        quality: { ...lot.quality, old: true, poor: true, cellsForHundred: 180 },
        stock: { ...lot.stock, shortFrom: null, lacking: 0, needed: 0 },
      },
    ],
    sowings: [
      { batch: 214, day: '2027-05-03', variety: 'Blue Lantern', lot: 'M26-107', seeds: 500, grams: 1.8, lacking: false },
      { batch: 216, day: '2027-05-10', variety: 'Blue Lantern', lot: 'M26-107', seeds: 300, grams: 1.08, lacking: true },
    ],
    buying: [{ supplier: 'Seed house', variety: 'Blue Lantern', seeds: 300, grams: 1.08, neededBy: '2027-05-10' }],
  };

  it('says what to buy by when, lines packets up, and what tired lots cost in cells', async () => {
    fakeServer({ 'GET /api/seed-needs': needs });
    show(<SeedPage />);
    expect(await screen.findByText('1 lot run short')).toBeTruthy();
    expect(screen.getByText('by Mon 10 May')).toBeTruthy();
    // Lined up by week, and again under the lot that they take.
    expect(screen.getAllByText(/300 seeds, 1.1 g, short/)).toHaveLength(2);
    expect(screen.getByText(/Old and poor: 100 plants take 180 cells, with fresh seed 111/)).toBeTruthy();
    expect(screen.getByText('300 short from 10 May')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Find a lot'), { target: { value: 'stonecap' } });
    expect(screen.queryByText('M26-107')).toBeNull();
  });

  it('opens what is expected of a lot to its label and each batch that was counted', async () => {
    fakeServer({
      'GET /api/seed-needs': needs,
      [`GET /api/lots/${needs.lots[0]!.id}/knowledge`]: {
        code: 'M26-107',
        label: 0.9,
        testedSeeds: 100,
        testedOn: '2024-11-02',
        labelWorth: 29,
        lessons: [{ batch: 214, seedsUp: 0, seedsFailed: 4, cellsSeenUp: 88, mean: 0.87 }],
        mean: 0.87,
        low: 0.8,
        high: 0.93,
      },
    });
    show(<SeedPage />);
    fireEvent.click((await screen.findAllByText(/^expected \d+ to \d+ %$/))[0]!);
    expect(await screen.findByText(/so long ago it is worth 29 seeds/)).toBeTruthy();
    expect(screen.getByText(/0 of 4 seeds up, 88 cells with something up; then 87 %/)).toBeTruthy();
    expect(screen.getByText(/eight times in ten from 80 % to 93 %/)).toBeTruthy();
  });

  it('says that there is enough', async () => {
    fakeServer({ 'GET /api/seed-needs': { ...needs, buying: [], sowings: [] } });
    show(<SeedPage />);
    expect(await screen.findByText('There is enough of everything that is planned.')).toBeTruthy();
    expect(screen.getByText('No sowing is planned.')).toBeTruthy();
  });
});

describe('little and often', () => {
  const wish = { varietyId: 1, container: 'module-60', plants: 100, leavesFrom: 4, leavesTo: 5, target: '2027-06-10' };
  const part = (ready: string, answer: 'YES' | 'NO') => ({
    ready,
    plants: 25,
    answer,
    chance: 0.9,
    sowDay: '2027-05-05',
    cells: 30,
    seeds: 60,
    why: answer === 'NO' ? 'It is too late to sow.' : '',
  });

  it('divides, repeats, and takes all orders at once', async () => {
    const calls = fakeServer({
      'POST /api/successions/plan': [part('2027-06-10', 'YES'), part('2027-06-24', 'YES')],
      'POST /api/successions': { orders: 2, first: 301 },
    });
    show(<SuccessionForm wish={wish} growerId="1" siteId="7" />);
    const take = await screen.findByRole('button', { name: 'Take 2 orders, 50 plants in all' });
    expect(calls[0]?.body).toEqual({ wish, until: '2027-07-22', count: 4 });
    fireEvent.click(screen.getByLabelText('As many every time'));
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ wish, until: '2027-07-22', every: 14 }));
    fireEvent.click(await screen.findByRole('button', { name: take.textContent }));
    await waitFor(() => expect(calls.find((call) => call.path === '/api/successions')?.body).toMatchObject({ growerId: 1, siteId: 7 }));
  });

  it('takes nothing while one part cannot be', async () => {
    fakeServer({ 'POST /api/successions/plan': [part('2027-06-10', 'NO'), part('2027-06-24', 'YES')] });
    show(<SuccessionForm wish={wish} growerId="1" siteId="7" />);
    expect(await screen.findByText('no: It is too late to sow.')).toBeTruthy();
    expect((screen.getByRole('button', { name: /^Take/ }) as HTMLButtonElement).disabled).toBe(true);
  });
});
