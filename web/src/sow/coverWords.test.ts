import { describe, expect, it } from 'vitest';
import { coverWords } from './coverWords';

describe('coverWords', () => {
  it('never asks for a cover that keeps light from a seed that needs it', () => {
    expect(coverWords(0, true)).toBe('Press in and do not cover: it comes up only in light.');
    expect(coverWords(3, true)).toContain('at most 3 mm');
    expect(coverWords(3, true)).toContain('light reaches it');
  });

  it('says the depth of seed that wants the dark', () => {
    expect(coverWords(12, false)).toBe('Cover 12 mm.');
    expect(coverWords(0, false)).toBe('Press in, do not cover.');
  });
});
