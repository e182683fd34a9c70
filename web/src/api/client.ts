import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { say } from '../words/say';
import { occasion } from './occasion';

type Schemas = components['schemas'];
export type BatchSummary = Schemas['BatchSummary'];
export type BatchView = Schemas['BatchView'];
export type Balance = Schemas['Balance'];
export type Choices = Schemas['Choices'];
export type DateSpread = Schemas['DateSpread'];
export type OrderView = Schemas['OrderView'];
export type LineView = Schemas['LineView'];
export type RouteView = Schemas['RouteView'];
export type RoutesView = Schemas['RoutesView'];
export type OrderChange = Schemas['OrderChange'];
export type OrderEdit = Schemas['OrderEdit'];
export type Consequences = Schemas['Consequences'];
export type PromiseView = Schemas['PromiseView'];
export type Source = Schemas['Source'];
export type OrderWithPicks = Schemas['OrderWithPicks'];
export type PlanView = Schemas['PlanView'];
export type RoundView = Schemas['RoundView'];
export type StopView = Schemas['StopView'];
export type WaterView = Schemas['WaterView'];
export type FailingView = Schemas['FailingView'];
export type LooksView = Schemas['LooksView'];
export type LookView = Schemas['LookView'];
export type PracticeTrial = Schemas['PracticeTrial'];
export type PlaceWarning = Schemas['PlaceWarningView'];
export type PlaceWarmth = Schemas['PlaceWarmth'];
export type WarmthView = Schemas['WarmthView'];
export type LightOfPlace = Schemas['LightOfPlace'];
export type LightMadeBy = Schemas['LightMadeBy'];
export type SessionView = Schemas['SessionView'];
export type TrayView = Schemas['TrayView'];
export type CellView = Schemas['CellView'];
export type Wish = Schemas['Wish'];
export type Answered = Schemas['Answered'];
export type AskedLine = Schemas['AskedLine'];
export type OfferView = Schemas['OfferView'];
export type Obstacle = Schemas['Obstacle'];
export type Proviso = Schemas['Proviso'];
export type WhyNow = Schemas['WhyNow'];
export type PathView = Schemas['PathView'];
export type BoardView = Schemas['BoardView'];
export type BoardBatch = Schemas['BoardBatch'];
export type TrialView = Schemas['TrialView'];
export type Edit = Schemas['PlanEdit'];
export type Remedy = Schemas['Remedy'];
export type SpaceHelp = Schemas['SpaceHelp'];
export type Hindrance = Schemas['Hindrance'];
export type PotRemark = Schemas['PotRemark'];
export type PottingView = Schemas['PottingView'];
export type SeenOnPhotograph = Schemas['SeenOnPhotograph'];
export type PestAtSite = Schemas['PestAtSite'];
export type PlantingAdvice = Schemas['LinePicks']['advice'][number];
export type GrowerRequest = Schemas['GrowerRequestRow'];
export type GrowerLoss = Schemas['GrowerLossRow'];
export type FreePlants = Schemas['FreePlants'];
export type LookingBackView = Schemas['LookingBackView'];
export type LessonsView = Schemas['LessonsView'];
export type SeasonAgain = Schemas['SeasonAgain'];
export type PackagePreview = Schemas['PackagePreview'];
export type HealthEntries = Schemas['HealthEntries'];
export type HonestyView = Schemas['Honesty'];
export type LoadingView = Schemas['LoadingView'];
export type ProgrammeView = Schemas['ProgrammeView'];
export type HardeningDaysView = Schemas['HardeningDaysView'];
export type HealthView = Schemas['HealthView'];
export type PotView = Schemas['PotView'];
export type PottingDayView = Schemas['PottingDayView'];
export type InShedView = Schemas['InShedView'];
export type NameDoubt = Choices['nameDoubts'][number];
export type Cause = Schemas['MovedGroup']['cause'];
export type DraftView = Schemas['DraftView'];
export type SpaceView = Schemas['SpaceView'];
export type PlayView = Schemas['PlayView'];
export type SpreadView = Schemas['SpreadView'];
export type RoomRisk = Schemas['RoomRisk'];
export type InYearView = Schemas['InYearView'];
export type PastYear = Schemas['PastYearView'];
export type AssignmentView = Schemas['AssignmentView'];
export type SeedNeedsView = Schemas['SeedNeedsView'];
export type WeatherView = Schemas['WeatherView'];
export type DeviceView = Schemas['DeviceView'];
export type ForecastEntry = Schemas['ForecastEntry'];
export type ClimateView = Schemas['ClimateView'];
export type ClimateEntry = Schemas['ClimateEntry'];
export type PlacePattern = Schemas['PatternView'];
export type Founding = Schemas['FoundingView'];
export type PersonView = Schemas['PersonView'];
export type ResetView = Schemas['ResetView'];
export type SheetReading = Schemas['SheetReading'];
export type RowChange = Schemas['RowChange'];
export type CopyView = Schemas['CopyView'];
export type OrderFileReading = Schemas['OrderFileReading'];
export type OwnSeason = Schemas['OwnSeason'];
export type Want = Schemas['Want'];
export type PacketTaken = Schemas['PacketTaken'];
export type PacketEntry = Schemas['PacketEntry'];
export type LibraryView = Schemas['LibraryView'];
export type FileReport = Schemas['FileReport'];
export type SiteView = Schemas['SiteView'];
export type CropView = Schemas['CropView'];
export type SheetView = Schemas['SheetView'];
export type BatchChoices = Schemas['BatchChoices'];
export type Work = Schemas['Work'];
export type Found = Schemas['Found'];
export type DayOfWork = Schemas['DayView'];
export type TaskOfDay = Schemas['TaskOfDay'];
export type OfNote = Schemas['OfNote'];
export type Forward = Schemas['Forward'];
export type MediaView = Schemas['MediaView'];
export type RecipeView = Schemas['RecipeView'];
export type StockView = Schemas['StockView'];
export type MixLotView = Schemas['MixLotView'];
export type MixNeedsView = Schemas['MixNeedsView'];
export type BarrowSheetView = Schemas['BarrowSheetView'];
export type SowingListView = Schemas['SowingListView'];
export type FeedingView = Schemas['FeedingView'];
export type TrayCompany = Schemas['TrayCompany'];
export type PacketBeside = Schemas['PacketBeside'];
export type MakeOrBuy = Schemas['MakeOrBuy'];
export type Stage = BatchSummary['stage'];
export type Verdict = BatchSummary['verdict'];
export type Urgency = Schemas['TaskView']['urgency'];
export type TaskKind = Schemas['TaskView']['kind'];
/** Codes that have a name in words. */
export type Named = Stage | Standing | PathView['kind'] | Choices['lossReasons'][number] | School;
/** Codes of the schools of hardening; other programmes have the name that the nursery gave them. */
export type School = 'NONE' | 'DAY_OR_TWO' | 'BY_DAY' | 'STEP_BY_STEP';
type Standing = LineView['standing'];

/** What is wrong with one entry. */
export interface FieldProblem {
  field: string;
  message: string;
}

/** The server refused, or could not be reached. */
export class Refused extends Error {
  readonly status: number;
  readonly problems: FieldProblem[];

  constructor(status: number, message: string, problems: FieldProblem[]) {
    super(message);
    this.status = status;
    this.problems = problems;
  }

  /** Whether the same request may go through later: nothing was wrong with it. */
  get mayPassLater(): boolean {
    return this.status === 0 || this.status >= 500 || this.status === 401 || this.status === 403;
  }

  problemAt(field: string): string | undefined {
    return this.problems.find((problem) => problem.field === field || problem.field.endsWith(`.${field}`))?.message;
  }
}

export function xsrfToken(): string {
  const entry = document.cookie.split('; ').find((cookie) => cookie.startsWith('XSRF-TOKEN='));
  return entry ? decodeURIComponent(entry.slice('XSRF-TOKEN='.length)) : '';
}

/** The present fetch is looked up at each call, so that a test can put its own in its place. */
export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: (request) => globalThis.fetch(request) });
api.use({
  onRequest({ request }) {
    request.headers.set('X-XSRF-TOKEN', xsrfToken());
    if (request.method !== 'GET') Object.entries(occasion()).forEach(([name, value]) => request.headers.set(name, value));
    return request;
  },
});

/** Turns an answer into its data, or throws {@link Refused}. */
export async function answered<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let answer;
  try {
    answer = await call;
  } catch {
    throw new Refused(0, say('Kiver cannot be reached from here just now. What you typed is still here; nothing of it was sent.'), []);
  }
  if (!answer.response.ok) {
    throw refusal(answer.response.status, answer.error);
  }
  return answer.data as T;
}

/** Sends a file as it is; the answer's types are the caller's to name, since a generated client sends no bytes. */
export async function sendFile<T>(path: string, file: File): Promise<T> {
  return answered<T>(
    fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/octet-stream', 'X-XSRF-TOKEN': xsrfToken() }, body: file }).then(
      async (response) => {
        const body: unknown = await response.json().catch(() => undefined);
        return response.ok ? { data: body as T, response } : { error: body, response };
      },
    ),
  );
}

export function refusal(status: number, body: unknown): Refused {
  const detail = (body ?? {}) as { detail?: string; errors?: FieldProblem[] };
  const message =
    detail.detail ??
    (status === 401
      ? say('You are no longer signed in. Sign in again; what you typed is still here.')
      : status === 403
        ? say('This is not yours to do or see. Ask the propagator.')
        : say('Something went wrong on the server; nothing was saved. Try again.'));
  return new Refused(status, message, detail.errors ?? []);
}
