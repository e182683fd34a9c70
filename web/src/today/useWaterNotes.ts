import { useState } from 'react';
import { useOutbox, useRecord, whyNot } from '../bench/useOutbox';
import { say } from '../words/say';

type Note = { trays: number[]; kind: 'WATERED' | 'LIFTED' | 'SURFACE' | 'WEIGHED'; word?: string; grams?: number };

const PATH = '/api/water';

/** Notes of what was done with trays' water, kept on this device until they are sent; and which trays wait in them. */
export function useWaterNotes() {
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  const waiting = new Set(
    useOutbox()
      .waiting.filter((letter) => letter.path === PATH)
      .flatMap((letter) => letter.body.trays as number[]),
  );
  const note = (entry: Note, words: string) =>
    record(PATH, { ...entry }, words)
      .then(() => setProblem(undefined))
      .catch((full: unknown) => setProblem(whyNot(full)));
  return { note, problem, waiting };
}

export const wateredWords = (trays: number): string => say('water for {trays, plural, one {# tray} other {# trays}}', { trays });
