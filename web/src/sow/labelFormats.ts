import { say } from '../words/say';

export type LabelFormat = 'ROLL' | 'STAKE' | 'SHEET_24' | 'SHEET_14' | 'SHEET_65' | 'LETTER_30';

export const FORMATS: [LabelFormat, string][] = [
  ['ROLL', say('roll, 90 × 29')],
  ['STAKE', say('stakes, 120 × 17')],
  ['SHEET_24', say('A4, 24 to a sheet')],
  ['SHEET_14', say('A4, 14 to a sheet')],
  ['SHEET_65', say('A4, 65 small ones')],
  ['LETTER_30', say('Letter, 30 to a sheet')],
];

export const formatWords = (format: LabelFormat): string => FORMATS.find(([each]) => each === format)?.[1] ?? format;
