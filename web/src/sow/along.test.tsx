import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { SowingListView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { current, dropped, firstCell, fresh, joined, keep, kept, marked, stepsOf } from './along';
import { SowAlongPage } from './SowAlongPage';
import { SowingListPage } from './SowingListPage';

const sowing = (batch: number, variety: string, tray: number) => ({
  batch,
  variety,
  crop: 'Curly kale',
  lotId: 7,
  lot: 'M26-107',
  supplier: 'Harth Seeds',
  seedsPerCell: 2,
  seeds: 120,
  grams: 0.4,
  seedsLeft: 340,
  placeId: 3,
  place: 'Warm room',
  warmth: 20,
  days: 5,
  soakHours: 0,
  packet: [{ kind: 'OtherWarmth' as const, from: 10, to: 20, day: 5, hereCelsius: 24, packetCelsius: 14.6 }],
  handling: ['FINE' as const],
  caution: '',
  runs: [{ tray, code: `T${tray}`, rows: 6, columns: 10, firstCell: 1, lastCell: 60 }],
});
const list: SowingListView = {
  day: '2027-04-15',
  groups: [
    {
      recipe: 'clean-fine',
      recipeName: 'Clean fine mix',
      container: 'module-60',
      containerName: 'Module tray of 60',
      trays: 2,
      litres: 6.6,
      depth: 6,
      needsLight: false,
      sowings: [sowing(214, 'Blue Lantern', 1042), sowing(215, 'Stonecap', 1043)],
    },
  ],
  store: [
    { spot: 'Tray rack', things: [{ kind: 'CONTAINER', code: 'module-60', name: 'Module tray of 60', amount: 2, supplier: '' }] },
    { spot: 'Cupboard', things: [{ kind: 'PACKET', code: 'K25-9', name: 'Blue Lantern', amount: 60, supplier: 'Ashmere' }] },
    { spot: '', things: [{ kind: 'MIX', code: 'clean-fine', name: 'Clean fine mix', amount: 6.6, supplier: '' }] },
  ],
  soak: [{ batch: 220, variety: 'Old Drum', lot: 'K25-1', seeds: 80, hours: 12, sowDay: '2027-04-16' }],
  company: [
    {
      tray: 1042,
      fitting: [
        { crop: 'Lettuce', with: ['Endive', 'Spinach'] },
        { crop: 'Parsley', with: [] },
      ],
      against: { kind: 'Speed', faster: 'Lettuce', slower: 'Parsley', daysSlower: 9 },
    },
  ],
};
const session = { person: 7, name: 'Pell', role: 'BENCH_HAND', today: '2027-04-15', signedIn: true };
const choices = {
  lots: [
    { id: 7, code: 'M26-107', varietyId: 1, supplier: 'Harth Seeds', germinationLabel: 0.9, seedsLeft: 340 },
    { id: 8, code: 'K25-300', varietyId: 1, supplier: 'Harth Seeds', germinationLabel: 0.8, seedsLeft: 90 },
  ],
  places: [],
  containers: [],
};
const served = {
  'GET /api/sowing-list': list,
  'GET /api/session': session,
  'GET /api/choices': choices,
  'GET /api/stock': { mixes: [], ingredients: [] },
  'GET /api/store/spots': { spots: ['Tray rack', 'Cupboard'] },
};

beforeEach(() => {
  localStorage.clear();
  outbox.open(undefined);
});

describe('walking the runs of a day', () => {
  const begun = joined(fresh('2027-04-15'), stepsOf(list));
  const first = begun.steps[0]!;

  it('goes on where one stopped: what is dropped is covered first', () => {
    keep(dropped(begun, first, 60), localStorage);
    const again = kept('2027-04-15', localStorage);
    expect(current(again)?.key).toBe('214/1042');
    expect(current(marked(again, first, 'covered'))?.key).toBe('215/1043');
    expect(kept('2027-04-16', localStorage).steps).toEqual([]);
  });

  it('goes on from the next cell where a packet was short, and counts its seeds', () => {
    const short = dropped(begun, first, 20);
    expect(firstCell(first, short)).toBe(21);
    expect(short.dropped).toEqual({ 'M26-107': 40 });
    expect(dropped(short, first, 60).dropped).toEqual({ 'M26-107': 120 });
  });

  it('keeps the runs that left the list because they are sown, and adds what came since', () => {
    const later = joined(begun, stepsOf({ ...list, groups: [{ ...list.groups[0]!, sowings: [sowing(216, 'Copper Bell', 1044)] }] }));
    expect(later.steps.map((step) => step.key)).toEqual(['214/1042', '215/1043', '216/1044']);
    expect(joined(begun, stepsOf(list)).steps).toHaveLength(2);
  });
});

describe('a run that was laid out for a trial', () => {
  const row = (firstCell: number, way: string) => ({
    ...sowing(214, 'Blue Lantern', 1042).runs[0]!,
    firstCell,
    lastCell: firstCell + 9,
    trial: { number: 3, name: 'Mix trial', way, firstCell },
  });
  const rows = { ...sowing(214, 'Blue Lantern', 1042), runs: [row(1, 'clean'), row(11, 'alive')] };
  const laidOut: SowingListView = { ...list, company: [], groups: [{ ...list.groups[0]!, sowings: [rows] }] };

  it('is sown row by row, and the rest of a row that was begun is the same row', () => {
    const walk = joined(fresh('2027-04-15'), stepsOf(laidOut));
    expect(walk.steps.map((step) => step.key)).toEqual(['214/1042/1', '214/1042/11']);
    const short = dropped(walk, walk.steps[0]!, 4);
    const rest = { ...rows, runs: [{ ...row(1, 'clean'), firstCell: 5 }, row(11, 'alive')] };
    const later = joined(short, stepsOf({ ...laidOut, groups: [{ ...laidOut.groups[0]!, sowings: [rest] }] }));
    expect(later.steps).toHaveLength(2);
    expect(firstCell(later.steps[0]!, later)).toBe(5);
  });

  it('says which way it is, and is one stretch of its tray in the list', async () => {
    fakeServer({ ...served, 'GET /api/sowing-list': laidOut });
    outbox.open(7);
    const along = show(<SowAlongPage today="2027-04-15" />);
    expect(await screen.findByText('clean')).toBeTruthy();
    expect(screen.getByText('trial: Mix trial')).toBeTruthy();
    along.unmount();
    show(<SowingListPage today="2027-04-15" />);
    expect(await screen.findByRole('link', { name: 'T1042: 1 to 20' })).toBeTruthy();
    expect(screen.getByText(/Laid out for the trial Mix trial/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Print 1 label (PDF)' })).toBeTruthy();
  });
});

describe('sowing along', () => {
  it("marks others' cells into which seed was spilled, and goes on where it was", async () => {
    const cell = (number: number, batch: number) => ({ number, batch, condition: 'ALIVE', seedlings: 1, onlySeen: false, mixed: false });
    const calls = fakeServer({
      ...served,
      'GET /api/trays/1042': {
        number: 1042,
        code: 'T1042',
        rows: 6,
        columns: 10,
        batches: [214, 305],
        cells: [cell(58, 214), cell(59, 305), cell(60, 305)],
      },
      'POST /api/batches/305/doubts': {},
    });
    outbox.open(7);
    show(<SowAlongPage today="2027-04-15" />);
    fireEvent.click(await screen.findByRole('button', { name: "Spilled into others' cells" }));
    await screen.findByRole('button', { name: 'Tap the cells it fell into' });
    const drawn = screen.getByRole('img', { name: /T1042/ }).querySelectorAll('rect');
    fireEvent.click(drawn[57]!);
    fireEvent.click(drawn[58]!);
    fireEvent.click(screen.getByRole('button', { name: 'Mark 1 cell as mixed' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/batches/305/doubts')?.body).toMatchObject({ tray: 1042, cells: [59], doubt: 'SEED_SPILLED' }),
    );
    expect(await screen.findByRole('button', { name: 'Dropped' })).toBeTruthy();
  });

  it('leads from dropped to covered to the next, and writes down what was dropped', async () => {
    const calls = fakeServer({ ...served, 'POST /api/batches/214/sowings': {} });
    outbox.open(7);
    show(<SowAlongPage today="2027-04-15" />);
    expect(await screen.findByRole('heading', { name: 'T1042, cells 1 to 60' })).toBeTruthy();
    expect(screen.getByText(/Fine as dust/)).toBeTruthy();
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((settled) => setTimeout(settled, 50));
    fireEvent.click(screen.getByRole('button', { name: 'Dropped' }));
    expect(await screen.findByText('Cover 6 mm.')).toBeTruthy();
    expect(screen.getByText('Packet M26-107: 220 seeds left.')).toBeTruthy();
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/batches/214/sowings')?.body).toMatchObject({
        tray: 1042,
        firstCell: 1,
        lastCell: 60,
        lotId: 7,
      }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Covered, next' }));
    expect(await screen.findByRole('heading', { name: 'T1043, cells 1 to 60' })).toBeTruthy();
  });

  it('takes a short packet, another lot for the rest, and a skipped run', async () => {
    const calls = fakeServer({ ...served, 'POST /api/batches/214/sowings': {} });
    outbox.open(7);
    show(<SowAlongPage today="2027-04-15" />);
    fireEvent.click(await screen.findByRole('button', { name: 'Packet is short' }));
    fireEvent.click(screen.getByRole('img', { name: /T1042/ }).querySelectorAll('rect')[19]!);
    fireEvent.click(screen.getByRole('button', { name: 'Sown up to cell 20' }));
    expect(await screen.findByRole('heading', { name: 'T1042, cells 21 to 60' })).toBeTruthy();
    fireEvent.click(await screen.findByRole('button', { name: 'Another lot' }));
    fireEvent.click(await screen.findByRole('button', { name: 'K25-300, 90 left' }));
    fireEvent.click(screen.getByRole('button', { name: 'Dropped' }));
    await waitFor(() => expect(calls.filter((call) => call.path === '/api/batches/214/sowings').map((call) => call.body)).toHaveLength(2));
    expect(calls.filter((call) => call.path === '/api/batches/214/sowings')[1]?.body).toMatchObject({ firstCell: 21, lastCell: 60, lotId: 8 });
    fireEvent.click(screen.getByRole('button', { name: 'Covered, next' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Skip this run' }));
    expect(await screen.findByText('All is sown.')).toBeTruthy();
    expect(screen.getByText('To the warm room: T1042')).toBeTruthy();
  });
});

describe('the sowing list', () => {
  it('groups what is sown in one go, says what to soak and what does badly together', async () => {
    fakeServer(served);
    show(<SowingListPage today="2027-04-15" />);
    expect(await screen.findByRole('heading', { name: 'Module tray of 60, 6 mm deep' })).toBeTruthy();
    expect(screen.getByText('To soak')).toBeTruthy();
    expect(screen.getByText('Of what is sown this day, with lettuce go endive and spinach.')).toBeTruthy();
    expect(screen.getAllByText(/The packet says 10 to 20 days, which is true at about 15 °C; here it is 24 °C/)).toHaveLength(2);
    expect(screen.getByText(/Parsley comes up 9 days after Lettuce/)).toBeTruthy();
    expect(screen.getByText(/2 × module tray of 60/)).toBeTruthy();
    const labels = screen.getByRole('link', { name: 'Print 2 labels (PDF)' });
    expect(labels.getAttribute('href')).toBe('/api/labels.pdf?batches=214,215&format=ROLL');
    fireEvent.change(screen.getByLabelText('on'), { target: { value: 'SHEET_24' } });
    expect(labels.getAttribute('href')).toBe('/api/labels.pdf?batches=214,215&format=SHEET_24');
  });
});

describe('the way through the store', () => {
  it('is walked in order, and somebody says where what has no spot is kept', async () => {
    const calls = fakeServer({ ...served, 'PUT /api/store/kept-at': { spots: [] }, 'PUT /api/store/spots': { spots: [] } });
    show(<SowingListPage today="2027-04-15" />);
    const store = within(await screen.findByRole('region', { name: 'From the store' }));
    await waitFor(() =>
      expect(store.getAllByRole('heading', { level: 3 }).map((each) => each.textContent)).toEqual(['Tray rack', 'Cupboard', 'Not said where']),
    );
    fireEvent.click(await store.findByRole('button', { name: 'Walk past Cupboard earlier' }));
    fireEvent.click(store.getByRole('button', { name: 'Say where Clean fine mix is kept' }));
    fireEvent.change(store.getByRole('combobox', { name: 'Where Clean fine mix is kept' }), { target: { value: 'Mixing bay' } });
    fireEvent.click(store.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(calls.filter((call) => call.method === 'PUT').map((call) => call.body)).toEqual([
        { spots: ['Cupboard', 'Tray rack'] },
        { kind: 'MIX', code: 'clean-fine', spot: 'Mixing bay' },
      ]),
    );
  });
});
