import { refusal, xsrfToken, type Refused } from '../api/client';

/** Something recorded at the bench that the server must hear of. */
export interface Letter {
  requestId: string;
  path: string;
  body: Record<string, unknown>;
  /** What it is, in words, for when it waits or is refused. */
  words: string;
}

export interface OutboxState {
  waiting: Letter[];
  refused: { letter: Letter; message: string }[];
}

const STORE = 'kiver.outbox';
const RETRY_EVERY = 5_000;

/**
 * Keeps what was recorded until the server has it: in the browser's store, so that neither a dead spot nor a reload
 * loses a count. Every letter carries its request's number, so sending it twice counts once.
 */
export class Outbox {
  private state: OutboxState;
  private readonly listeners = new Set<() => void>();
  private sending = false;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly store: Pick<Storage, 'getItem' | 'setItem'>,
    private readonly post: (letter: Letter) => Promise<Refused | undefined>,
    private readonly delivered: () => void,
  ) {
    this.state = { waiting: readLetters(store), refused: [] };
  }

  current = (): OutboxState => this.state;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  add(letter: Letter): Promise<void> {
    this.change({ ...this.state, waiting: [...this.state.waiting, letter] });
    return this.flush();
  }

  dismiss(requestId: string): void {
    this.change({ ...this.state, refused: this.state.refused.filter((each) => each.letter.requestId !== requestId) });
  }

  /** Sends what waits, in order; stops at the first that cannot be delivered now. */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    clearTimeout(this.timer);
    try {
      for (let letter = this.state.waiting[0]; letter; letter = this.state.waiting[0]) {
        const problem = await this.post(letter);
        if (problem?.mayPassLater) {
          this.timer = setTimeout(() => void this.flush(), RETRY_EVERY);
          return;
        }
        const sent = letter;
        this.change({
          waiting: this.state.waiting.filter((each) => each.requestId !== sent.requestId),
          refused: problem ? [...this.state.refused, { letter: sent, message: problem.message }] : this.state.refused,
        });
        this.delivered();
      }
    } finally {
      this.sending = false;
    }
  }

  private change(state: OutboxState): void {
    this.state = state;
    this.store.setItem(STORE, JSON.stringify(state.waiting));
    this.listeners.forEach((listener) => listener());
  }
}

function readLetters(store: Pick<Storage, 'getItem'>): Letter[] {
  try {
    const kept: unknown = JSON.parse(store.getItem(STORE) ?? '[]');
    return Array.isArray(kept) ? (kept as Letter[]) : [];
  } catch {
    return [];
  }
}

/** Posts over the network; answers what was wrong, or nothing when it arrived. */
export async function postLetter(letter: Letter): Promise<Refused | undefined> {
  try {
    const response = await fetch(letter.path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': xsrfToken() },
      body: JSON.stringify({ ...letter.body, requestId: letter.requestId }),
    });
    if (response.ok) return undefined;
    return refusal(response.status, await response.json().catch(() => undefined));
  } catch {
    return refusal(0, { detail: 'No connection.' });
  }
}
