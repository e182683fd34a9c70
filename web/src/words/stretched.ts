import { type MessageFormatElement, parse, TYPE } from '@formatjs/icu-messageformat-parser';

const ACCENTED: Record<string, string> = {
  a: 'áá',
  e: 'éé',
  i: 'í',
  o: 'óó',
  u: 'úú',
  y: 'ý',
  c: 'ç',
  n: 'ñ',
  s: 'š',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
  S: 'Š',
  C: 'Ç',
};

/**
 * A message in the stretched language: every letter that has one takes an accent, words grow to about 140 %, and
 * brackets show where the message begins and ends. What is shown without them never was in the catalogue.
 */
export function stretched(words: string, marked = false): MessageFormatElement[] {
  return [literal('⟦'), ...parse(words, { ignoreTag: !marked }).map(accented), literal('⟧')];
}

function accented(element: MessageFormatElement): MessageFormatElement {
  if (element.type === TYPE.literal)
    return literal(
      Array.from(element.value)
        .map((letter) => ACCENTED[letter] ?? letter)
        .join(''),
    );
  if (element.type === TYPE.tag) return { ...element, children: element.children.map(accented) };
  if (element.type !== TYPE.plural && element.type !== TYPE.select) return element;
  const options = Object.fromEntries(
    Object.entries(element.options).map(([name, option]) => [name, { ...option, value: option.value.map(accented) }]),
  );
  return { ...element, options };
}

function literal(value: string): MessageFormatElement {
  return { type: TYPE.literal, value };
}
