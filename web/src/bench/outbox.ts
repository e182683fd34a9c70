import { refusal, xsrfToken, type Refused } from '../api/client';
import { say } from '../words/say';
import { occasion } from '../api/occasion';

/** Something recorded at the bench that the server must hear of. */
export interface Letter {
  requestId: string;
  path: string;
  body: Record<string, unknown>;
  /** What it is, in words, for when it waits or is refused. */
  words: string;
  /** Whose record it is; nobody else may send it. */
  by: number;
  byName: string;
  /** Time of day at which it was done; missing where it was done on another day than it was entered. */
  time?: string;
  /** Place in the order in which things were done. */
  at: number;
}

export interface OutboxState {
  /** What the person signed in has still to send, in order. */
  waiting: Letter[];
  /** What others recorded on this device and have still to send. */
  ofOthers: Letter[];
  refused: { letter: Letter; message: string }[];
}

export type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key'> & { readonly length: number };

/** Runs work while no other tab does; where a browser has no such locks, at once. */
export type Alone = (work: () => Promise<void>) => Promise<void>;

const LETTER = 'kiver.letter.';
const REFUSED = 'kiver.refused.';
const RETRY_EVERY = 5_000;

/**
 * Keeps what was recorded until the server has it: in the browser's store, each letter under its own number, so that
 * neither a dead spot nor a reload nor a second tab loses a count. A letter is sent by the person who made it, and only
 * while they are signed in. It carries its request's number, so sending it twice counts once.
 */
export class Outbox {
  private state: OutboxState = { waiting: [], ofOthers: [], refused: [] };
  private person: number | undefined;
  private readonly listeners = new Set<() => void>();
  private sending: Promise<void> = Promise.resolve();
  private next: Promise<void> | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly store: Store,
    private readonly post: (letter: Letter) => Promise<Refused | undefined>,
    private readonly delivered: () => void,
    private readonly alone: Alone = (work) => work(),
  ) {
    this.reread();
  }

  current = (): OutboxState => this.state;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Says who is signed in; their letters are sent. */
  open(person: number | undefined): void {
    if (this.person === person) return;
    this.person = person;
    this.reread();
    if (person !== undefined) void this.flush();
  }

  /** Keeps a letter and tries to send it. Throws when this device cannot keep it: then nothing was recorded. */
  add(letter: Omit<Letter, 'at'>): Promise<void> {
    const last = Math.max(0, ...this.state.waiting.map((each) => each.at), ...this.state.ofOthers.map((each) => each.at));
    const kept: Letter = { ...letter, at: Math.max(Date.now(), last + 1) };
    this.store.setItem(LETTER + kept.requestId, JSON.stringify(kept));
    this.reread();
    return this.flush();
  }

  /** Sends once more what was refused; with other content it is another request. Throws as {@link add} does. */
  again(requestId: string, body?: Record<string, unknown>): Promise<void> {
    const refused = this.state.refused.find((each) => each.letter.requestId === requestId);
    if (!refused) return Promise.resolve();
    const { letter } = refused;
    const sending = this.add(body ? { ...letter, body, requestId: crypto.randomUUID() } : letter);
    this.dismiss(requestId);
    return sending;
  }

  dismiss(requestId: string): void {
    this.store.removeItem(REFUSED + requestId);
    this.reread();
  }

  /** Looks at the store anew: another tab may have added or sent something. */
  reread(): void {
    const letters = read<Letter>(this.store, LETTER)
      .filter(isLetter)
      .sort((one, other) => one.at - other.at);
    this.state = {
      waiting: letters.filter((letter) => letter.by === this.person),
      ofOthers: letters.filter((letter) => letter.by !== this.person),
      refused: read<{ letter: Letter; message: string }>(this.store, REFUSED).filter((each) => isLetter(each.letter)),
    };
    this.listeners.forEach((listener) => listener());
  }

  /** Sends what waits, in order; stops at the first that cannot be delivered now. */
  flush(): Promise<void> {
    clearTimeout(this.timer);
    // What is asked for while sending goes on is done once when that is over, so that nothing added is passed over.
    this.next ??= this.sending.then(() => {
      this.next = undefined;
      this.sending = this.alone(() => this.sendAll());
      return this.sending;
    });
    return this.next;
  }

  private async sendAll(): Promise<void> {
    this.reread();
    for (let letter = this.state.waiting[0]; letter; letter = this.state.waiting[0]) {
      const problem = await this.post(letter);
      if (problem && (problem.mayPassLater || problem.status === 409)) {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.flush(), RETRY_EVERY);
        return;
      }
      if (problem) {
        this.store.setItem(REFUSED + letter.requestId, JSON.stringify({ letter, message: problem.message }));
      }
      this.store.removeItem(LETTER + letter.requestId);
      this.reread();
      this.delivered();
    }
  }
}

function isLetter(letter: Letter | undefined): letter is Letter {
  return typeof letter?.requestId === 'string' && typeof letter.path === 'string' && typeof letter.by === 'number';
}

function read<T>(store: Store, prefix: string): T[] {
  const found: T[] = [];
  for (let index = 0; index < store.length; index++) {
    const key = store.key(index);
    if (!key?.startsWith(prefix)) continue;
    try {
      found.push(JSON.parse(store.getItem(key) ?? '') as T);
    } catch {
      // What cannot be read is left where it is; it stops nothing else.
    }
  }
  return found;
}

/** Posts over the network; answers what was wrong, or nothing when it arrived. */
export async function postLetter(letter: Letter): Promise<Refused | undefined> {
  try {
    const response = await fetch(letter.path, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/json',
        'X-XSRF-TOKEN': xsrfToken(),
        'X-Kiver-Made-By': String(letter.by),
        ...occasion(letter.time ?? null),
      },
      body: JSON.stringify({ ...letter.body, requestId: letter.requestId }),
    });
    if (response.ok) return undefined;
    return refusal(response.status, await response.json().catch(() => undefined));
  } catch {
    return refusal(0, { detail: say('No connection.') });
  }
}
