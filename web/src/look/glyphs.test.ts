import { describe, expect, it } from 'vitest';
import commissioner from '@fontsource-variable/commissioner/index.css?raw';
import theme from './theme.css?raw';

/** What is written anywhere: the pages, and the catalogue that server and pages share. */
const SOURCES = import.meta.glob<string>(
  ['../**/*.ts', '../**/*.tsx', '!../**/*.test.*', '!../api/schema.d.ts', '../../../server/src/main/resources/words/*.json'],
  { query: '?raw', import: 'default', eager: true },
);

const ranges = [...(commissioner + theme).matchAll(/unicode-range:\s*([^;]+);/g)].flatMap((found) =>
  found[1]!.split(',').map((range) => {
    const [first, last = first] = range.trim().replace('U+', '').split('-');
    return [Number.parseInt(first!, 16), Number.parseInt(last!, 16)] as const;
  }),
);
const ships = (letter: string) => ranges.some(([first, last]) => letter.codePointAt(0)! >= first && letter.codePointAt(0)! <= last);

describe('the letters that ship', () => {
  it('are all that is written, so that no page hangs on the fonts of a machine', () => {
    const lacking = Object.entries(SOURCES).flatMap(([file, source]) =>
      [...new Set(source.replace(/\\u[0-9a-f]{4}/gi, ''))].filter((letter) => !ships(letter)).map((letter) => `${letter} in ${file}`),
    );
    expect(Object.keys(SOURCES).some((file) => file.includes('words/en-GB'))).toBe(true);
    expect(ships('\u2603')).toBe(false);
    expect(lacking).toEqual([]);
  });
});
