import type { PlanView, Source, Wish } from '../api/client';

/** One line as typed; numbers are read from it only when it is whole. */
export interface TypedLine {
  varietyId: string;
  plants: string;
  leavesFrom: string;
  leavesTo: string;
  container: string;
  target: string;
  seedsPerCell: string;
  containerPath: NonNullable<Wish['containerPath']>;
  /** Plants of a hundred that may be missing. */
  under: string;
  countedIn: NonNullable<Wish['countedIn']>;
  /** Sown in late summer to stand over winter, cold. */
  overWinter: boolean;
}

/** The wish in what was typed, or nothing while something is missing. */
export function wishIn(typed: TypedLine, siteId: string): Wish | undefined {
  const numbers = [typed.varietyId, typed.plants, typed.leavesFrom, typed.leavesTo].map((text) => (text.trim() === '' ? Number.NaN : Number(text)));
  if (numbers.some((number) => !Number.isInteger(number)) || !typed.container || !typed.target) return undefined;
  return {
    varietyId: numbers[0]!,
    plants: numbers[1]!,
    leavesFrom: numbers[2]!,
    leavesTo: numbers[3]!,
    container: typed.container,
    target: typed.target,
    ...(typed.seedsPerCell ? { seedsPerCell: Number(typed.seedsPerCell) } : {}),
    ...(siteId ? { siteId: Number(siteId) } : {}),
    ...(typed.containerPath !== 'STRAIGHT' ? { containerPath: typed.containerPath } : {}),
    ...(typed.under.trim() === '' ? {} : { under: Number(typed.under.replace(',', '.')) / 100 }),
    ...(typed.overWinter ? { overWinter: true } : {}),
    ...(typed.containerPath === 'CLUMPS' ? { countedIn: typed.countedIn } : {}),
  };
}

/** A line that is whole, with what gives it its plants. */
export interface LineToTake {
  key: number;
  typed: TypedLine;
  wish: Wish;
  source: Source | undefined;
  seen: PlanView['promise']['answer'];
  /** How sure it was when it was added. */
  chance: number;
  /** The sow day of a sowing of its own. */
  sowDay: string | undefined;
}

/** A line as the server takes it. */
export function entryOf(line: LineToTake) {
  return { wish: line.wish, ...(line.source ? { fromBatch: line.source.batch } : { seen: line.seen }) };
}
