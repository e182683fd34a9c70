import { describe, expect, it } from 'vitest';
import { deviceName, timeOfDay } from './occasion';

describe('the name of a device', () => {
  it('is given once', () => {
    const kept = new Map<string, string>();
    const store = { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) };
    const name = deviceName(store);
    expect(name).toMatch(/^(desk|phone|tablet)-[2-9C-Y]{4}$/);
    expect(deviceName(store)).toBe(name);
  });

  it('is there even when nothing can be kept', () => {
    const full = {
      getItem: () => null,
      setItem: () => {
        throw new Error('full');
      },
    };
    expect(deviceName(full)).toMatch(/-/);
  });

  it('is given anew when what was kept is none', () => {
    const kept = new Map([['kiver.device', '<b>']]);
    const store = { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) };
    expect(deviceName(store)).not.toBe('<b>');
  });
});

it('tells the time of day with two figures each', () => {
  expect(timeOfDay(new Date(2027, 2, 1, 7, 5))).toBe('07:05');
});
