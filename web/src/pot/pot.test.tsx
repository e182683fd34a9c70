import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { PotWork } from './PotWork';

const batch = { summary: { number: 308, stage: 'GROWING_ON' }, layout: { containers: ['module-60', 'pot-9'] } } as unknown as BatchView;
const alive = [
  { tray: 1303, plants: 39, container: 'module-60' },
  { tray: 1304, plants: 12, container: 'module-60' },
];
const choices = {
  ...sampleChoices,
  containers: [...sampleChoices.containers, { code: 'pot-9', name: 'Carrier of 18 pots', cells: 18, kind: 'POTS' as const, cellVolume: 600 }],
};

async function opened() {
  show(<PotWork batch={batch} alive={alive} />);
  fireEvent.click(await screen.findByRole('button', { name: 'Pot on' }));
  await screen.findByRole('option', { name: 'Carrier of 18 pots' });
}

const field = (name: string) => screen.getByLabelText(name) as HTMLInputElement;

describe('potting on', () => {
  it('offers what is larger than the tray they stand in, the next of their path first', async () => {
    fakeServer({ 'GET /api/choices': choices });
    await opened();
    expect(field('Into').value).toBe('pot-9');
    const offered = [...field('Into').querySelectorAll('option')].map((option) => option.textContent);
    expect(offered).toEqual(['Carrier of 28 pots', 'Carrier of 18 pots']);
    expect(field('Plants').value).toBe('51');
    expect(screen.getByRole('button', { name: 'Pot 51 plants into 3 trays' })).toBeTruthy();
    fireEvent.change(field('From tray'), { target: { value: '1304' } });
    expect(screen.getByRole('button', { name: 'Pot 12 plants into 1 tray' })).toBeTruthy();
    expect(screen.getByText(/Dust of dry mix/)).toBeTruthy();
  });

  it('tells the server once and closes', async () => {
    const calls = fakeServer({ 'GET /api/choices': choices, 'POST /api/batches/308/pottings': {} });
    await opened();
    fireEvent.change(field('Plants'), { target: { value: '18' } });
    fireEvent.click(screen.getByRole('button', { name: 'Pot 18 plants into 1 tray' }));
    await waitFor(() => expect(screen.queryByLabelText('Plants')).toBeNull());
    const told = calls.filter((call) => call.path === '/api/batches/308/pottings');
    expect(told).toHaveLength(1);
    expect(told[0]!.body).toMatchObject({ container: 'pot-9', plants: 18, day: '2027-04-15' });
    expect(told[0]!.body).not.toHaveProperty('tray');
  });

  it('keeps what was typed and says at its entry what is wrong', async () => {
    fakeServer({
      'GET /api/choices': choices,
      'POST /api/batches/308/pottings': new Status(422, {
        detail: 'x',
        errors: [{ field: 'plants', message: 'T1303 holds 39 living plants of this batch, not 400.' }],
      }),
    });
    await opened();
    fireEvent.change(field('Plants'), { target: { value: '400' } });
    fireEvent.click(screen.getByRole('button', { name: /^Pot 400 plants/ }));
    expect(await screen.findByText(/holds 39 living plants/)).toBeTruthy();
    expect(field('Plants').value).toBe('400');
  });

  it('is not offered where nothing lives', () => {
    fakeServer({ 'GET /api/choices': choices });
    show(<PotWork batch={batch} alive={[]} />);
    expect(screen.queryByRole('button', { name: 'Pot on' })).toBeNull();
  });
});
