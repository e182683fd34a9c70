import { useCallback, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/**
 * What is chosen of a page and stays with its address, so that going back, a bookmark and a link shared show the same. What
 * is as usual does not stand in the address.
 */
export function useAddressed<Chosen extends Record<string, string>>(usual: Chosen): [Chosen, (changed: Partial<Chosen>) => void] {
  const [search, setSearch] = useSearchParams();
  // Two choices may be made before the address shows the first.
  const latest = useRef(search);
  // Choices on their way into the address: when the first of several arrives, the later ones still hold.
  const sent = useRef<string[]>([]);
  useEffect(() => {
    const arrived = sent.current.indexOf(search.toString());
    if (arrived >= 0) {
      sent.current = sent.current.slice(arrived + 1);
    } else {
      sent.current = [];
      latest.current = search;
    }
  }, [search]);
  const chosen = Object.fromEntries(Object.entries(usual).map(([name, value]) => [name, search.get(name) ?? value])) as Chosen;
  const choose = useCallback(
    (changed: Partial<Chosen>) => {
      const after = new URLSearchParams(latest.current);
      for (const [name, value] of Object.entries(changed) as [string, string][]) {
        if (value === usual[name]) after.delete(name);
        else after.set(name, value);
      }
      latest.current = after;
      sent.current.push(after.toString());
      setSearch(after, { replace: true });
    },
    [setSearch, usual],
  );
  return [chosen, choose];
}

/** Whether every word of what is looked for stands in a text, whatever the case and the accents. */
export function holds(text: string, lookedFor: string): boolean {
  const plain = (words: string) => words.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
  const all = plain(text);
  return plain(lookedFor)
    .split(' ')
    .filter(Boolean)
    .every((word) => all.includes(word));
}
