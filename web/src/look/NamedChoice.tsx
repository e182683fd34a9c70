/** One of a few ways, with what it decides written before it on every device. */
export function NamedChoice({
  name,
  value,
  choices,
  choose,
}: {
  name: string;
  value: string;
  choices: [string, string][];
  choose: (value: string) => void;
}) {
  return (
    <label className="flex flex-wrap items-center gap-2">
      {name}
      <select className="entry w-auto" value={value} onChange={(event) => choose(event.target.value)}>
        {choices.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
