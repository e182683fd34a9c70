import { act, cleanup, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { fakeServer, show, Status } from '../api/faked';
import { BoardRow } from './BoardRow';
import { boardScale, dragged, fits, NO_FILTER } from './boardScale';
import { sampleBatch, sampleChoices, sampleSeason } from './samples';
import { BoardPage } from './BoardPage';
import { useTrial } from './useTrial';

const acts = () => ({ trySowDay: vi.fn(), settle: vi.fn(), forget: vi.fn(), choose: vi.fn(), grab: vi.fn() });

describe('the scale of the board', () => {
  const scale = boardScale(sampleSeason().batches, '2027-04-15');

  it('holds today and every target, with its Mondays', () => {
    expect(scale.first).toBe('2027-04-05');
    expect(scale.at('2027-04-05')).toBe(0);
    expect(scale.at('2027-06-10')).toBeLessThan(100);
    expect(scale.at('2030-01-01')).toBe(100);
    expect(scale.weeks.slice(0, 2)).toEqual(['2027-04-05', '2027-04-12']);
  });

  it('turns pixels into days', () => {
    expect(dragged('2027-05-03', 100, 1000, { ...scale, days: 70 })).toBe('2027-05-10');
    expect(dragged('2027-05-03', -43, 1000, { ...scale, days: 70 })).toBe('2027-04-30');
    expect(dragged('2027-05-03', 3, 1000, { ...scale, days: 70 })).toBe('2027-05-03');
  });
});

describe('showing only some', () => {
  const batch = sampleBatch();

  it.each([
    [{ grower: 'Field one' }, true],
    [{ grower: 'Field two' }, false],
    [{ crop: 'Curly kale' }, true],
    [{ crop: 'Tomato' }, false],
    [{ place: '1' }, true],
    [{ place: '2' }, false],
    [{ state: 'PLANNED' }, true],
    [{ state: 'READY' }, false],
    [{ state: 'AT_RISK' }, false],
  ])('%o is %s', (filter, shown) => {
    expect(fits(batch, { ...NO_FILTER, ...filter })).toBe(shown);
  });

  it('takes a chance below even odds for a risk', () => {
    expect(fits(sampleBatch({ chance: 0.49 }), { ...NO_FILTER, state: 'AT_RISK' })).toBe(true);
  });
});

describe('a row', () => {
  const scale = boardScale([sampleBatch()], '2027-04-15');
  const row = (more = {}, mayChange = true, told = acts()) => {
    render(
      <BoardRow
        batch={sampleBatch(more)}
        tried={undefined}
        scale={scale}
        chosen={false}
        neighbour={false}
        mayChange={mayChange}
        acts={told}
        index={0}
        reachable
        reach={() => undefined}
        walk={() => undefined}
      />,
    );
    return told;
  };

  it('walks its sowing with the arrow keys, takes it with Enter and leaves it with Escape', () => {
    const told = row();
    const sowing = screen.getByRole('slider', { name: 'Sow day of batch 214' });
    expect(sowing.getAttribute('aria-valuetext')).toBe('Mon 3 May');
    fireEvent.keyDown(sowing, { key: 'ArrowRight' });
    expect(told.trySowDay).toHaveBeenLastCalledWith(expect.objectContaining({ number: 214 }), '2027-05-04');
    fireEvent.keyDown(sowing, { key: 'PageDown' });
    expect(told.trySowDay).toHaveBeenLastCalledWith(expect.anything(), '2027-04-26');
    fireEvent.keyDown(sowing, { key: 'Enter' });
    expect(told.settle).toHaveBeenCalledOnce();
    fireEvent.keyDown(sowing, { key: 'Escape' });
    expect(told.forget).toHaveBeenCalledOnce();
  });

  it('cannot be dragged once it is sown, nor by those who only look', () => {
    row({ sown: true, stage: 'GROWING_ON' });
    expect(screen.queryByRole('slider')).toBeNull();
    cleanup();
    row({}, false);
    expect(screen.queryByRole('slider')).toBeNull();
  });

  it('says its chance and its name', () => {
    const told = row({ chance: 0.31, plan: { pinned: true } });
    expect(screen.getByText('31 %')).toBeTruthy();
    expect(screen.getByText('· by hand')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /214 Blue Lantern/ }));
    expect(told.choose).toHaveBeenCalledOnce();
  });
});

describe('trying while dragging', () => {
  it('asks one thing at a time and then only the newest', async () => {
    let answer: (() => void) | undefined;
    const calls: unknown[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
      calls.push(JSON.parse(await request.text()));
      await new Promise<void>((resolve) => {
        answer = resolve;
      });
      return new Response(JSON.stringify({ batch: sampleBatch(), chanceBefore: 0.5, overflows: [], neighbours: [] }), {
        status: 200,
        headers: { 'Content-Type': 'application/json' },
      });
    });
    const hook = renderHook(() => useTrial(undefined));
    act(() => {
      void hook.result.current.ask({ batch: 214, sowDay: '2027-05-04' });
      void hook.result.current.ask({ batch: 214, sowDay: '2027-05-05' });
      void hook.result.current.ask({ batch: 214, sowDay: '2027-05-06' });
    });
    await waitFor(() => expect(calls).toHaveLength(1));
    act(() => answer!());
    await waitFor(() => expect(calls).toHaveLength(2));
    act(() => answer!());
    await waitFor(() => expect(hook.result.current.trial?.view).toBeTruthy());
    expect(calls).toEqual([{ edit: { batch: 214, sowDay: '2027-05-04' } }, { edit: { batch: 214, sowDay: '2027-05-06' } }]);
  });

  it('tells why a change cannot be', async () => {
    fakeServer({ 'POST /api/board/trials': new Status(422, { detail: 'That day has passed.', errors: [] }) });
    const hook = renderHook(() => useTrial(undefined));
    await act(() => hook.result.current.ask({ batch: 214, sowDay: '2020-01-01' }));
    expect(hook.result.current.trial?.problem).toBe('That day has passed.');
    act(() => hook.result.current.forget());
    expect(hook.result.current.trial).toBeUndefined();
  });
});

describe('the season page', () => {
  const trial = {
    batch: sampleBatch({ plan: { growingPlaceId: 4 }, chance: 0.6 }),
    chanceBefore: 0.9,
    neighbours: [216],
    overflows: [{ placeId: 4, place: 'Cool house', from: '2027-05-10', to: '2027-05-12', over: 3, batches: [214, 216] }],
  };

  it('shows all, then only what was chosen', async () => {
    fakeServer({ 'GET /api/board': sampleSeason(), 'GET /api/choices': sampleChoices });
    show(<BoardPage mayChange />);
    expect(await screen.findByText(/^3 batches/)).toBeTruthy();
    expect(screen.getByText('1 at risk')).toBeTruthy();
    expect(screen.getByText('1 place over-full')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('All growers'), { target: { value: 'Field two' } });
    expect(screen.getByText('1 shown; show all')).toBeTruthy();
    expect(screen.queryByText(/214 Blue Lantern/)).toBeNull();
  });

  it('tries another place, says what it would do, and makes it so', async () => {
    const calls = fakeServer({
      'GET /api/board': sampleSeason({ undo: 'Change the plan of batch 201' }),
      'GET /api/choices': sampleChoices,
      'POST /api/board/trials': trial,
      'POST /api/board/changes': {},
    });
    show(<BoardPage mayChange />);
    fireEvent.click(await screen.findByRole('button', { name: /214 Blue Lantern/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Cool house' }));
    expect(await screen.findByText('Cool house would lack 3 tray places 10 May – 12 May.')).toBeTruthy();
    expect(screen.getByText('6 times in 10')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Change it so' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/board/changes')?.body).toEqual({ edit: { batch: 214, growingPlaceId: 4 }, planVersion: 0 }),
    );
    expect(screen.getByRole('button', { name: 'Undo: change the plan of batch 201' })).toBeTruthy();
  });

  it('offers nothing to change to those who only look', async () => {
    fakeServer({ 'GET /api/board': sampleSeason({ undo: 'x' }), 'GET /api/choices': sampleChoices });
    show(<BoardPage mayChange={false} />);
    await screen.findByText(/^3 batches/);
    expect(screen.queryByText('Begin a draft')).toBeNull();
    expect(screen.queryByText(/^Undo/)).toBeNull();
    expect(screen.queryByRole('slider')).toBeNull();
  });

  it('says what to do when nothing is planned', async () => {
    fakeServer({ 'GET /api/board': sampleSeason({ batches: [], overflows: [] }), 'GET /api/choices': sampleChoices });
    show(<BoardPage mayChange />);
    expect(await screen.findByText(/Nothing is planned yet/)).toBeTruthy();
  });
});
