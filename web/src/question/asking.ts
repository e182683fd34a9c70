import type { Answered, OfferView, Wish } from '../api/client';

/** What was asked before, for a question that only changes something. */
export interface Before {
  wishes: Wish[];
  words: string[];
}

/** A line for which something was chosen. */
export interface Settled {
  line: number;
  wish: Wish;
}

/** What was understood, with what an offer changes. */
export function changedBy(wish: Wish, offer: OfferView): Wish {
  const { protection: asked, ...rest } = wish;
  const cover = offer.protection ?? (offer.change === 'SITE' ? undefined : asked);
  return {
    ...rest,
    target: offer.target,
    plants: offer.plants,
    container: offer.container,
    ...(offer.change === 'CONTAINER' ? { containerPath: null } : {}),
    ...(offer.siteId != null ? { siteId: offer.siteId } : {}),
    ...(cover ? { protection: cover } : {}),
  };
}

/** The lines settled by choosing, with one more. */
export function settledWith(settled: Settled[], line: number, wish: Wish): Settled[] {
  return [...settled.filter((each) => each.line !== line), { line, wish }];
}

/** What may be changed by asking on: all lines, once each is understood. */
export function wishesOf(answer: Answered | undefined): Wish[] | undefined {
  const wishes = answer?.lines.flatMap((line) => (line.reading ? [line.reading.wish] : []));
  return wishes && wishes.length > 0 && wishes.length === answer?.lines.length ? wishes : undefined;
}

/** The text in pieces, those that meant nothing marked. */
export function marked(text: string, marks: Answered['notUnderstood']): { words: string; lost: boolean }[] {
  const pieces: { words: string; lost: boolean }[] = [];
  let place = 0;
  for (const mark of marks) {
    if (mark.from > place) pieces.push({ words: text.slice(place, mark.from), lost: false });
    pieces.push({ words: text.slice(mark.from, mark.to), lost: true });
    place = mark.to;
  }
  if (place < text.length) pieces.push({ words: text.slice(place), lost: false });
  return pieces;
}
