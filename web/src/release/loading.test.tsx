import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { LoadingView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { LoadingPage } from './LoadingPage';

const pick = (tray: number, order: number, cells: number[]): LoadingView['walk'][number]['picks'][number] => ({
  tray,
  rows: 2,
  columns: 3,
  cells,
  plants: cells.length,
  wholeTray: false,
  batch: 214,
  variety: 'Blue Lantern',
  order,
  line: 1,
  grower: 'Alder Field',
  load: 1,
});

const view: LoadingView = {
  until: '2027-04-15',
  rule: 'DATE_PROMISED',
  groups: [
    {
      variety: 'Blue Lantern',
      crop: 'Curly kale',
      container: 'Module tray of 104',
      ready: 5,
      wanted: 8,
      kept: 0,
      reserve: 1,
      lines: [
        { order: 114, line: 1, grower: 'Alder Field', target: '2027-04-15', placedOn: '2027-02-01', wanted: 5, share: 4, byHand: false, picked: 4 },
        { order: 120, line: 1, grower: 'Mill Plot', target: '2027-04-15', placedOn: '2027-02-03', wanted: 3, share: 1, byHand: true, picked: 0 },
      ],
      substitutes: [{ batch: 230, variety: 'Stonecap', plants: 40 }],
    },
  ],
  walk: [{ place: 'Hardening ground', picks: [pick(1001, 114, [1, 2, 4, 6]), pick(1002, 120, [3])] }],
  round: [
    {
      site: 3,
      name: 'Low field',
      grower: 'Mill Plot',
      altitude: 470,
      stop: 1,
      load: 2,
      orders: [{ order: 120, target: '2027-04-15', lines: [{ line: 1, variety: 'Blue Lantern', plants: 1, wanted: 3 }] }],
    },
    {
      site: 5,
      name: 'Terrace',
      grower: 'Alder Field',
      altitude: 990,
      stop: 2,
      load: 1,
      orders: [{ order: 114, target: '2027-04-15', lines: [{ line: 1, variety: 'Blue Lantern', plants: 4, wanted: 5 }] }],
    },
    { site: 7, name: 'Nobody today', grower: 'Third', altitude: 500, orders: [] },
  ],
};

describe('loading', () => {
  it('says what is short, shares by a rule and by hand', async () => {
    const calls = fakeServer({ 'GET /api/loading': view });
    show(<LoadingPage today="2027-04-15" mayRelease />);
    expect(await screen.findByText('5 are ready and 8 wanted: 3 short.')).toBeTruthy();
    expect(screen.getByText('0 found')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Plants for order 120, line 1'), { target: { value: '3' } });
    fireEvent.blur(screen.getByLabelText('Plants for order 120, line 1'));
    await waitFor(() => expect(calls.some((call) => decodeURIComponent(call.path).includes('share=120/1=3'))).toBe(true));
    fireEvent.click(screen.getByRole('button', { name: 'all alike, in proportion' }));
    await waitFor(() => expect(calls.some((call) => call.path.includes('rule=PROPORTION'))).toBe(true));
  });

  it('draws what is picked, and lets an order go as it was picked', async () => {
    const calls = fakeServer({ 'GET /api/loading': view, 'POST /api/releases': { number: 511 } });
    show(<LoadingPage today="2027-04-15" mayRelease />);
    expect(await screen.findByRole('img', { name: '4 cells of 6, row by row from 1' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Release 4 plants as picked' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/releases')?.body).toMatchObject({
        order: 114,
        lines: [{ line: 1, plants: 4, picks: [{ tray: 1001, cells: [1, 2, 4, 6] }] }],
      }),
    );
  });

  it('moves a stop of the round', async () => {
    const calls = fakeServer({ 'GET /api/loading': view, 'PUT /api/loading/round': {} });
    show(<LoadingPage today="2027-04-15" mayRelease />);
    fireEvent.click(await screen.findByRole('button', { name: /One stop earlier/ }));
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ sites: [5, 3, 7] }));
  });

  it('gives another variety once the grower has agreed', async () => {
    const calls = fakeServer({ 'GET /api/loading': view, 'POST /api/orders/120/lines/1/substitutes': {} });
    show(<LoadingPage today="2027-04-15" mayRelease />);
    const group = (await screen.findByRole('region', { name: 'Shares' })) as HTMLElement;
    fireEvent.click(within(group).getByText('Give another variety instead'));
    fireEvent.click(within(group).getByRole('button', { name: 'order 120' }));
    const give = within(group).getByRole('button', { name: /2 Stonecap instead/ }) as HTMLButtonElement;
    expect(give.disabled).toBe(true);
    fireEvent.click(within(group).getByLabelText('Mill Plot was asked and takes them'));
    fireEvent.click(give);
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ fromBatch: 230, plants: 2, agreed: true }));
  });
});
