import { useId } from 'react';

/** One of a few ways, chosen from a list that says what it decides. The label holds its own words only, not the list. */
export function Choice({
  name,
  value,
  choices,
  choose,
}: {
  name: string;
  value: string;
  choices: [value: string, words: string][];
  choose: (value: string) => void;
}) {
  const list = useId();
  return (
    <span className="flex min-h-11 items-center gap-2">
      <label className="sr-only sm:not-sr-only" htmlFor={list}>
        {name}
      </label>
      <select id={list} className="entry w-full sm:w-auto" value={value} onChange={(event) => choose(event.target.value)}>
        {choices.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </span>
  );
}
