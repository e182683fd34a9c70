import { message } from './catalogue';

/**
 * Words of a page in the language spoken. What is handed over is the British message (ICU MessageFormat): it is its
 * own key in the catalogue, so that a page can be read where it stands.
 *
 * @param words a literal, so that the catalogue can be gathered from the sources
 * @param parts what the message names, already in words where it is a date or a quantity
 */
export function say(words: string, parts: Record<string, unknown> = {}): string {
  return String(message(words).format(parts as Record<string, string>));
}
