import { useEffect, useRef, useState } from 'react';

/**
 * A field that narrows a list. What is typed is shown at once; the address, which may lag behind quick fingers, follows, and
 * going back brings its words back.
 */
export function FindIn({ name, hint, value, choose }: { name: string; hint: string; value: string; choose: (words: string) => void }) {
  const [typed, setTyped] = useState(value);
  const sent = useRef(value);
  useEffect(() => {
    if (value !== sent.current) {
      sent.current = value;
      setTyped(value);
    }
  }, [value]);
  return (
    <input
      className="entry col-span-2 sm:max-w-xs"
      type="search"
      aria-label={name}
      placeholder={hint}
      value={typed}
      onChange={(event) => {
        sent.current = event.target.value;
        setTyped(event.target.value);
        choose(event.target.value);
      }}
    />
  );
}
