/** A path that begins and ends so many cells apart is led around something. */
const CLOSED_WITHIN = 1;
const SHORTEST = 8;

/**
 * The cells that a sweep was led around, without those that it crossed, rising; none where it does not come back to where
 * it began.
 *
 * @param swept numbers of the cells crossed, in order; cells are counted from 1 as a page is read
 */
export function encircled(swept: readonly number[], rows: number, columns: number): number[] {
  const first = swept[0];
  const last = swept.at(-1);
  if (first === undefined || last === undefined || swept.length < SHORTEST) return [];
  const row = (cell: number) => Math.floor((cell - 1) / columns);
  const column = (cell: number) => (cell - 1) % columns;
  if (Math.abs(row(first) - row(last)) > CLOSED_WITHIN || Math.abs(column(first) - column(last)) > CLOSED_WITHIN) return [];
  const crossed = new Set(swept);
  // What can be reached from the rim without crossing the path lies outside; a path may turn corners, but is not passed at them.
  const outside = new Set<number>();
  const reached: number[] = [];
  const reach = (cell: number) => {
    if (crossed.has(cell) || outside.has(cell)) return;
    outside.add(cell);
    reached.push(cell);
  };
  for (let cell = 1; cell <= rows * columns; cell++) {
    if (row(cell) === 0 || row(cell) === rows - 1 || column(cell) === 0 || column(cell) === columns - 1) reach(cell);
  }
  for (let cell = reached.pop(); cell !== undefined; cell = reached.pop()) {
    if (row(cell) > 0) reach(cell - columns);
    if (row(cell) < rows - 1) reach(cell + columns);
    if (column(cell) > 0) reach(cell - 1);
    if (column(cell) < columns - 1) reach(cell + 1);
  }
  return Array.from({ length: rows * columns }, (_, index) => index + 1).filter((cell) => !crossed.has(cell) && !outside.has(cell));
}
