import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { OrderFileReading } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { samplePlan } from '../plan/samples';
import { OrdersFromFilePage } from './OrdersFromFilePage';

const column = (name: string, at: number | null) => ({ name, words: name, mayLack: false, first: ['x'], ...(at === null ? {} : { column: at }) });

const wish = { varietyId: 1, container: 'module-60', plants: 60, leavesFrom: 4, leavesTo: 6, target: '2027-06-20' };

const reading = (more: Partial<OrderFileReading['file']> = {}, orders: OrderFileReading['orders'] = []): OrderFileReading => ({
  file: {
    taken: false,
    pages: ['Sheet'],
    page: 0,
    headings: ['Cultivar', 'How many', 'Date'],
    columns: [column('variety', 0), column('plants', 1), column('target', 2)],
    remembered: false,
    dates: 'DAY_FIRST',
    mark: 'POINT',
    rows: 2,
    added: 2,
    changed: 0,
    faulty: 0,
    faults: [],
    ...more,
  },
  orders,
});

const file = new File(['a,b,c\n'], 'spring.csv', { type: 'text/csv' });

async function read() {
  fireEvent.change(await screen.findByLabelText('Choose a file'), { target: { files: [file] } });
}

describe('orders from a file', () => {
  it('are planned grower by grower; what is ordered already is left out, and who is not named is chosen', async () => {
    const found = reading({ faulty: 1, faults: [{ line: 4, problem: 'There is no variety "Zorb" here.' }] }, [
      {
        lines: [
          { line: 2, variety: 'Blue Lantern', wish },
          { line: 3, variety: 'Blue Lantern', wish: { ...wish, plants: 30 }, ordered: 107 },
        ],
      },
    ]);
    const calls = fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/orders/file': found,
      'POST /api/plans': samplePlan(),
      'POST /api/orders': { number: 205 },
    });
    show(<OrdersFromFilePage />);
    await read();
    expect(await screen.findByText('Line 4: There is no variety "Zorb" here.')).toBeTruthy();
    expect(screen.getByText('The other lines can be planned all the same.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Plan it' })).toHaveProperty('disabled', true);
    fireEvent.change(await screen.findByLabelText('Grower'), { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Plan it' }));
    expect(screen.getByText('line 3; ordered already, as order 107')).toBeTruthy();
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take 1 line' })).toHaveProperty('disabled', false));
    fireEvent.click(screen.getByRole('button', { name: 'Take 1 line' }));
    expect(await screen.findByRole('link', { name: 'Order 205' })).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/orders')?.body).toMatchObject({
      growerId: 1,
      siteId: 7,
      lines: [{ seen: 'YES', wish: { plants: 60, siteId: 7 } }],
    });
  });

  it('are looked over anew with the column that was chosen', async () => {
    const lacking = reading({ columns: [column('variety', null), column('plants', 1), column('target', 2)], added: 0 });
    const calls = fakeServer({ 'GET /api/choices': sampleChoices, 'POST /api/orders/file': lacking });
    show(<OrdersFromFilePage />);
    await read();
    expect(await screen.findByText('Choose which column says: variety.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('variety'), { target: { value: '0' } });
    await waitFor(() => expect(calls.filter((call) => call.path.startsWith('/api/orders/file'))).toHaveLength(2));
    const last = new URL(calls.filter((call) => call.path.startsWith('/api/orders/file'))[1]!.path, 'http://localhost');
    expect(JSON.parse(last.searchParams.get('matching') ?? '{}')).toMatchObject({ variety: { column: 0 }, plants: { column: 1 } });
  });

  it('say why a file is none', async () => {
    fakeServer({ 'GET /api/choices': sampleChoices, 'POST /api/orders/file': new Status(422, { detail: 'This is no table.', errors: [] }) });
    show(<OrdersFromFilePage />);
    await read();
    expect(await screen.findByText('This is no table.')).toBeTruthy();
  });
});
