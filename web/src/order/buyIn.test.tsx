import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { BuyInPage } from './BuyInPage';

const line = {
  line: 2,
  asked: {
    varietyId: 1,
    variety: 'Blue Lantern',
    plants: 120,
    containerCode: 'module-60',
    container: 'Module tray of 60',
    leavesFrom: 4,
    leavesTo: 6,
    target: '2027-06-10',
  },
  promised: 80,
};

describe('plants that are bought in', () => {
  it('are planned for what a line lacks, a tenth more for losses', async () => {
    const calls = fakeServer({
      'GET /api/choices': sampleChoices,
      'GET /api/orders/114': { order: { number: 114, grower: 'Field one', siteId: 7, lines: [line] }, picks: [] },
      'POST /api/batches/bought-in': { number: 260 },
    });
    show(<BuyInPage today="2027-04-15" />, '/batches/buy?order=114&line=2', '/batches/buy');
    expect(await screen.findByText('For order 114, Field one: 40 of 120 Blue Lantern that nothing grows for.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Plants bought').value).toBe('44');
    fireEvent.change(screen.getByLabelText('Raised by'), { target: { value: 'Marl Plants' } });
    fireEvent.change(screen.getByLabelText('Price of one'), { target: { value: '0,35' } });
    fireEvent.change(screen.getByLabelText('True leaves they come with'), { target: { value: '2,5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Plan what is bought in' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/batches/bought-in')).toBe(true));
    expect(calls.find((call) => call.path === '/api/batches/bought-in')?.body).toMatchObject({
      order: 114,
      line: 2,
      wish: { plants: 40, siteId: 7, target: '2027-06-10' },
      consignment: { supplier: 'Marl Plants', plants: 44, leaves: 2.5, price: 0.35, container: 'module-60' },
    });
  });

  it('are told what is wrong at its entry', async () => {
    fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/batches/bought-in': new Status(422, {
        detail: 'x',
        errors: [{ field: 'consignment.arrives', message: 'They would arrive after Thu 10 Jun, when they are wanted.' }],
      }),
    });
    show(<BuyInPage today="2027-04-15" />, '/batches/buy', '/batches/buy');
    fireEvent.click(await screen.findByRole('button', { name: 'Plan what is bought in' }));
    expect(await screen.findByText(/They would arrive after/)).toBeTruthy();
  });
});
