import { IntlMessageFormat } from 'intl-messageformat';
import american from '../../../server/src/main/resources/words/en-US.json';
import british from '../../../server/src/main/resources/words/en-GB.json';
import { locale, speech } from './speech';
import { stretched } from './stretched';

/** What differs from British English, by language. The stretched language is made of the British. */
const DIFFERING: Record<string, Record<string, string>> = { AMERICAN: american };

const formats = new Map<string, IntlMessageFormat>();

/**
 * The message of a key in the language spoken; a page's own words are their own key.
 *
 * @param marked whether some of its words stand between marks, `<b>so</b>`
 */
export function message(key: string, marked = false): IntlMessageFormat {
  const kept = marked ? `<${key}` : key;
  let format = formats.get(kept);
  if (!format) {
    const words = DIFFERING[speech.language]?.[key] ?? (british as Record<string, string>)[key] ?? key;
    format = new IntlMessageFormat(speech.language === 'STRETCHED' ? stretched(words, marked) : words, locale(), undefined, { ignoreTag: !marked });
    formats.set(kept, format);
  }
  return format;
}

/** Forgets the messages made, for tests of several languages. */
export function forgetMessages(): void {
  formats.clear();
}
