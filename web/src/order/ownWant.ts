import type { Want } from '../api/client';
import { typedDistance, typedNumber, typedSpacing } from '../words/quantity';

/** Something one would like to eat or cut, as it is typed. */
export interface TypedWant {
  varietyId: string;
  by: 'PLANTS' | 'BED';
  plants: string;
  length: string;
  breadth: string;
  spacing: string;
  rows: 'SQUARE' | 'OFFSET';
  from: string;
  until: string;
  sowings: string;
  bedFree: string;
}

/** The same as it is asked; nothing while it is not whole. */
export function wantIn(typed: TypedWant): Want | undefined {
  const whole = { varietyId: Number(typed.varietyId), from: typed.from, until: typed.until, sowings: typedNumber(typed.sowings) ?? 0 };
  if (!typed.varietyId || !typed.from || !typed.until || whole.sowings < 1) return undefined;
  const more = typed.bedFree ? { bedFree: typed.bedFree } : {};
  if (typed.by === 'PLANTS') {
    const plants = typedNumber(typed.plants);
    return plants && plants >= 1 ? { ...whole, ...more, plants: Math.round(plants) } : undefined;
  }
  const bed = bedIn(typed);
  return bed && { ...whole, ...more, bed };
}

/** The bed that was paced out; nothing while it is not whole. */
export function bedIn(typed: TypedWant): NonNullable<Want['bed']> | undefined {
  const length = typedDistance(typed.length);
  const breadth = typedDistance(typed.breadth);
  const spacing = typed.spacing ? typedSpacing(typed.spacing) : undefined;
  if (!length || !breadth || (typed.spacing && !spacing)) return undefined;
  return { length, breadth, rows: typed.rows, ...(spacing ? { spacing } : {}) };
}
