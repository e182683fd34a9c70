import { IntlMessageFormat } from 'intl-messageformat';
import american from '../../../server/src/main/resources/words/en-US.json';
import british from '../../../server/src/main/resources/words/en-GB.json';
import { locale, speech } from './speech';
import { stretched } from './stretched';

/** What differs from British English, by language. The stretched language is made of the British. */
const DIFFERING: Record<string, Record<string, string>> = { AMERICAN: american };

const formats = new Map<string, IntlMessageFormat>();

/** The message of a key in the language spoken; a page's own words are their own key. */
export function message(key: string): IntlMessageFormat {
  let format = formats.get(key);
  if (!format) {
    const words = DIFFERING[speech.language]?.[key] ?? (british as Record<string, string>)[key] ?? key;
    format = new IntlMessageFormat(speech.language === 'STRETCHED' ? stretched(words) : words, locale(), undefined, { ignoreTag: true });
    formats.set(key, format);
  }
  return format;
}

/** Forgets the messages made, for tests of several languages. */
export function forgetMessages(): void {
  formats.clear();
}
