import { useEffect, useState } from 'react';

type Hearing = (words: string) => void;

const hearing = new Set<Hearing>();

/** Says aloud, to those who hear a page instead of seeing it, what has come of what they did. */
export function announce(words: string): void {
  hearing.forEach((hear) => {
    hear(words);
  });
}

/** Where announcements are heard; one for the whole application. */
export function Announcements() {
  const [words, setWords] = useState('');
  useEffect(() => {
    hearing.add(setWords);
    return () => {
      hearing.delete(setWords);
    };
  }, []);
  return (
    <p role="status" className="sr-only">
      {words}
    </p>
  );
}

/** Takes the keyboard to the beginning of the page, where what was worked on has gone from it. */
export function backToPage(): void {
  document.getElementById('content')?.focus();
}
