import { Fragment, type ReactNode } from 'react';
import { message } from './catalogue';

type Marking = (inner: ReactNode) => ReactNode;

/**
 * A sentence in which some words stand out: `<b>` makes them strong, any other mark is what {@link marks} makes of it.
 * One message holds the whole sentence, so that a language may order it as it likes.
 *
 * @param words a literal, as for `say`
 * @param parts what the message names
 * @param marks by the mark's name, for example a link
 */
export function told(words: string, parts: Record<string, unknown> = {}, marks: Record<string, Marking> = {}): ReactNode {
  const made = Object.entries({ b: strong, ...marks }).map(([name, mark]) => [name, (pieces: ReactNode[]) => mark(numbered(pieces))]);
  const said = message(words, true).format({ ...parts, ...(Object.fromEntries(made) as Record<string, string>) }) as ReactNode;
  return Array.isArray(said) ? numbered(said as ReactNode[]) : said;
}

function strong(inner: ReactNode): ReactNode {
  return <strong>{inner}</strong>;
}

/** Pieces stay where they are in their sentence: their place is what they are known by. */
function numbered(pieces: ReactNode[]): ReactNode {
  return pieces.map((piece, place) => <Fragment key={place}>{piece}</Fragment>);
}
