import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { AssignmentView, SpaceView, SpreadView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { AssignAll } from './AssignAll';
import { SpacePage } from './SpacePage';

const place = (id: number, name: string, used: number[]) => ({
  id,
  name,
  walkingOrder: id,
  slots: 8,
  day: 26,
  night: 23,
  lampLight: 4,
  uses: ['EMERGENCE' as const],
  used: [...used, ...Array<number>(200).fill(0)],
  mean: Array<number>(30).fill(24),
});
const space: SpaceView = {
  firstDay: '2027-04-15',
  places: [place(1, 'Heat mat', [6, 10, 10]), place(2, 'Warm room', [3, 3])],
  overflows: [{ placeId: 1, place: 'Heat mat', from: '2027-04-16', to: '2027-04-17', over: 2, batches: [214, 216] }],
};
const outcome = {
  changed: [
    {
      batch: 214,
      variety: 'Blue Lantern',
      from: 'Heat mat, North house, Frames',
      to: 'Warm room, North house, Frames',
      sowDayBefore: '2027-05-03',
      sowDay: '2027-05-01',
      reason: 'Heat mat would suit it best but is full from 16 Apr to 17 Apr.',
    },
  ],
  unchanged: [
    { batch: 215, variety: 'Stonecap', from: 'a', to: 'a', sowDayBefore: '2027-05-03', sowDay: '2027-05-03', reason: 'Stands there already.' },
  ],
  pinned: 1,
  overflowBefore: 40,
  overflowAfter: 0,
  gap: 0.012,
  stopped: false,
};

const spread: SpreadView = {
  firstDay: '2027-04-15',
  places: [
    { id: 1, half: [6, 10, 10], nineOfTen: [7, 13, 13] },
    { id: 2, half: [3, 3], nineOfTen: [5, 9] },
  ],
  risks: [
    { placeId: 1, place: 'Heat mat', from: '2027-04-16', to: '2027-04-18', share: 0.8, overInHalf: 2, overInNineOfTen: 5 },
    { placeId: 2, place: 'Warm room', from: '2027-04-16', to: '2027-04-16', share: 0.2, overInHalf: 0.5, overInNineOfTen: 1 },
  ],
};
const years = {
  estimated: false,
  years: [
    { year: 2019, spring: 8.2, firstFrost: '2027-10-20', earlySummer: 22, rememberedFor: [] },
    { year: 2013, spring: 6.1, firstFrost: '2027-10-12', earlySummer: 21, rememberedFor: ['COLDEST_SPRING' as const] },
  ],
};
const around = {
  'GET /api/space': space,
  'GET /api/space/spread': spread,
  'GET /api/space/years': years,
  'GET /api/space/assignment': { started: false, running: false, progress: 0 },
};

describe('room over past years', () => {
  it('says of a place that has room as most likely in how many years it has not, once', async () => {
    fakeServer({ ...around, 'GET /api/space/suggestions': [], 'GET /api/space/standing': { place: 2, day: '2027-04-15', used: 3, standing: [] } });
    show(<SpacePage mayChange />);
    expect(await screen.findByText('in 2 of 10 years lacks 1, 16 Apr')).toBeTruthy();
    expect(screen.getByText(/1 place over-full at some time/).textContent).toContain('1 more place in some years');
    expect(screen.queryByText(/in 8 of 10/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /Warm room: what stands there when it is fullest/ }));
    expect(await screen.findByText('Enough in half of all past years: 3; in nine of ten: 5')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /Heat mat lacks 2 tray places/ }));
    expect(await screen.findByText(/in 8 of 10 years lacks 2 – 5/)).toBeTruthy();
  });

  it('says so when only some years lack room', async () => {
    fakeServer({ ...around, 'GET /api/space': { ...space, overflows: [] } });
    show(<SpacePage mayChange />);
    expect(await screen.findByText('Everything has room as most likely; in some years 2 places have not')).toBeTruthy();
  });

  it('runs the season in the weather of one year and names what breaks', async () => {
    fakeServer({
      ...around,
      'GET /api/space/in-year': {
        year: 2013,
        firstDay: '2027-04-15',
        places: [
          { id: 1, used: [2, 2] },
          { id: 2, used: [9, 9] },
        ],
        overflows: [{ placeId: 2, place: 'Warm room', from: '2027-04-15', to: '2027-04-16', over: 1, batches: [214] }],
        broken: [
          { batch: 214, variety: 'Blue Lantern', goesWrong: 'LATE', target: '2027-05-10', day: '2027-05-22', usual: false },
          { batch: 215, variety: 'Stonecap', goesWrong: 'PAST_BEST', target: '2027-05-20', day: '2027-05-14', usual: true },
          { batch: 216, variety: 'Longreed', goesWrong: 'NEVER_READY', target: '2027-05-20', usual: false },
        ],
      },
    });
    show(<SpacePage mayChange />);
    const weather = await screen.findByRole('combobox', { name: 'in the weather' });
    expect(screen.getByRole('option', { name: /^2013: coldest spring; spring 6.1 °C/ })).toBeTruthy();
    fireEvent.change(weather, { target: { value: '2013' } });
    // Until it is worked out, the usual year must not pass for it.
    expect(screen.getByText(/what breaks in the weather of 2013/)).toBeTruthy();
    expect(screen.queryByText(/over-full at some time/)).toBeNull();
    expect(screen.getByText('1. Heat mat').closest('[hidden]')).not.toBeNull();
    expect(await screen.findByText('12 days late: ready 22 May, wanted 10 May')).toBeTruthy();
    expect(screen.getByText('1. Heat mat').closest('[hidden]')).toBeNull();
    expect(screen.getByText('past its best from 14 May, wanted 20 May')).toBeTruthy();
    expect(screen.getByText('not ready before the season ends, wanted 20 May')).toBeTruthy();
    expect(screen.getAllByText('as in most years')).toHaveLength(1);
    expect(screen.queryByText(/in 2 of 10/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /Warm room lacks 1 tray place/ }));
    expect(screen.getByText(/So it would be in the weather of 2013/)).toBeTruthy();
  });
});

describe('space through time', () => {
  it('opens how full a place is to the batches that stand there, day by day', async () => {
    const calls = fakeServer({
      'GET /api/space': space,
      'GET /api/space/assignment': { started: false, running: false, progress: 0 },
      'GET /api/space/standing': { place: 1, day: '2027-04-16', used: 10, standing: [{ batch: 214, variety: 'Blue Lantern', slots: 10 }] },
    });
    show(<SpacePage mayChange />);
    fireEvent.click(await screen.findByRole('button', { name: /Heat mat: what stands there when it is fullest, 10/ }));
    expect(await screen.findByText('10 of 8 tray places')).toBeTruthy();
    expect(screen.getByText('Blue Lantern')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'A day later' }));
    expect(screen.getByRole('heading', { name: 'Heat mat, Sat 17 Apr' })).toBeTruthy();
    await waitFor(() => expect(calls.filter((call) => call.path.startsWith('/api/space/standing'))).toHaveLength(2));
  });

  it('draws each place and names what lacks room, with what could be done', async () => {
    const calls = fakeServer({
      'GET /api/space': space,
      'GET /api/space/assignment': { started: false, running: false, progress: 0 },
      'GET /api/space/suggestions': [
        {
          help: { kind: 'OtherPlace', batch: 214, place: { number: 2 } },
          chanceBefore: 0.9,
          chance: 0.7,
          relief: 2,
          edit: { batch: 214, emergencePlaceId: 2 },
        },
        { help: { kind: 'TellGrower', batch: 216, grower: 'Field one', plants: 60, order: 116 }, chanceBefore: 0.9, chance: 0, relief: 3 },
      ],
      'POST /api/board/changes': {},
    });
    show(<SpacePage mayChange />);
    expect(await screen.findByRole('img', { name: 'Heat mat: holds 8 trays, at most 10 used' })).toBeTruthy();
    expect(screen.getByText('1 place over-full at some time')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Heat mat lacks 2 tray places from 16 Apr to 17 Apr' }));
    expect(await screen.findByText('Put batch 214 in the warm room instead.')).toBeTruthy();
    expect(screen.getByText(/frees 2 places; in time 7 times in 10, was 9 times in 10/)).toBeTruthy();
    expect(screen.getAllByRole('button', { name: 'Do it' })).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Do it' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/board/changes')?.body).toEqual({ edit: { batch: 214, emergencePlaceId: 2 } }),
    );
  });

  it('says that everything has room', async () => {
    fakeServer({ 'GET /api/space': { ...space, overflows: [] } });
    show(<SpacePage mayChange={false} />);
    expect(await screen.findByText('Everything has room.')).toBeTruthy();
    expect(screen.queryByText('Place the whole season')).toBeNull();
  });
});

describe('placing all', () => {
  const standing = (more: Partial<AssignmentView>): AssignmentView => ({ started: true, running: false, progress: 1, ...more });

  it('shows how far it is and can be stopped', async () => {
    const calls = fakeServer({
      'GET /api/space/assignment': standing({ running: true, progress: 0.42 }),
      'DELETE /api/space/assignment': standing({}),
    });
    show(<AssignAll />);
    expect(await screen.findByText('Placing, 42 %')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'DELETE')).toBe(true));
  });

  it('tells what it found, batch by batch with the reason, and is taken', async () => {
    const calls = fakeServer({ 'GET /api/space/assignment': standing({ outcome }), 'POST /api/space/assignment/taking': { batches: 1 } });
    show(<AssignAll />);
    expect(await screen.findByText(/At most 1.2 % from the best there can be/)).toBeTruthy();
    expect(screen.getByText(/Heat mat would suit it best but is full/)).toBeTruthy();
    expect(screen.getByText(/1 batch placed by hand stay/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Place 1 batch so' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/space/assignment/taking')).toBe(true));
  });

  it('says nothing of the best when it knows little of it, and says that it was stopped', async () => {
    fakeServer({ 'GET /api/space/assignment': standing({ outcome: { ...outcome, gap: 0.8, stopped: true } }) });
    show(<AssignAll />);
    expect(await screen.findByText('Stopped before it was done.')).toBeTruthy();
    expect(screen.queryByText(/from the best there can be/)).toBeNull();
  });
});
