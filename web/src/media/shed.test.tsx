import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { ShedCounts } from './ShedCounts';

it('takes down what was counted and what came in, each once', async () => {
  const calls = fakeServer({
    'GET /api/shed': [
      { container: 'pot-9', name: 'Carrier of 18 pots', pots: true, pieces: 40 },
      { container: 'module-60', name: 'Module tray of 60', pots: false },
    ],
    'POST /api/shed/counts': {},
    'POST /api/shed/deliveries': {},
  });
  show(<ShedCounts />);
  expect(await screen.findByText('not counted')).toBeTruthy();
  const counted = screen.getAllByRole('button', { name: 'Counted' });
  expect((counted[0] as HTMLButtonElement).disabled).toBe(true);
  fireEvent.change(screen.getByLabelText('Pots of Carrier of 18 pots'), { target: { value: '55' } });
  fireEvent.click(counted[0]!);
  await waitFor(() => expect(calls.find((call) => call.path === '/api/shed/counts')?.body).toMatchObject({ container: 'pot-9', pieces: 55 }));
  fireEvent.change(screen.getByLabelText('Trays of Module tray of 60'), { target: { value: '12' } });
  fireEvent.click(screen.getAllByRole('button', { name: 'Came in' })[1]!);
  await waitFor(() => expect(calls.find((call) => call.path === '/api/shed/deliveries')?.body).toMatchObject({ container: 'module-60', pieces: 12 }));
});
