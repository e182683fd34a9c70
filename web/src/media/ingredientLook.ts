/** Grounds by which the ingredients of a recipe are told apart, in the order in which they go in; each has its name beside it. */
const GROUNDS = [
  'fill-dusk/70',
  'fill-ochre/70',
  'fill-brick/45',
  'fill-dusk/35',
  'fill-ochre/35',
  'fill-pencil/60',
  'fill-brick/25',
  'fill-pencil/30',
];

export const groundOf = (place: number): string => GROUNDS[place % GROUNDS.length]!;
