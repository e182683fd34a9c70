import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { RoundView } from '../api/client';
import { answered, api } from '../api/client';

/** What is fetched so lately needs not be fetched for the pocket. */
const FRESH = 10 * 60_000;

const SETTLED = 3_000;

/** Fetches what the day's round will open, one after the other, so that it is on the device before one walks out. */
export function TakeAlong({ round }: { round: RoundView }) {
  const client = useQueryClient();
  useEffect(() => {
    if (!('matchMedia' in window) || !window.matchMedia('(pointer: coarse)').matches) return;
    let left = false;
    const fetchAll = async () => {
      const fetch = async (queryKey: unknown[], queryFn: () => Promise<unknown>) => {
        if (!left) await client.prefetchQuery({ queryKey, queryFn, staleTime: FRESH });
      };
      await fetch(['choices'], () => answered(api.GET('/api/choices')));
      await fetch(['looks'], () => answered(api.GET('/api/looks')));
      await fetch(['feeding'], () => answered(api.GET('/api/feeding')));
      await fetch(['water'], () => answered(api.GET('/api/water')));
      await fetch(['stock'], () => answered(api.GET('/api/stock')));
      await fetch(['sowing-list', round.today], () => answered(api.GET('/api/sowing-list', { params: { query: { day: round.today } } })));
      for (const work of round.stops.flatMap((stop) => stop.work)) {
        const { number, trays } = work.batch;
        await fetch(['batches', number], () => answered(api.GET('/api/batches/{number}', { params: { path: { number } } })));
        for (const tray of trays) {
          await fetch(['trays', tray], () => answered(api.GET('/api/trays/{number}', { params: { path: { number: tray } } })));
        }
      }
    };
    // What one looks at comes first; who is on the way elsewhere fetches nothing for the pocket.
    const timer = setTimeout(() => void fetchAll(), SETTLED);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [client, round]);
  return null;
}
