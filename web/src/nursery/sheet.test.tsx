import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { SheetView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { StationFile } from '../weather/StationFile';
import { SheetPage } from './SheetPage';

const sheet: SheetView = {
  name: 'places',
  keys: 1,
  columns: [
    { name: 'name', words: 'Name', hint: '', choices: [] },
    { name: 'slots', words: 'Trays it holds', hint: 'of 540 × 280 mm', choices: [] },
    { name: 'for_emergence', words: 'For coming up', hint: '', choices: ['yes', 'no'] },
  ],
  rows: [
    ['Frames', '50', 'no'],
    ['Heat mat', '8', 'yes'],
  ],
};
const file = (text: string) => new File([text], 'places.csv', { type: 'text/csv' });

describe('a sheet', () => {
  it('is looked through and changed row by row; what is wrong is told at its column', async () => {
    let refuse = true;
    const calls = fakeServer({
      'GET /api/sheets/places': sheet,
      'PUT /api/sheets/places/rows': () =>
        refuse ? new Status(422, { detail: 'x', errors: [{ field: 'slots', message: 'slots is 0; a place holds at least one tray.' }] }) : {},
    });
    show(<SheetPage />, '/nursery/places', '/nursery/:name');
    fireEvent.change(await screen.findByLabelText('Find a place'), { target: { value: 'fram' } });
    expect(screen.queryByText('Heat mat')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Change Frames' }));
    const slots = await screen.findByLabelText('Trays it holds');
    expect((screen.getByLabelText('Name') as HTMLInputElement).readOnly).toBe(true);
    fireEvent.change(slots, { target: { value: '0' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('slots is 0; a place holds at least one tray.')).toBeTruthy();
    expect((slots as HTMLInputElement).value).toBe('0');
    refuse = false;
    fireEvent.change(slots, { target: { value: '52' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save' })).toBeNull());
    expect(calls.filter((call) => call.method === 'PUT').at(-1)?.body).toEqual({ entries: { name: 'Frames', slots: '52', for_emergence: 'no' } });
  });

  it('shows what is no longer used below, and takes a change back', async () => {
    let refuse = true;
    const calls = fakeServer({
      'GET /api/sheets/places': {
        ...sheet,
        columns: [...sheet.columns, { name: 'in_use', words: 'Still used', hint: '', choices: ['yes', 'no'] }],
        rows: [
          ['Frames', '50', 'no', 'no'],
          ['Heat mat', '8', 'yes', 'yes'],
        ],
      },
      'GET /api/sheets/places/changes': [
        {
          number: 4,
          row: 'Heat mat',
          by: 'Maro',
          at: '2027-04-15T08:30:00',
          added: false,
          entries: [{ column: 'Trays it holds', before: '6', after: '8' }],
          undone: false,
        },
        { number: 3, row: 'Frames', by: 'Maro', at: '2027-04-14T08:30:00', added: true, entries: [], undone: false },
      ],
      'POST /api/sheets/places/changes/4/undo': () =>
        refuse
          ? new Status(422, { detail: 'The row has been changed since.', errors: [{ field: '', message: 'The row has been changed since.' }] })
          : {},
    });
    show(<SheetPage />, '/nursery/places', '/nursery/:name');
    expect(await screen.findByText(', no longer used')).toBeTruthy();
    expect(screen.getAllByRole('row')[1]!.textContent).toContain('Heat mat');
    fireEvent.click(screen.getByText('What was changed here'));
    const undo = await screen.findAllByRole('button', { name: /^Undo/ });
    expect(undo).toHaveLength(1);
    expect(screen.getByText(/Trays it holds: 6 → 8/)).toBeTruthy();
    fireEvent.click(undo[0]!);
    expect(await screen.findByText('The row has been changed since.')).toBeTruthy();
    refuse = false;
    fireEvent.click(undo[0]!);
    await waitFor(() => expect(calls.filter((call) => call.method === 'POST')).toHaveLength(2));
  });

  it('adds a row from an empty form', async () => {
    const calls = fakeServer({ 'GET /api/sheets/places': sheet, 'PUT /api/sheets/places/rows': {} });
    show(<SheetPage />, '/nursery/places', '/nursery/:name');
    fireEvent.click(await screen.findByRole('button', { name: 'Add a place' }));
    fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'New frame' } });
    fireEvent.change(screen.getByLabelText('For coming up'), { target: { value: 'yes' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'PUT')).toBe(true));
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ entries: { name: 'New frame', slots: '', for_emergence: 'yes' } });
  });

  const reading = {
    taken: false,
    pages: ['Notes', 'Places'],
    page: 1,
    headings: ['Room', 'Trays'],
    columns: [
      { name: 'name', words: 'Name', mayLack: false, column: 0, first: ['Mat', 'Shelf'] },
      { name: 'slots', words: 'Trays it holds', mayLack: false, column: 1, first: ['8', 'many'] },
      { name: 'for_emergence', words: 'For coming up', mayLack: false, first: [] },
    ],
    remembered: false,
    dates: 'YEAR_FIRST',
    mark: 'POINT',
    rows: 2,
    added: 1,
    changed: 0,
    faulty: 1,
    faults: [{ line: 3, problem: 'slots is “many”; it must be a number.' }],
  };

  it('is filled from a file that is looked over first: what is wrong is told by its line, columns are chosen otherwise', async () => {
    let good = false;
    const calls = fakeServer({
      'GET /api/sheets/places': sheet,
      'POST /api/sheets/places/file': ({ path }: { path: string }) =>
        path.includes('take=true')
          ? { ...reading, taken: true, faulty: 0, faults: [] }
          : good
            ? {
                ...reading,
                faulty: 0,
                faults: [],
                columns: [...reading.columns.slice(0, 2), { name: 'for_emergence', words: 'For coming up', mayLack: false, same: 'yes', first: [] }],
              }
            : reading,
    });
    show(<SheetPage />, '/nursery/places', '/nursery/:name');
    const input = await screen.findByLabelText('Read a file in');
    fireEvent.change(input, { target: { files: [file('name\n')] } });
    expect(await screen.findByText(/Line 3: slots is “many”/)).toBeTruthy();
    expect(screen.getByText('Mat · Shelf')).toBeTruthy();
    const take = () => screen.getByRole('button', { name: 'Read 2 rows in' });
    expect(take()).toHaveProperty('disabled', true);
    good = true;
    fireEvent.change(screen.getByLabelText('For coming up'), { target: { value: 'same' } });
    const same = screen.getByLabelText('For coming up, the same for all rows');
    fireEvent.change(same, { target: { value: 'yes' } });
    fireEvent.blur(same);
    await waitFor(() => expect(take()).toHaveProperty('disabled', false));
    expect(decodeURIComponent(calls.filter((call) => call.method === 'POST').at(-1)!.path)).toContain('"for_emergence":{"same":"yes"}');
    fireEvent.click(take());
    expect(await screen.findByText('2 rows read in: 1 new, 0 changed.')).toBeTruthy();
    expect(calls.filter((call) => call.path.includes('take=true'))).toHaveLength(1);
  });

  it('says what is no table at all', async () => {
    fakeServer({
      'GET /api/sheets/places': sheet,
      'POST /api/sheets/places/file': new Status(422, { detail: 'x', errors: [{ field: 'file', message: 'Save it as CSV.' }] }),
    });
    show(<SheetPage />, '/nursery/places', '/nursery/:name');
    fireEvent.change(await screen.findByLabelText('Read a file in'), { target: { files: [file('x')] } });
    expect(await screen.findByText('Nothing was read in.')).toBeTruthy();
    expect(screen.getByText('Save it as CSV.')).toBeTruthy();
  });
});

describe("a station's file", () => {
  it('is looked over first, its bad lines and gaps are told, and read in when that is wanted', async () => {
    const report = {
      days: 2,
      firstDay: '2027-01-01',
      lastDay: '2027-01-04',
      faults: 70,
      understood: { separator: 'COMMA', dates: 'YEAR_FIRST', unit: 'CELSIUS', columns: ['day', 'minimum', 'maximum'], day: 0, lowest: 1, highest: 2 },
      firstDays: [],
      gaps: [{ from: '2027-01-02', to: '2027-01-03', days: 2 }],
      faultsListed: [{ line: 3, problem: 'The minimum 9.0 °C is above the maximum 2.0 °C: are they swapped?' }],
    };
    const calls = fakeServer({
      'POST /api/weather/file?take=false&file=places.csv': { ...report, taken: false },
      'POST /api/weather/file?take=true&file=places.csv': { ...report, taken: true },
    });
    show(<StationFile />);
    fireEvent.change(screen.getByLabelText('Station file'), { target: { files: [file('day\n')] } });
    expect(await screen.findByText(/Line 3: The minimum/)).toBeTruthy();
    expect(screen.getByText('… and 69 more')).toBeTruthy();
    expect(screen.getByText(/1 gap, the longest 2 days/)).toBeTruthy();
    expect(calls).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Read 2 good days in' }));
    expect(await screen.findByText('Read in. Every forecast now rests on it.')).toBeTruthy();
  });

  it('that cannot be read at all is refused with what to do', async () => {
    fakeServer({
      'POST /api/weather/file': new Status(422, {
        detail: 'The columns are separated by semicolons. Save the file separated by commas.',
        errors: [],
      }),
    });
    show(<StationFile />);
    fireEvent.change(screen.getByLabelText('Station file'), { target: { files: [file('day;\n')] } });
    expect(await screen.findByText(/separated by semicolons/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
