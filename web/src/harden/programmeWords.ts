import type { School } from '../api/client';
import { nameWords } from '../words/reasons';

/** A school in the reader's language, or the name that the nursery gave a programme of its own. */
export const programmeWords = (code: string, name: string): string => (name === '' ? nameWords(code as School) : name);

/** The same within a sentence; what the nursery wrote stays as it was written. */
export const programmeInLine = (code: string, name: string): string => (name === '' ? programmeWords(code, name).toLowerCase() : name);
