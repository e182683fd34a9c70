/** One of a few ways, chosen from a list that says what it decides. */
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
  return (
    <label className="flex min-h-11 items-center gap-2">
      <span className="sr-only sm:not-sr-only">{name}</span>
      <select className="entry w-full sm:w-auto" value={value} onChange={(event) => choose(event.target.value)}>
        {choices.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
