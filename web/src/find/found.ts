import type { Found } from '../api/client';

export type Thing = Found['things'][number];

/** The page on which something that was found is opened. */
export function whereTo(thing: Thing): string {
  const key = encodeURIComponent(thing.key);
  switch (thing.kind) {
    case 'TRAY':
      return `/trays/${key}`;
    case 'BATCH':
      return `/batches/${key}`;
    case 'ORDER':
      return `/orders/${key}`;
    case 'NOTE':
      return `/trace/notes/${key}`;
    case 'LOT':
      return `/trace/lots/${key}`;
    case 'MIX':
      return `/trace/mix?of=${key}`;
    case 'VARIETY':
      return `/batches?find=${encodeURIComponent(thing.name)}`;
    case 'CROP':
      return `/crops/${key}`;
    case 'GROWER':
      return `/orders?find=${encodeURIComponent(thing.name)}`;
    case 'SITE':
      return `/sites/${key}`;
    case 'PLACE':
      return `/space?place=${key}`;
    case 'PERSON':
      return '/nursery';
    case 'DAY':
      return `/season/wall?from=${key}`;
  }
}

/**
 * What pressing Enter opens: what was chosen; else the one thing that is exactly what was typed or scanned; else the first.
 */
export function meant(things: Thing[], chosen: number | undefined): Thing | undefined {
  if (chosen !== undefined) return things[chosen];
  return things.find((thing) => thing.exact) ?? things[0];
}
