import { openDB } from 'idb';
import { useSyncExternalStore } from 'react';

/** A photograph of a tray that was taken where there was no signal, with its corners as they were put. */
export interface Unread {
  id: string;
  tray: number;
  /** Whose it is; nobody else sees it on a shared device. */
  by: number;
  takenAt: number;
  corners: [number, number][];
  keep: boolean;
  width: number;
  height: number;
  picture: Blob;
}

/** Where they are kept; in the browser a database of their own, in tests anything. */
export interface PhotographShelf {
  all: () => Promise<Unread[]>;
  put: (unread: Unread) => Promise<unknown>;
  remove: (id: string) => Promise<void>;
}

const SHELF = 'unread';

export function browserPhotographs(): PhotographShelf {
  const opened = () =>
    openDB('kiver-photographs', 1, {
      upgrade: (made) => {
        made.createObjectStore(SHELF, { keyPath: 'id' });
      },
    });
  let database: ReturnType<typeof opened> | undefined;
  const open = () => (database ??= opened());
  return {
    all: async () => (await open()).getAll(SHELF) as Promise<Unread[]>,
    put: async (unread) => (await open()).put(SHELF, unread),
    remove: async (id) => (await open()).delete(SHELF, id),
  };
}

/** Photographs that wait on this device until there is a signal to have them read; none is lost by a reload. */
export class PhotographsToRead {
  private state: Unread[] = [];
  private asked = false;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly shelf: PhotographShelf) {}

  current = (): Unread[] => this.state;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    if (!this.asked) {
      this.asked = true;
      void this.reread();
    }
    return () => this.listeners.delete(listener);
  };

  /** Keeps one. Fails where this device keeps nothing: then it has to be taken again. */
  async keep(unread: Unread): Promise<void> {
    await this.shelf.put(unread);
    await this.reread();
  }

  async forget(id: string): Promise<void> {
    try {
      await this.shelf.remove(id);
    } catch {
      // What is not kept cannot be let go of.
    }
    await this.reread();
  }

  private async reread(): Promise<void> {
    try {
      const all = await this.shelf.all();
      this.state = all.sort((one, other) => one.takenAt - other.takenAt);
    } catch {
      // A device without a store of its own keeps none.
      this.state = [];
    }
    this.listeners.forEach((listener) => listener());
  }
}

export const photographs = new PhotographsToRead(browserPhotographs());

/** Those of a person, oldest first. */
export function useUnread(person: number | null | undefined): Unread[] {
  const all = useSyncExternalStore(photographs.subscribe, photographs.current);
  return all.filter((each) => each.by === person);
}
