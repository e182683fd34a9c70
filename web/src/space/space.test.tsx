import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { AssignmentView, SpaceView } from '../api/client';
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
