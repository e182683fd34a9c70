import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../api/faked';
import { PlantHealth } from './PlantHealth';

describe('the plant-health record', () => {
  it('is put together from entries and botanical names', async () => {
    const calls = fakeServer({
      'GET /api/plant-health': {
        entries: [{ label: 'A', source: 'BOTANICAL_NAME', words: '' }],
        names: [{ crop: 'kale', cropName: 'Kale', name: '' }],
      },
      'PUT /api/plant-health': {},
    });
    show(<PlantHealth />);
    fireEvent.click(await screen.findByRole('button', { name: 'Add an entry' }));
    fireEvent.change(screen.getAllByLabelText('Before it stands')[1]!, { target: { value: 'B' } });
    fireEvent.change(screen.getByLabelText('The words'), { target: { value: 'QM-0417' } });
    fireEvent.change(screen.getByLabelText('Kale'), { target: { value: 'Brassica oleracea' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep the record so' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
        entries: [
          { label: 'A', source: 'BOTANICAL_NAME', words: '' },
          { label: 'B', source: 'TEXT', words: 'QM-0417' },
        ],
        names: [{ crop: 'kale', cropName: 'Kale', name: 'Brassica oleracea' }],
      }),
    );
  });
});
