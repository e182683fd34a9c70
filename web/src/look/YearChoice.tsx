import { useGrowingYears } from '../api/queries';
import { say } from '../words/say';

/** Chooses a growing year to be read; nothing to see while there is only the one that runs. */
export function YearChoice({ year, choose }: { year: number | undefined; choose: (year: number | undefined) => void }) {
  const years = useGrowingYears();
  if (!years.data || years.data.earlier.length === 0) return null;
  return (
    <label className="flex min-h-11 items-center gap-2">
      {say('growing year')}
      <select
        className="entry w-auto"
        value={year ?? ''}
        onChange={(event) => choose(event.target.value === '' ? undefined : Number(event.target.value))}
      >
        <option value="">{say('{present}, this one', { present: String(years.data.present) })}</option>
        {years.data.earlier.map((earlier) => (
          <option key={earlier} value={earlier}>
            {earlier}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Chooses another growing year to be read beside the one that is read. */
export function YearBeside({
  year,
  beside,
  choose,
}: {
  year: number | undefined;
  beside: number | undefined;
  choose: (year: number | undefined) => void;
}) {
  const years = useGrowingYears();
  if (!years.data || years.data.earlier.length === 0) return null;
  const others = [years.data.present, ...years.data.earlier].filter((each) => each !== (year ?? years.data.present));
  return (
    <label className="flex min-h-11 items-center gap-2">
      {say('beside')}
      <select
        className="entry w-auto"
        value={beside ?? ''}
        onChange={(event) => choose(event.target.value === '' ? undefined : Number(event.target.value))}
      >
        <option value="">{say('no other')}</option>
        {others.map((other) => (
          <option key={other} value={other}>
            {other}
          </option>
        ))}
      </select>
    </label>
  );
}
