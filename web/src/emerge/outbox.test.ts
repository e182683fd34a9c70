import { beforeEach, describe, expect, it, vi } from 'vitest';
import { refusal, type Refused } from '../api/client';
import { Outbox, type Letter } from './outbox';

const letter = (requestId: string): Letter => ({ requestId, path: '/api/x', body: { tray: 1 }, words: `count ${requestId}` });

describe('the outbox', () => {
  let kept: Record<string, string>;
  let answers: (Refused | undefined)[];
  let posted: string[];
  let delivered: number;
  const store = {
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, value: string) => {
      kept[key] = value;
    },
  };
  const open = () =>
    new Outbox(store, async (sent) => {
      posted.push(sent.requestId);
      return answers.shift();
    }, () => delivered++);

  beforeEach(() => {
    kept = {};
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
    expect(before.current().waiting.map((each) => each.requestId)).toEqual(['a', 'b']);
    const after = open();
    posted = [];
    await after.flush();
    expect(posted).toEqual(['a', 'b']);
    expect(after.current().waiting).toEqual([]);
    expect(JSON.parse(kept['kiver.outbox']!)).toEqual([]);
  });

  it('tries again by itself', async () => {
    answers = [refusal(0, {})];
    const outbox = open();
    await outbox.add(letter('a'));
    await vi.advanceTimersByTimeAsync(6_000);
    expect(posted).toEqual(['a', 'a']);
    expect(outbox.current().waiting).toEqual([]);
  });

  it('shows what was refused instead of dropping or repeating it', async () => {
    answers = [refusal(422, { detail: 'Cell 4 is lost already.' })];
    const outbox = open();
    await outbox.add(letter('a'));
    expect(outbox.current().waiting).toEqual([]);
    expect(outbox.current().refused[0]?.message).toBe('Cell 4 is lost already.');
    outbox.dismiss('a');
    expect(outbox.current().refused).toEqual([]);
  });

  it('begins empty when what was kept cannot be read', () => {
    kept['kiver.outbox'] = '{broken';
    expect(open().current().waiting).toEqual([]);
  });
});
