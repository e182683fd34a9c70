import { dehydrate, hashKey, hydrate, type DehydratedState, type QueryClient } from '@tanstack/react-query';
import { openDB } from 'idb';
import type { SessionView } from '../api/client';

/** What is needed at the bench and stays on the device: where the signal ends, the day's work goes on from it. */
const BENCH = new Set([
  'session',
  'round',
  'rooms',
  'hands',
  'batches',
  'trays',
  'choices',
  'stock',
  'media',
  'sowing-list',
  'looks',
  'feeding',
  'water',
  'potting',
  'potting-day',
  'hardening',
  'shed',
]);

/** Older than this, what was fetched is no help at the bench any more. */
const OLDEST = 3 * 24 * 3_600_000;
const SAVE_AFTER = 1_500;
const SESSION = hashKey(['session']);
const SHELF = 'queries';
const NOW = 'now';

interface Kept {
  savedAt: number;
  state: DehydratedState;
}

/** Where it is kept; in the browser its own database, in tests anything that holds one value. */
export interface Shelf {
  read: () => Promise<Kept | undefined>;
  write: (kept: Kept) => Promise<void>;
  clear: () => Promise<void>;
}

export function browserShelf(): Shelf {
  const database = openDB('kiver', 1, {
    upgrade: (made) => {
      made.createObjectStore(SHELF);
    },
  });
  return {
    read: async () => (await database).get(SHELF, NOW) as Promise<Kept | undefined>,
    write: async (kept) => {
      await (await database).put(SHELF, kept, NOW);
    },
    clear: async () => (await database).clear(SHELF),
  };
}

/** Lets go of all that is kept, at once: somebody signs out. */
export async function forgetKept(): Promise<void> {
  try {
    await browserShelf().clear();
  } catch {
    // A device without a store of its own keeps nothing that could be forgotten.
  }
}

/** Puts back what was kept, unless it is too old; a device that keeps nothing begins empty. */
export async function restore(client: QueryClient, shelf: Shelf, now: number): Promise<void> {
  try {
    const kept = await shelf.read();
    if (kept && now - kept.savedAt < OLDEST) hydrate(client, kept.state);
  } catch {
    // Without a store of its own the page works as long as there is a connection.
  }
}

/** What is worth keeping, each as it was when it was fetched last, whatever failed since. */
export function worthKeeping(client: QueryClient): DehydratedState {
  const state = dehydrate(client, {
    shouldDehydrateQuery: (query) => query.state.data !== undefined && BENCH.has(String(query.queryKey[0])),
    shouldDehydrateMutation: () => false,
  });
  return {
    ...state,
    queries: state.queries.map((query) => ({
      ...query,
      state: { ...query.state, status: 'success', fetchStatus: 'idle', error: null, isInvalidated: true },
    })),
  };
}

/**
 * Keeps what is fetched on the device while somebody is signed in, and lets go of it when they are not any more, or when
 * it is somebody else: nobody sees on a shared telephone what another fetched.
 */
export function keepQueries(client: QueryClient, shelf: Shelf): () => void {
  let person = personOf(client);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const save = () => {
    timer = undefined;
    if (personOf(client) !== undefined) void shelf.write({ savedAt: Date.now(), state: worthKeeping(client) }).catch(() => undefined);
  };
  const stop = client.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' && event.type !== 'added') return;
    const present = personOf(client);
    if (present !== person && event.query.queryHash === SESSION) {
      person = present;
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' && !query.isActive() });
      void shelf.clear().catch(() => undefined);
    }
    timer ??= setTimeout(save, SAVE_AFTER);
  });
  return () => {
    clearTimeout(timer);
    stop();
  };
}

const personOf = (client: QueryClient): number | undefined => client.getQueryData<SessionView>(['session'])?.person ?? undefined;
