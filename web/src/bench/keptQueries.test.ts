import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it, vi } from 'vitest';
import { keepQueries, restore, worthKeeping, type Shelf } from './keptQueries';

function shelf(): Shelf & { held: Parameters<Shelf['write']>[0] | undefined } {
  const one = {
    held: undefined as Parameters<Shelf['write']>[0] | undefined,
    read: () => Promise.resolve(one.held),
    write: (kept: Parameters<Shelf['write']>[0]) => Promise.resolve(void (one.held = kept)),
    clear: () => Promise.resolve(void (one.held = undefined)),
  };
  return one;
}

const DAY = 24 * 3_600_000;

describe('what stays on the device', () => {
  it('is what the bench needs, as it was fetched last, and comes back after a reload', async () => {
    const client = new QueryClient();
    client.setQueryData(['session'], { person: 7 });
    client.setQueryData(['trays', 1042], { number: 1042 });
    client.setQueryData(['season', 0], { batches: [] });
    const held = { ...shelf(), read: () => Promise.resolve({ savedAt: 0, state: worthKeeping(client) }) };
    const again = new QueryClient();
    await restore(again, held, DAY);
    expect(again.getQueryData(['trays', 1042])).toEqual({ number: 1042 });
    expect(again.getQueryState(['trays', 1042])?.isInvalidated).toBe(true);
    expect(again.getQueryData(['season', 0])).toBeUndefined();
    const late = new QueryClient();
    await restore(late, held, 4 * DAY);
    expect(late.getQueryData(['trays', 1042])).toBeUndefined();
  });

  it('goes when somebody else signs in, and nothing is kept for nobody', async () => {
    vi.useFakeTimers();
    const client = new QueryClient();
    const kept = shelf();
    const stop = keepQueries(client, kept);
    client.setQueryData(['trays', 1], { number: 1 });
    await vi.advanceTimersByTimeAsync(2_000);
    expect(kept.held).toBeUndefined();
    client.setQueryData(['session'], { person: 7 });
    client.setQueryData(['trays', 1042], { number: 1042 });
    await vi.advanceTimersByTimeAsync(2_000);
    expect(kept.held?.state.queries.map((query) => query.queryKey[0])).toContain('trays');
    client.setQueryData(['session'], { person: 8 });
    expect(client.getQueryData(['trays', 1042])).toBeUndefined();
    await vi.advanceTimersByTimeAsync(2_000);
    expect(kept.held?.state.queries.map((query) => query.queryKey)).toEqual([['session']]);
    stop();
    vi.useRealTimers();
  });

  it('stops nothing where the device keeps nothing', async () => {
    const client = new QueryClient();
    await restore(client, { ...shelf(), read: () => Promise.reject(new Error('no store')) }, 0);
    expect(client.getQueryCache().getAll()).toEqual([]);
  });
});
