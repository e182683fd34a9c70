import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { PotWork } from './PotWork';

const batch = { summary: { number: 308, stage: 'GROWING_ON' }, layout: { containers: ['module-60', 'pot-9'] } } as unknown as BatchView;
const alive = [
  { tray: 1303, plants: 39, container: 'module-60', grade: 'STANDARD' as const },
  { tray: 1304, plants: 12, container: 'module-60', grade: 'STANDARD' as const },
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

  it('draws the plug in the pot, says what speaks against it and what it takes, and tells how plants were parted', async () => {
    const pot = {
      container: 'pot-9',
      name: 'Carrier of 18 pots',
      planned: true,
      measures: { widthMillimetres: 90, depthMillimetres: 90 },
      times: 5.97,
      remarks: [{ kind: 'StaysWet', times: 6 }],
      cells: 18,
      columns: 6,
      pots: true,
      litres: 20,
      slots: 1,
      minutes: 34,
      inShed: 60,
    };
    const calls = fakeServer({
      'GET /api/choices': choices,
      'GET /api/batches/308/potting': {
        roots: { index: 0.6, least: 0.4, most: 0.9, looksLike: 'AT_EDGE' },
        by: '2027-04-19',
        plants: 51,
        standsIn: 'Module tray of 60',
        slots: 2,
        place: 'Cool house',
        free: 4,
        plug: { widthMillimetres: 40, depthMillimetres: 45 },
        wanted: { widthMillimetres: 80, depthMillimetres: 65 },
        depth: 'DEEP',
        pots: [pot],
      },
      'POST /api/batches/308/pottings': {},
    });
    await opened();
    expect(await screen.findByText(/Roots: most likely at the edge of the plug/)).toBeTruthy();
    expect(screen.getByText('Pot by Mon 19 Apr at the latest.')).toBeTruthy();
    expect(screen.getByRole('img', { name: /The plug, 40 mm across, in the pot, 90 mm across/ })).toBeTruthy();
    expect(screen.getByText(/About 6 times the plug/)).toBeTruthy();
    expect(screen.getByText(/take the seed leaves off first/)).toBeTruthy();
    fireEvent.change(field('Plants'), { target: { value: '17' } });
    expect(screen.getByText('17 of 60 in the shed')).toBeTruthy();
    expect(screen.getByText('1 for carriers, 3 for rows, 17 for pots')).toBeTruthy();
    fireEvent.change(field('Plants'), { target: { value: '18' } });
    expect(screen.getByText('1 for carriers, 3 for rows, 18 for pots')).toBeTruthy();
    fireEvent.change(field('Plants'), { target: { value: '17' } });
    fireEvent.change(screen.getByLabelText('Small'), { target: { value: 'three' } });
    expect(screen.getByText('Enter a whole number of plants.')).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Pot 17 plants into 1 tray' }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Small'), { target: { value: '3' } });
    fireEvent.change(screen.getByLabelText('Thrown out'), { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Pot 17 plants into 1 tray' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'POST')).toBe(true));
    const told = calls.find((call) => call.method === 'POST')!.body;
    expect(told).toMatchObject({ plants: 17, small: 3, culled: 1 });
    expect(told).not.toHaveProperty('spare');
  });
});
