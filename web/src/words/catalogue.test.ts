import ts from 'typescript';
import { afterEach, describe, expect, it } from 'vitest';
import american from '../../../server/src/main/resources/words/en-US.json';
import british from '../../../server/src/main/resources/words/en-GB.json';
import served from '../../../server/src/main/resources/words/served.json';
import { forgetMessages, message } from './catalogue';
import { say } from './say';
import { METRIC, type Speech, speech } from './speech';

const SOURCES = import.meta.glob<string>(
  ['../**/*.ts', '../**/*.tsx', '!../**/*.test.*', '!../api/schema.d.ts', '!../**/{samples,faked,testSetup}.*'],
  { query: '?raw', import: 'default', eager: true },
);
const PAGES = '../../../server/src/main/resources/words/pages.json';
/** Attributes and properties whose text is read or heard. */
const SPOKEN = new Set(['what', 'hint', 'aria-label', 'placeholder', 'title', 'xTitle', 'yTitle', 'verb', 'alone', 'alt', 'words']);
const BRITISH_SPELLING =
  /colour|grey|neighbour|litre|\bmetre|thermometre|programme|fortnight|mould|labelled|autumn|licence|catalogue|centre|plough|telephone/i;
/** What is given a message: plain words, or words of which some stand out. */
const SAYING = new Set(['say', 'told']);
/** The name of the application is the same in every language; units and their signs are no words. */
const NO_WORDS = new Set(['Kiver']);

interface Found {
  where: string;
  text: string;
}

/** What every page says, and words that are in no message. */
function gathered(): { said: Set<string>; bare: Found[]; unreadable: Found[] } {
  const said = new Set<string>();
  const bare: Found[] = [];
  const unreadable: Found[] = [];
  for (const [file, text] of Object.entries(SOURCES)) {
    const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
    const at = (node: ts.Node) => `${file}:${source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1}`;
    const visit = (node: ts.Node): void => {
      if (ts.isCallExpression(node) && SAYING.has(node.expression.getText(source)) && node.arguments[0]) {
        const first = node.arguments[0];
        if (ts.isStringLiteralLike(first)) said.add(first.text);
        else unreadable.push({ where: at(node), text: first.getText(source) });
      }
      if (ts.isJsxText(node) && isWords(node.text)) bare.push({ where: at(node), text: node.text.trim() });
      if (
        ts.isJsxAttribute(node) &&
        node.initializer &&
        ts.isStringLiteral(node.initializer) &&
        isSpoken(node, source) &&
        isWords(node.initializer.text)
      ) {
        bare.push({ where: at(node), text: node.initializer.text });
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return { said, bare, unreadable };
}

function isSpoken(attribute: ts.JsxAttribute, source: ts.SourceFile): boolean {
  const name = attribute.name.getText(source);
  return SPOKEN.has(name) || (name === 'name' && /^[A-Z]/.test(attribute.parent.parent.tagName.getText(source)));
}

function isWords(text: string): boolean {
  return /[A-Za-z]{2,}/.test(text) && !NO_WORDS.has(text.trim());
}

const speak = (more: Partial<Speech>) => {
  Object.assign(speech, METRIC, more);
  forgetMessages();
};

afterEach(() => speak({}));

describe('the catalogue', () => {
  const { said, bare, unreadable } = gathered();

  it('has every word of every page: none stands bare, and each message can be gathered', () => {
    expect(bare).toEqual([]);
    expect(unreadable).toEqual([]);
    expect(said.size).toBeGreaterThan(400);
  });

  // Written anew by `npx vitest run -u`: what a translator translates, beside en-GB.json.
  it('lists what the pages say', async () => {
    await expect(`${JSON.stringify([...said].sort(), null, 2)}\n`).toMatchFileSnapshot(PAGES);
  });

  it('differs in American English only in messages that there are', () => {
    const known = new Set([...said, ...Object.keys(british), ...served]);
    expect(Object.keys(american).filter((key) => !known.has(key))).toEqual([]);
  });

  it('is American in American English', () => {
    const words = (key: string) => (american as Record<string, string>)[key] ?? (british as Record<string, string>)[key] ?? key;
    const still = [...said, ...Object.keys(british), ...served].map(words).filter((text) => BRITISH_SPELLING.test(text.replaceAll(/\{\w+/g, '')));
    expect(still).toEqual([]);
  });

  it('can be made in every language, with the same parts as in British English', () => {
    for (const language of ['BRITISH', 'AMERICAN', 'STRETCHED'] as const) {
      speak({ language });
      for (const key of [...said, ...Object.keys(british)]) expect(() => message(key), `${language}: ${key}`).not.toThrow();
    }
    for (const [key, words] of Object.entries(american as Record<string, string>)) {
      const original = (british as Record<string, string>)[key] ?? key;
      expect(namesIn(words), key).toEqual(namesIn(original));
    }
  });
});

const namesIn = (words: string) => [...new Set([...words.matchAll(/\{(\w+)[,}]/g)].map((match) => match[1]))].sort();

describe('the stretched language', () => {
  it('brackets each message, takes accents, and leaves what is filled in alone', () => {
    speak({ language: 'STRETCHED' });
    expect(say('Release {plants, plural, one {# plant} other {# plants}} of {grower}', { plants: 3, grower: 'Alder Field' })).toBe(
      '⟦Réélééáášéé 3 plááñtš óóf Alder Field⟧',
    );
    expect(say('Close').length).toBeGreaterThanOrEqual(Math.floor('Close'.length * 1.4));
  });
});
