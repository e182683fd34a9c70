import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BatchView, TrayView } from '../api/client';
import { fakeServer, show } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { sampleChoices } from '../board/samples';
import { NameWork } from './NameWork';

const tray: TrayView = {
  number: 1042,
  code: 'T1042',
  container: 'Module tray of 6',
  rows: 2,
  columns: 3,
  cellVolume: 50,
  batches: [201],
  cells: [1, 2, 3, 4, 5, 6].map((number) => ({
    number,
    batch: 201,
    condition: number === 6 ? 'LOST' : 'ALIVE',
    seeds: 1,
    seedlings: 1,
    onlySeen: false,
    mixed: number === 3,
  })),
};
const batch = { summary: { number: 201, variety: 'Blue Lantern' } } as unknown as BatchView;

describe('names in doubt', () => {
  const opened = () => {
    const calls = fakeServer({
      'GET /api/session': { signedIn: true, person: 2, name: 'Pell', today: '2027-04-15' },
      'GET /api/choices': { ...sampleChoices, nameDoubts: ['LABEL_LOST', 'SEED_SPILLED', 'MIXED_UP'] },
      'POST /api/batches/201/doubts': {},
      'POST /api/batches/201/recognitions': {},
    });
    outbox.open(2);
    show(<NameWork tray={tray} batch={batch} />);
    return calls;
  };
  const sent = (calls: ReturnType<typeof fakeServer>, path: string) => calls.find((call) => call.path === `/api/batches/201/${path}`)?.body;

  it('shows by a sign which plants are mixed, and which cannot be', () => {
    opened();
    expect(screen.getByRole('button', { name: /^Cell 3, .*1 up, mixed/ }).textContent).toBe('1?');
    expect(screen.getByRole('button', { name: /^Cell 6, .*lost/ }).getAttribute('aria-disabled') ?? 'true').toBe('true');
    expect((screen.getByRole('button', { name: 'Mark as mixed' }) as HTMLButtonElement).disabled).toBe(true);
    expect((screen.getByRole('button', { name: 'Known again' }) as HTMLButtonElement).disabled).toBe(true);
  });

  it('tells apart what comes into doubt from what is known again', async () => {
    const calls = opened();
    await screen.findByRole('option', { name: 'Other seed fell among it' });
    fireEvent.change(screen.getByLabelText('What happened'), { target: { value: 'SEED_SPILLED' } });
    [1, 2, 3].forEach((cell) => fireEvent.click(screen.getByRole('button', { name: new RegExp(`^Cell ${cell},`) })));
    expect(screen.getByRole('button', { name: '1 cell known again as Blue Lantern' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Mark 2 cells as mixed' }));
    await waitFor(() => expect(sent(calls, 'doubts')).toMatchObject({ tray: 1042, cells: [1, 2], doubt: 'SEED_SPILLED' }));
    fireEvent.click(screen.getByRole('button', { name: /^Cell 3,/ }));
    fireEvent.click(screen.getByRole('button', { name: '1 cell known again as Blue Lantern' }));
    await waitFor(() => expect(sent(calls, 'recognitions')).toMatchObject({ tray: 1042, cells: [3] }));
  });
});
