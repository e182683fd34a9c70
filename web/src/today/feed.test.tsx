import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { fakeServer, show, Status } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { FeedPage } from './FeedPage';

const feed = (id: number, name: string, form: 'LIQUID' | 'POWDER') => ({ id, name, form, nitrogen: 5, phosphorus: 3, potassium: 7, density: 1.1 });
const due = (batch: number, day: string | undefined) => ({
  batch,
  variety: `Variety ${batch}`,
  crop: 'Kale',
  place: 'North house',
  reserveEnds: '2027-04-10',
  due: day,
});
const feeding = {
  way: { school: 'BY_RESERVE', strength: 250, canLitres: 10 },
  feeds: [
    { feed: feed(1, 'Green draught', 'LIQUID'), dose: { form: 'LIQUID', perLitre: 4.5454, forCan: 45.454, isStrong: true } },
    { feed: feed(2, 'Blue grain', 'POWDER'), dose: { form: 'POWDER', perLitre: 1.25, forCan: 12.5, isStrong: true } },
  ],
  batches: [due(201, '2027-04-14'), due(202, '2027-04-15'), due(203, '2027-04-19'), due(204, undefined)],
  recipes: [{ recipe: 'living', name: 'Living mix' }],
  given: [{ batch: 203, feed: 'Green draught', strength: 100, conductivity: 1.24, fedOn: '2027-04-12', by: 'Pell' }],
};
const session = (role: string) => ({ signedIn: true, person: 2, name: 'Pell', role, today: '2027-04-15' });

beforeEach(() => {
  localStorage.clear();
  outbox.open(undefined);
});

describe('feeding', () => {
  it('says what goes into the can, that it burns, and who wants some', async () => {
    fakeServer({ 'GET /api/feeding': feeding, 'GET /api/session': session('BENCH_HAND') });
    show(<FeedPage today="2027-04-15" />);
    expect(await screen.findByText('45 mL')).toBeTruthy();
    expect(screen.getByText('12.5 g')).toBeTruthy();
    expect(screen.getAllByText(/A strong solution: it burns young roots/)).toHaveLength(2);
    expect(screen.getByRole('heading', { name: '2 batches want feed' })).toBeTruthy();
    expect(screen.getByText(/next Mon 19 Apr/)).toBeTruthy();
    expect(screen.getByText(/goes before it is due/)).toBeTruthy();
    expect(screen.getByText('Mon 12 Apr: batch 203, Green draught, 100 mg/L, 1.2 mS/cm, by Pell')).toBeTruthy();
    expect(screen.queryByRole('form', { name: 'How we feed' })).toBeNull();
  });

  it('feeds a mix otherwise than the others', async () => {
    const calls = fakeServer({ 'GET /api/feeding': feeding, 'GET /api/session': session('PROPAGATOR'), 'PUT /api/feeding/recipes': {} });
    show(<FeedPage today="2027-04-15" />);
    fireEvent.change(await screen.findByLabelText('Living mix'), { target: { value: 'NEVER' } });
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ recipe: 'living', school: 'NEVER' }));
  });

  it('notes one or all as fed, with what was measured', async () => {
    const calls = fakeServer({
      'GET /api/feeding': feeding,
      'GET /api/session': session('BENCH_HAND'),
      'POST /api/batches/201/feedings': {},
      'POST /api/batches/202/feedings': {},
    });
    outbox.open(2);
    show(<FeedPage today="2027-04-15" />);
    await screen.findByRole('heading', { name: '2 batches want feed' });
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((settled) => setTimeout(settled, 50));
    fireEvent.change(screen.getByLabelText('Meter, mS/cm'), { target: { value: 'some' } });
    fireEvent.click(screen.getByRole('button', { name: 'Fed: Variety 201, batch 201' }));
    expect(await screen.findByText('The meter shows a number, mS/cm, or leave it empty.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Meter, mS/cm'), { target: { value: '1,3' } });
    fireEvent.change(screen.getByLabelText('With'), { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'All 2 were fed' }));
    await waitFor(() => expect(calls.filter((call) => call.method === 'POST')).toHaveLength(2));
    expect(calls.filter((call) => call.method === 'POST').map((call) => call.body)).toMatchObject([
      { feedId: 2, conductivity: 1.3 },
      { feedId: 2, conductivity: 1.3 },
    ]);
  });

  it('lets the propagator say how they feed and add what a label says; what cannot be is said at its entry', async () => {
    const calls = fakeServer({
      'GET /api/feeding': { ...feeding, way: { ...feeding.way, school: 'NEVER' }, batches: [] },
      'GET /api/session': session('PROPAGATOR'),
      'PUT /api/feeding/way': {},
      'POST /api/feeding/feeds': new Status(422, { detail: 'x', errors: [{ field: 'nitrogen', message: 'Enter 0 to 60 %.' }] }),
    });
    show(<FeedPage today="2027-04-15" />);
    fireEvent.change(await screen.findByLabelText('Seedlings are fed'), { target: { value: 'FROM_EMERGENCE' } });
    fireEvent.change(screen.getByLabelText('Nitrogen in the water, mg per litre'), { target: { value: '80' } });
    fireEvent.click(screen.getByRole('button', { name: 'Feed like this' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ school: 'FROM_EMERGENCE', strength: 80, canLitres: 10 }));
    expect(screen.getByText(/Nobody has said yet when seedlings are fed here; until then/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Too much' } });
    fireEvent.change(screen.getByLabelText('Nitrogen (N), %'), { target: { value: '200' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add the feed' }));
    expect(await screen.findByText('Enter 0 to 60 %.')).toBeTruthy();
    expect((screen.getByLabelText('Nitrogen (N), %') as HTMLInputElement).value).toBe('200');
  });
});
