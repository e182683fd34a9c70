/** A way to choose a spreadsheet; the same file may be chosen again. */
export function ChooseTable({ name, className, chosen }: { name: string; className: string; chosen: (file: File) => void }) {
  return (
    <label className={`${className} cursor-pointer items-center focus-within:outline-3`}>
      {name}
      <input
        type="file"
        className="sr-only"
        accept=".csv,.txt,.xlsx,.ods,text/csv"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) chosen(file);
          event.target.value = '';
        }}
      />
    </label>
  );
}
