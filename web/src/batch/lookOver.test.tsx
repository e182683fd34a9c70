import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { fakeServer, show, Status } from '../api/faked';
import { outbox } from '../bench/useOutbox';
import { LookOver } from './LookOver';

beforeEach(() => {
  localStorage.clear();
  outbox.open(2);
});

const leaf = (count: string) => fireEvent.click(screen.getByRole('button', { name: count }));

describe('a close look at a few plants', () => {
  it('takes the leaves of each by a tap and how far the roots have come', async () => {
    const calls = fakeServer({ 'POST /api/batches/201/looks': {} });
    show(<LookOver batch={201} expected={3.24} />);
    expect(screen.getByText(/About 3.2 true leaves/)).toBeTruthy();
    leaf('3 leaves');
    leaf('4 leaves');
    leaf('1 leaf');
    fireEvent.click(screen.getByRole('button', { name: 'Undo tap' }));
    expect(screen.getByRole('status').textContent).toContain('2 plants: 3, 4; 3.5 on average');
    fireEvent.click(screen.getByRole('button', { name: 'at the edge' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((told) => setTimeout(told, 50));
    fireEvent.click(screen.getByRole('button', { name: 'Save what was seen' }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({ leaves: [3, 4], roots: 'AT_EDGE' }));
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('No plant counted yet'));
  });

  it('keeps what was tapped when it is refused', async () => {
    const calls = fakeServer({
      'POST /api/batches/201/looks': new Status(422, {
        detail: 'Roots do not come to the edge within five days.',
        errors: [{ field: 'roots', message: 'Roots do not come to the edge within five days.' }],
      }),
    });
    show(<LookOver batch={201} expected={0.4} />);
    fireEvent.click(screen.getByRole('button', { name: 'circling' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/session')).toBe(true));
    await new Promise((told) => setTimeout(told, 50));
    fireEvent.click(screen.getByRole('button', { name: 'Save what was seen' }));
    expect(await screen.findByText(/Roots do not come to the edge/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'circling' }).getAttribute('aria-pressed')).toBe('true');
  });
});
