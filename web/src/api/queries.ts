import { keepPreviousData, QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type FailingView, type LoadingView, type LookingBackView, Refused } from './client';
import { RequestNumber } from './requestNumber';

export const queryClient = new QueryClient({
  defaultOptions: {
    // Without a connection a fetch fails and says so; waiting for one in silence would look like fetching for ever.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 15_000,
      // What the bench may need again where there is no signal is not let go of within a day.
      gcTime: 24 * 3_600_000,
      retry: (count, error) => navigator.onLine && error instanceof Refused && error.mayPassLater && error.status !== 401 && count < 2,
    },
  },
});

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: () => answered(api.GET('/api/session')),
    staleTime: 60_000,
    // While Kiver or its records are away the page asks again until they are back.
    refetchInterval: (query) => (query.state.status === 'error' ? 4_000 : false),
  });

/** Tray places free today, by place. */
export const useRooms = () => useQuery({ queryKey: ['rooms'], queryFn: () => answered(api.GET('/api/rooms')) });

export const useRound = () => useQuery({ queryKey: ['round'], queryFn: () => answered(api.GET('/api/round')) });

/** When a batch goes into larger pots, into which, and what that takes; asked for when the potting is begun. */
export const usePotting = (batch: number, asked: boolean) =>
  useQuery({
    queryKey: ['potting', batch],
    enabled: asked,
    queryFn: () => answered(api.GET('/api/batches/{number}/potting', { params: { path: { number: batch } } })),
  });

/** Photographs that are kept with a tray. */
export const useKeptPhotographs = (tray: number) =>
  useQuery({
    queryKey: ['photographs', tray],
    queryFn: () => answered(api.GET('/api/trays/{number}/photographs', { params: { path: { number: tray } } })),
  });

/** How a batch fared, day by day. */
export const useHealth = (batch: number) =>
  useQuery({
    queryKey: ['health', batch],
    queryFn: () => answered(api.GET('/api/batches/{number}/health', { params: { path: { number: batch } } })),
  });

/** The coming days of what hardens, carried by so many people. */
export const useGrowerRequests = () => useQuery({ queryKey: ['requests'], queryFn: () => answered(api.GET('/api/requests')) });
export const useGrowerLosses = () => useQuery({ queryKey: ['losses'], queryFn: () => answered(api.GET('/api/losses')) });
export const useFreePlants = () => useQuery({ queryKey: ['free'], queryFn: () => answered(api.GET('/api/free')) });
export const useLookingBack = (by: LookingBackView['together'], year: number | undefined, enabled = true) =>
  useQuery({
    enabled,
    queryKey: ['looking-back', by, year],
    queryFn: () => answered(api.GET('/api/looking-back', { params: { query: { by, ...(year === undefined ? {} : { year }) } } })),
    placeholderData: keepPreviousData,
  });
export const useHonesty = (year: number | undefined) =>
  useQuery({
    queryKey: ['honesty', year],
    queryFn: () => answered(api.GET('/api/looking-back/honesty', { params: { query: year === undefined ? {} : { year } } })),
  });
export const useSeasonAgain = (year: number | undefined) =>
  useQuery({
    queryKey: ['season-again', year],
    queryFn: () => answered(api.GET('/api/season-again', { params: { query: year === undefined ? {} : { year } } })),
  });
export const useLessons = () => useQuery({ queryKey: ['lessons'], queryFn: () => answered(api.GET('/api/lessons')) });
export const useLoading = (until: string, rule: LoadingView['rule'], shares: Record<string, number>) =>
  useQuery({
    queryKey: ['loading', until, rule, shares],
    queryFn: () =>
      answered(
        api.GET('/api/loading', { params: { query: { until, rule, share: Object.entries(shares).map(([line, plants]) => `${line}=${plants}`) } } }),
      ),
    placeholderData: keepPreviousData,
  });
export const useProgrammes = () => useQuery({ queryKey: ['programmes'], queryFn: () => answered(api.GET('/api/hardening/programmes')) });
export const useHardeningDays = (people: number) =>
  useQuery({ queryKey: ['hardening', people], queryFn: () => answered(api.GET('/api/hardening', { params: { query: { people } } })) });

/** A morning's potting with so many hands: of what is due, or of the batches that were chosen. */
export const usePottingDay = (hands: number, batches?: number[]) =>
  useQuery({
    queryKey: ['potting-day', hands, batches],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.GET('/api/potting-day', { params: { query: { hands, batches } } })),
  });

/** Pots and trays in the shed. */
export const useShed = () => useQuery({ queryKey: ['shed'], queryFn: () => answered(api.GET('/api/shed')) });

/** The growing years of which there is anything to be read. */
export const useGrowingYears = () => useQuery({ queryKey: ['growing-years'], queryFn: () => answered(api.GET('/api/growing-years')) });

/** Orders in hand; those that are over only when they are asked for. Or all of another growing year. */
export const useOrders = (withDone = false, year?: number) =>
  useQuery({
    queryKey: ['orders', withDone, year],
    // What was shown of another growing year would not be true of this one.
    placeholderData: (shown, asked) => (asked?.queryKey[2] === year ? shown : undefined),
    queryFn: () => answered(api.GET('/api/orders', { params: { query: { withDone, year } } })),
  });

export const useOrder = (number: number) =>
  useQuery({ queryKey: ['orders', number], queryFn: () => answered(api.GET('/api/orders/{number}', { params: { path: { number } } })) });

/** Batches in hand; those whose plants have all gone only when they are asked for. Or those of another growing year that are put away. */
export const useBatches = (withGone = false, year?: number) =>
  useQuery({
    queryKey: ['batches', withGone, year],
    // What was shown of another growing year would not be true of this one.
    placeholderData: (shown, asked) => (asked?.queryKey[2] === year ? shown : undefined),
    queryFn: () => answered(api.GET('/api/batches', { params: { query: { withGone, year } } })),
  });

/** The ways in which what has not gone of a line can be met. */
export const useRoutes = (number: number, line: number) =>
  useQuery({
    queryKey: ['orders', number, 'routes', line],
    queryFn: () => answered(api.GET('/api/routes/{number}/{line}', { params: { path: { number, line } } })),
  });

export const useBatch = (number: number | undefined) =>
  useQuery({
    queryKey: ['batches', number],
    enabled: number !== undefined,
    queryFn: () => answered(api.GET('/api/batches/{number}', { params: { path: { number: number ?? 0 } } })),
  });

export const useTray = (number: number) =>
  useQuery({ queryKey: ['trays', number], queryFn: () => answered(api.GET('/api/trays/{number}', { params: { path: { number } } })) });

/** Feeds, who is fed when, and what was given. */
export const useFeeding = () => useQuery({ queryKey: ['feeding'], queryFn: () => answered(api.GET('/api/feeding')) });

/** What to look for at each place today. */
export const useLooks = () => useQuery({ queryKey: ['looks'], queryFn: () => answered(api.GET('/api/looks')) });

/** What would have to be moved for a batch to stand in as few trays as it fills. */
export const useClosingUp = (batch: number) =>
  useQuery({
    queryKey: ['batches', batch, 'closing-up'],
    queryFn: () => answered(api.GET('/api/batches/{number}/closing-up', { params: { path: { number: batch } } })),
  });

export const useChoices = () => useQuery({ queryKey: ['choices'], queryFn: () => answered(api.GET('/api/choices')), staleTime: 60_000 });

export const useSeason = (draft: number | undefined) =>
  useQuery({
    queryKey: ['season', draft ?? 0],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.GET('/api/board', { params: { query: draft ? { draft } : {} } })),
  });

export const useSpace = () => useQuery({ queryKey: ['space'], queryFn: () => answered(api.GET('/api/space')) });

export const useSeedNeeds = () => useQuery({ queryKey: ['seed-needs'], queryFn: () => answered(api.GET('/api/seed-needs')) });

export const useWeather = () => useQuery({ queryKey: ['weather'], queryFn: () => answered(api.GET('/api/weather')) });

export const useForecastChanges = () => useQuery({ queryKey: ['forecast-changes'], queryFn: () => answered(api.GET('/api/forecast-changes')) });

export const useSheet = (name: string) =>
  useQuery({ queryKey: ['sheets', name], queryFn: () => answered(api.GET('/api/sheets/{name}', { params: { path: { name } } })) });

/** Fetches all that is shown anew. A first fetch still under way is dropped: it may answer from before the change. */
export async function refresh(client: QueryClient): Promise<void> {
  await client.cancelQueries();
  await client.invalidateQueries();
}

/**
 * A change to plants: afterwards everything that is shown is fetched again. The change is done without waiting for
 * that, so that a slow answer does not hold a sheet open that has served its turn.
 */
export function useChange<Entry, Result>(change: (entry: Entry) => Promise<Result>) {
  const client = useQueryClient();
  return useMutation<Result, Refused, Entry>({
    mutationFn: change,
    onSuccess: () => {
      void refresh(client);
    },
  });
}

/** A number that a request keeps through all its retries. */
export const newRequestId = (): string => crypto.randomUUID();

/**
 * A change that carries a request's number: the same as long as its entries are the same and no answer has come, so that
 * sending it again after a lost answer counts once, and another as soon as anything in it is changed.
 */
export function useNumberedChange<Entry, Result>(change: (entry: Entry, requestId: string) => Promise<Result>) {
  const [number] = useState(() => new RequestNumber());
  return useChange<Entry, Result>(async (entry) => {
    const result = await change(entry, number.of(entry));
    number.done();
    return result;
  });
}

/** Recipes, ingredients and what one mixes with. */
export const useMedia = () => useQuery({ queryKey: ['media'], queryFn: () => answered(api.GET('/api/media')) });

/** Mixes that are made, and ingredients in the store. */
export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: () => answered(api.GET('/api/stock')) });

/** Mix that the plan needs, and what must be bought for it. */
export const useMixNeeds = () => useQuery({ queryKey: ['mix-needs'], queryFn: () => answered(api.GET('/api/mix-needs')) });

/** What may lie behind a sign seen on a batch. */
export const useFailing = (number: number, sign: FailingView['sign']) =>
  useQuery({
    queryKey: ['batches', number, 'failing', sign],
    queryFn: () => answered(api.GET('/api/batches/{number}/failing', { params: { path: { number }, query: { sign } } })),
  });

/** What the water in each tray is, and which want some. */
export const useWater = () => useQuery({ queryKey: ['water'], queryFn: () => answered(api.GET('/api/water')) });

/** Where in the store things are kept, in walking order. */
export const useStoreSpots = () => useQuery({ queryKey: ['store-spots'], queryFn: () => answered(api.GET('/api/store/spots')) });

/** What is to be sown on a day; today where none is said. */
export const useSowingList = (day?: string) =>
  useQuery({ queryKey: ['sowing-list', day], queryFn: () => answered(api.GET('/api/sowing-list', { params: { query: day ? { day } : {} } })) });
