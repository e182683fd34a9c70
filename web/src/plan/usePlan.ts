import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { PlanView, Refused, Wish } from '../api/client';
import { answered, api } from '../api/client';

const TYPING_PAUSE = 200;

/** The plan for a wish, worked out a moment after the last key was pressed; until then it is of an earlier one. */
export function usePlan(wish: Wish | undefined) {
  const [settled, setSettled] = useState(wish);
  const key = JSON.stringify(wish);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(key ? (JSON.parse(key) as Wish) : undefined), TYPING_PAUSE);
    return () => clearTimeout(timer);
  }, [key]);
  const plan = useQuery<PlanView, Refused>({
    queryKey: ['plan', settled],
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () => answered(api.POST('/api/plans', { body: settled! })),
  });
  return { ...plan, isOfThis: key === JSON.stringify(settled) && !plan.isPlaceholderData };
}
