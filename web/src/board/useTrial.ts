import { useCallback, useRef, useState } from 'react';
import type { Edit, Refused, TrialView } from '../api/client';
import { answered, api } from '../api/client';

/** What was tried last, and what would come of it. */
export interface Trial {
  edit: Edit;
  view?: TrialView;
  problem?: string;
}

/**
 * Tries changes while they are dragged. One question is under way at a time; of those that come up meanwhile only the
 * newest is asked next, so that what is shown is never older than the hand by more than one answer.
 */
export function useTrial(draft: number | undefined) {
  const [trial, setTrial] = useState<Trial>();
  const asking = useRef(false);
  const next = useRef<Edit>(undefined);
  const ask = useCallback(
    async (edit: Edit) => {
      next.current = edit;
      setTrial((before) => ({ ...(before?.edit.batch === edit.batch ? before : {}), edit }));
      if (asking.current) return;
      asking.current = true;
      while (next.current) {
        const asked: Edit = next.current;
        next.current = undefined;
        try {
          const view = await answered(api.POST('/api/board/trials', { body: { edit: asked, ...(draft ? { draft } : {}) } }));
          setTrial((before) => (before?.edit.batch === asked.batch ? { edit: before.edit, view } : before));
        } catch (error) {
          setTrial((before) => (before ? { edit: before.edit, problem: (error as Refused).message } : before));
        }
      }
      asking.current = false;
    },
    [draft],
  );
  const forget = useCallback(() => {
    next.current = undefined;
    setTrial(undefined);
  }, []);
  return { trial, ask, forget };
}
