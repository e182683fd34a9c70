import { useLayoutEffect } from 'react';

/** Does something when a key is pressed anywhere but in an entry. */
export function useKey(key: string, act: () => void) {
  // At once when it is there: a key pressed in that moment is not lost.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest('input, textarea, select');
      if (event.key === key && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
        event.preventDefault();
        act();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key, act]);
}
