import { useEffect } from 'react';
import { locale } from '../words/speech';
import { say } from '../words/say';
import { coverWords } from './coverWords';
import type { Step } from './along';

/** Says something aloud when it changes, by the browser's own voice; only where that was switched on. */
export function useVoice(words: string): void {
  useEffect(() => {
    if (!('speechSynthesis' in window) || window.localStorage.getItem('kiver.voice') !== 'on') return;
    const said = new SpeechSynthesisUtterance(words);
    said.lang = locale();
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(said);
    return () => window.speechSynthesis.cancel();
  }, [words]);
}

/** A run as it is read aloud: packet, seeds, depth, cells. */
export const spoken = (step: Step, first: number, lot: string): string =>
  say('Tray {code}. {way}Packet {lot}, {variety}. {seedsPerCell} to a cell, cells {first} to {last}. {cover}', {
    code: step.run.code,
    way: step.run.trial ? say('{way} of the trial. ', { way: step.run.trial.way }) : '',
    lot,
    variety: step.sowing.variety,
    seedsPerCell: step.sowing.seedsPerCell,
    first,
    last: step.run.lastCell,
    cover: coverWords(step.depth, step.needsLight),
  });
