import { describe, expect, it } from 'vitest';

/**
 * In the order of the job; a room may use what stands before it. Beneath them all words, which may name the types that calls
 * answer with and nothing else of them, then calls, looks and what waits at the bench; above them all the shell, and what is tried and shown first.
 */
const ORDER = [
  'words',
  'api',
  'look',
  'bench',
  'weather',
  'crop',
  'seed',
  'media',
  'tray',
  'plan',
  'promise',
  'question',
  'order',
  'emerge',
  'sow',
  'pot',
  'harden',
  'release',
  'learning',
  'batch',
  'board',
  'space',
  'today',
  'nursery',
  'find help',
  'play',
  'account',
  'shell',
  '',
];
const SOURCES = import.meta.glob<string>(['./**/*.ts', './**/*.tsx', '!./**/*.test.*', '!./api/schema.d.ts', '!./**/{samples,faked,testSetup}.*'], {
  query: '?raw',
  import: 'default',
  eager: true,
});

const level = (room: string) => ORDER.findIndex((rooms) => rooms.split(' ').includes(room));
const roomOf = (file: string) => file.match(/^\.\/(?:(\w+)\/)?/)?.[1] ?? '';

describe('the rooms of the web', () => {
  it('use only those before them', () => {
    const upward = Object.entries(SOURCES).flatMap(([file, source]) =>
      [...source.matchAll(/^(import|export) (type )?[^;]*?from '\.\.\/(\w+)\//gm)]
        .filter((found) => !(found[2] && roomOf(file) === 'words' && found[3] === 'api'))
        .map((found) => found[3]!)
        .filter((room) => level(room) > level(roomOf(file)))
        .map((room) => `${file} uses ${room}`),
    );
    expect(Object.keys(SOURCES).filter((file) => level(roomOf(file)) < 0)).toEqual([]);
    expect(upward.sort()).toEqual([]);
  });
});
