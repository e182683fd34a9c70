import { startTransition, useEffect, useRef, useState } from 'react';
import { EMPTY_DRAFT, type CountDraft } from './draft';

/** ms after which the picture that answers a tap has been shown, also on a slow telephone. */
const AFTER_THE_PICTURE = 40;

interface KeptDraft {
  /** As it was drawn last. */
  draft: CountDraft;
  /** With every tap, also those that are drawn in a moment. */
  latest: () => CountDraft;
  change: (draft: CountDraft) => void;
  /** For what shows itself at once; the rest of the page follows when nothing waits for it. */
  changeSoon: (draft: CountDraft) => void;
}

/** A draft that outlives a reload or an empty battery. */
export function useKeptDraft(key: string): KeptDraft {
  const [draft, setDraft] = useState(() => read(key));
  const latest = useRef(draft);
  const soon = useRef<ReturnType<typeof setTimeout>>(undefined);
  const settle = () => {
    clearTimeout(soon.current);
    soon.current = undefined;
  };
  useEffect(() => write(key, draft), [key, draft]);
  useEffect(() => {
    const keep = () => write(key, latest.current);
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('pagehide', keep);
      settle();
      keep();
    };
  }, [key]);
  return {
    draft,
    latest: () => latest.current,
    change: (next) => {
      settle();
      latest.current = next;
      setDraft(next);
    },
    changeSoon: (next) => {
      latest.current = next;
      soon.current ??= setTimeout(() => {
        settle();
        startTransition(() => setDraft(latest.current));
      }, AFTER_THE_PICTURE);
    },
  };
}

function read(key: string): CountDraft {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as CountDraft | null;
    return kept && typeof kept.found === 'object' && Array.isArray(kept.undo) ? kept : EMPTY_DRAFT;
  } catch {
    return EMPTY_DRAFT;
  }
}

function write(key: string, draft: CountDraft) {
  if (Object.keys(draft.found).length === 0) localStorage.removeItem(key);
  else localStorage.setItem(key, JSON.stringify(draft));
}
