import { beforeEach, describe, expect, it, vi } from 'vitest';
import { refusal, type Refused } from '../api/client';
import { Outbox, type Letter } from './outbox';

const letter = (requestId: string, by = 2): Omit<Letter, 'at'> => ({
  requestId,
  path: '/api/x',
  body: { tray: 1 },
  words: `count ${requestId}`,
  by,
  byName: by === 2 ? 'Pell' : 'Maro',
});

describe('the outbox', () => {
  let kept: Map<string, string>;
  let answers: (Refused | undefined)[];
  let posted: string[];
  let delivered: number;
  const store = {
    get length() {
      return kept.size;
    },
    key: (index: number) => [...kept.keys()][index] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  };
  const open = (person: number | undefined = 2) => {
    const outbox = new Outbox(
      store,
      async (sent) => {
        posted.push(sent.requestId);
        return answers.shift();
      },
      () => delivered++,
    );
    outbox.open(person);
    return outbox;
  };
  const ids = (letters: Letter[]) => letters.map((each) => each.requestId);

  beforeEach(() => {
    kept = new Map();
    answers = [];
    posted = [];
    delivered = 0;
    vi.useFakeTimers();
  });

  it('sends at once when it can', async () => {
    const outbox = open();
    await outbox.add(letter('a'));
    expect(posted).toEqual(['a']);
    expect(outbox.current().waiting).toEqual([]);
    expect(delivered).toBe(1);
  });

  it('keeps what it cannot send, over a reload, and sends it later in order with the same numbers', async () => {
    answers = [refusal(0, {})];
    const before = open();
    await before.add(letter('a'));
    answers = [refusal(503, {})];
    await before.add(letter('b'));
    expect(ids(before.current().waiting)).toEqual(['a', 'b']);
    posted = [];
    const after = open();
    await vi.advanceTimersByTimeAsync(1);
    await after.flush();
    expect(posted).toEqual(['a', 'b']);
    expect(after.current().waiting).toEqual([]);
    expect(kept.size).toBe(0);
  });

  it('tries again by itself', async () => {
    answers = [refusal(0, {})];
    const outbox = open();
    await outbox.add(letter('a'));
    await vi.advanceTimersByTimeAsync(6_000);
    expect(posted).toEqual(['a', 'a']);
    expect(outbox.current().waiting).toEqual([]);
  });

  it('shows what was refused instead of dropping or repeating it, after a reload as well', async () => {
    answers = [refusal(422, { detail: 'Cell 4 is lost already.' })];
    const outbox = open();
    await outbox.add(letter('a'));
    expect(outbox.current().waiting).toEqual([]);
    expect(open().current().refused[0]?.message).toBe('Cell 4 is lost already.');
    outbox.dismiss('a');
    expect(outbox.current().refused).toEqual([]);
  });

  it('does not overwrite what another tab keeps', async () => {
    answers = Array.from({ length: 9 }, () => refusal(0, {}));
    const one = open();
    const other = open();
    await one.add(letter('a'));
    await other.add(letter('b'));
    one.reread();
    expect(ids(one.current().waiting)).toEqual(['a', 'b']);
    expect(ids(other.current().waiting)).toEqual(['a', 'b']);
  });

  it('sends nothing under the name of somebody else', async () => {
    answers = [refusal(0, {})];
    await open(2).add(letter('a', 2));
    posted = [];
    const next = open(1);
    await next.flush();
    expect(posted).toEqual([]);
    expect(ids(next.current().ofOthers)).toEqual(['a']);
    next.open(2);
    await vi.advanceTimersByTimeAsync(1);
    expect(posted).toEqual(['a']);
  });

  it('keeps a letter that the server will not take from the person signed in', async () => {
    answers = [refusal(409, { detail: 'recorded by somebody else' })];
    const outbox = open();
    await outbox.add(letter('a'));
    expect(ids(outbox.current().waiting)).toEqual(['a']);
  });

  it('says so when the device cannot keep it', () => {
    const full = {
      ...store,
      length: 0,
      setItem: () => {
        throw new Error('QuotaExceededError');
      },
    };
    const outbox = new Outbox(
      full,
      async () => undefined,
      () => delivered++,
    );
    expect(() => outbox.add(letter('a'))).toThrow();
  });

  it('passes over what cannot be read', async () => {
    kept.set('kiver.letter.broken', '{broken');
    kept.set('kiver.letter.other', '{"requestId":5}');
    const outbox = open();
    await outbox.add(letter('a'));
    expect(posted).toEqual(['a']);
    expect(kept.has('kiver.letter.broken')).toBe(true);
  });
});
