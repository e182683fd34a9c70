import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, type Source } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { savingWords } from '../promise/SourceChoice';
import { sampleChoices } from '../board/samples';
import { samplePlan } from '../plan/samples';
import { NewOrderPage, worseLines } from './NewOrderPage';
import { sourceFor } from '../promise/chosenSource';

const free: Source = {
  kind: 'FREE',
  batch: 214,
  stage: 'GROWING_ON',
  free: 60,
  place: 'Cool house',
  sowDay: '2027-04-01',
  chance: 0.9,
  ready: { early: '2027-06-01', middle: '2027-06-03', late: '2027-06-08', certain: false },
};
const pooled: Source = {
  kind: 'POOLED',
  batch: 231,
  stage: 'PLANNED',
  free: 0,
  place: 'Heat mat',
  sowDay: '2027-05-04',
  chance: 0.85,
  saving: { trays: 1, seeds: -12, minutes: 6 },
};

const plan = (sources: Source[]) => samplePlan({ promise: { sources } });

describe('what gives a line its plants', () => {
  it('is what is free and sure enough, unless another was chosen', () => {
    expect(sourceFor(plan([free, pooled]), undefined)).toBe(free);
    expect(sourceFor(plan([free, pooled]), 231)).toBe(pooled);
    expect(sourceFor(plan([free, pooled]), 'SOW')).toBeUndefined();
    expect(sourceFor(plan([{ ...free, chance: 0.6 }, pooled]), undefined)).toBeUndefined();
    expect(sourceFor(plan([pooled]), 214)).toBeUndefined();
  });

  it('says what it saves and what it takes more', () => {
    expect(savingWords(pooled.saving!)).toBe('; saves 1 tray, 6 minutes; takes 12 seeds more');
    expect(savingWords({ trays: 0, seeds: 0, minutes: 0 })).toBe('');
  });
});

describe('an order', () => {
  const fill = async (plants: string) => {
    fireEvent.change(screen.getByLabelText('Variety'), { target: { value: 'Blue' } });
    await screen.findAllByRole('option', { name: /Blue Lantern/ });
    fireEvent.keyDown(screen.getByLabelText('Variety'), { key: 'Enter' });
    fireEvent.change(screen.getByLabelText('Plants'), { target: { value: plants } });
  };

  it('is put together line by line and taken at once', async () => {
    const calls = fakeServer({ 'GET /api/choices': sampleChoices, 'POST /api/plans': plan([free, pooled]), 'POST /api/orders': { number: 321 } });
    show(<NewOrderPage today="2027-04-15" />);
    fireEvent.change(await screen.findByLabelText('Grower'), { target: { value: String(sampleChoices.growers[0]!.id) } });
    await fill('40');
    expect(((await screen.findByLabelText(/Batch 214, 60 free/)) as HTMLInputElement).checked).toBe(true);
    await waitFor(() =>
      expect((screen.getByRole('button', { name: 'Put it on the order, and another line' }) as HTMLButtonElement).disabled).toBe(false),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the order, and another line' }));
    expect(screen.getByText(/free plants of batch 214, 9 times in 10/)).toBeTruthy();
    await fill('30');
    fireEvent.click(await screen.findByLabelText(/A sowing of its own/));
    await waitFor(() =>
      expect((screen.getByRole('button', { name: 'Take the order: 2 lines, 70 plants' }) as HTMLButtonElement).disabled).toBe(false),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take the order: 2 lines, 70 plants' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/orders')?.body).toMatchObject({
        lines: [
          { wish: { plants: 40 }, fromBatch: 214 },
          { wish: { plants: 30 }, seen: 'YES' },
        ],
      }),
    );
  });

  it('is taken on worse terms once they were said', async () => {
    const calls = fakeServer({
      'GET /api/choices': sampleChoices,
      'POST /api/plans': plan([]),
      'POST /api/orders': ({ body }: { body: unknown }) =>
        JSON.stringify(body).includes('"seen":"NO"')
          ? { number: 5 }
          : new Status(422, { detail: 'x', errors: [{ field: 'seen', message: 'Room must be found. Take it on these terms.' }] }),
    });
    show(<NewOrderPage today="2027-04-15" />);
    fireEvent.change(await screen.findByLabelText('Grower'), { target: { value: String(sampleChoices.growers[0]!.id) } });
    await fill('40');
    const take = screen.getByRole('button', { name: 'Take the order for 40 plants' });
    await waitFor(() => expect((take as HTMLButtonElement).disabled).toBe(false));
    fireEvent.click(take);
    expect(await screen.findByText(/Take it on these terms/)).toBeTruthy();
    fireEvent.click(take);
    await waitFor(() => expect(calls.filter((call) => call.path === '/api/orders')).toHaveLength(2));
    expect(JSON.stringify(calls.at(-1)?.body ?? '') + JSON.stringify(calls.map((call) => call.body))).toContain('"seen":"NO"');
    expect(
      worseLines(
        new Refused(422, 'x', [
          { field: 'lines[2].seen', message: 'm' },
          { field: 'lines[0].target', message: 'm' },
        ]),
        3,
      ),
    ).toEqual([2]);
  });

  it('can be for nobody yet', async () => {
    const calls = fakeServer({ 'GET /api/choices': sampleChoices, 'POST /api/plans': plan([free]), 'POST /api/batches': { number: 400 } });
    show(<NewOrderPage today="2027-04-15" />);
    fireEvent.change(await screen.findByLabelText('Grower'), { target: { value: 'nobody' } });
    expect(screen.queryByLabelText('Site')).toBeNull();
    await fill('25');
    const go = screen.getByRole('button', { name: 'Plan 25 plants for nobody yet' });
    await waitFor(() => expect((go as HTMLButtonElement).disabled).toBe(false));
    expect(screen.queryByLabelText(/Batch 214/)).toBeNull();
    fireEvent.click(go);
    await waitFor(() => expect(calls.find((call) => call.path === '/api/batches')?.body).toMatchObject({ wish: { plants: 25 } }));
  });
});
