import { lazy, Suspense, useEffect, useRef } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { NewPassword } from './account/NewPassword';
import { SignIn } from './account/SignIn';
import { PLAYED, PlayDoor } from './play/PlayDoor';
import { useSession } from './api/queries';
import { outbox } from './bench/useOutbox';
import { Frame } from './shell/Frame';
import { Away, Loading } from './look/States';
import { TodayPage } from './today/TodayPage';
import { standOn } from './words/days';
import { say } from './words/say';
import { speakFromNowOn } from './words/speech';

const HealthPage = lazy(() => import('./batch/HealthPage').then((room) => ({ default: room.HealthPage })));
const FailingPage = lazy(() => import('./batch/FailingPage').then((room) => ({ default: room.FailingPage })));
const BatchPage = lazy(() => import('./batch/BatchPage').then((room) => ({ default: room.BatchPage })));
const TrayPage = lazy(() => import('./batch/TrayPage').then((room) => ({ default: room.TrayPage })));
const WaterPage = lazy(() => import('./today/WaterPage').then((room) => ({ default: room.WaterPage })));
const PottingDayPage = lazy(() => import('./today/PottingDayPage').then((room) => ({ default: room.PottingDayPage })));
const FeedPage = lazy(() => import('./today/FeedPage').then((room) => ({ default: room.FeedPage })));
const LayOutPage = lazy(() => import('./sow/LayOutPage').then((room) => ({ default: room.LayOutPage })));
const SowAlongPage = lazy(() => import('./sow/SowAlongPage').then((room) => ({ default: room.SowAlongPage })));
const SowingListPage = lazy(() => import('./sow/SowingListPage').then((room) => ({ default: room.SowingListPage })));
const FirstRun = lazy(() => import('./account/FirstRun').then((room) => ({ default: room.FirstRun })));

// The round comes with the first load; every other page is fetched when it is opened, and lies on the device after that.
const AccountPage = lazy(() => import('./account/AccountPage').then((room) => ({ default: room.AccountPage })));
const BuyInPage = lazy(() => import('./order/BuyInPage').then((room) => ({ default: room.BuyInPage })));
const BatchesPage = lazy(() => import('./batch/BatchesPage').then((room) => ({ default: room.BatchesPage })));
const CropPage = lazy(() => import('./crop/CropPage').then((room) => ({ default: room.CropPage })));
const BarrowPage = lazy(() => import('./media/BarrowPage').then((room) => ({ default: room.BarrowPage })));
const MixPage = lazy(() => import('./media/MixPage').then((room) => ({ default: room.MixPage })));
const RecipePage = lazy(() => import('./media/RecipePage').then((room) => ({ default: room.RecipePage })));
const NurseryPage = lazy(() => import('./nursery/NurseryPage').then((room) => ({ default: room.NurseryPage })));
const DevicesPage = lazy(() => import('./nursery/DevicesPage').then((room) => ({ default: room.DevicesPage })));
const FoundingPage = lazy(() => import('./nursery/FoundingPage').then((room) => ({ default: room.FoundingPage })));
const SheetPage = lazy(() => import('./nursery/SheetPage').then((room) => ({ default: room.SheetPage })));
const NewOrderPage = lazy(() => import('./order/NewOrderPage').then((room) => ({ default: room.NewOrderPage })));
const OrdersFromFilePage = lazy(() => import('./order/OrdersFromFilePage').then((room) => ({ default: room.OrdersFromFilePage })));
const OwnTablePage = lazy(() => import('./order/OwnTablePage').then((room) => ({ default: room.OwnTablePage })));
const PlayPage = lazy(() => import('./play/PlayPage').then((room) => ({ default: room.PlayPage })));
const OrdersPage = lazy(() => import('./order/OrdersPage').then((room) => ({ default: room.OrdersPage })));
const TraceBackPage = lazy(() => import('./release/TraceBackPage').then((room) => ({ default: room.TraceBackPage })));
const LotTracePage = lazy(() => import('./release/TraceForwardPage').then((room) => ({ default: room.LotTracePage })));
const MixTracePage = lazy(() => import('./release/TraceForwardPage').then((room) => ({ default: room.MixTracePage })));
const OrderPage = lazy(() => import('./release/OrderPage').then((room) => ({ default: room.OrderPage })));
const MyPlantsPage = lazy(() => import('./release/MyPlantsPage').then((room) => ({ default: room.MyPlantsPage })));
const ReschedulePage = lazy(() => import('./board/ReschedulePage').then((room) => ({ default: room.ReschedulePage })));
const BoardPage = lazy(() => import('./board/BoardPage').then((room) => ({ default: room.BoardPage })));
const WallPage = lazy(() => import('./board/WallPage').then((room) => ({ default: room.WallPage })));
const SeedPage = lazy(() => import('./seed/SeedPage').then((room) => ({ default: room.SeedPage })));
const TrayMapPage = lazy(() => import('./batch/TrayMapPage').then((room) => ({ default: room.TrayMapPage })));
const LabelsPage = lazy(() => import('./sow/LabelsPage').then((room) => ({ default: room.LabelsPage })));
const TrialsPage = lazy(() => import('./sow/TrialsPage').then((room) => ({ default: room.TrialsPage })));
const LightPage = lazy(() => import('./space/LightPage').then((room) => ({ default: room.LightPage })));
const GrowersPage = lazy(() => import('./release/GrowersPage').then((room) => ({ default: room.GrowersPage })));
const SeasonAgainPage = lazy(() => import('./learning/SeasonAgainPage').then((room) => ({ default: room.SeasonAgainPage })));
const LessonsPage = lazy(() => import('./learning/LessonsPage').then((room) => ({ default: room.LessonsPage })));
const LookingBackPage = lazy(() => import('./learning/LookingBackPage').then((room) => ({ default: room.LookingBackPage })));
const LoadingPage = lazy(() => import('./release/LoadingPage').then((room) => ({ default: room.LoadingPage })));
const HardeningPage = lazy(() => import('./today/HardeningPage').then((room) => ({ default: room.HardeningPage })));
const WarmthPage = lazy(() => import('./space/WarmthPage').then((room) => ({ default: room.WarmthPage })));
const SpacePage = lazy(() => import('./space/SpacePage').then((room) => ({ default: room.SpacePage })));
const TomorrowPage = lazy(() => import('./today/TomorrowPage').then((room) => ({ default: room.TomorrowPage })));
const WeekPage = lazy(() => import('./today/WeekPage').then((room) => ({ default: room.WeekPage })));
const WeatherPage = lazy(() => import('./weather/WeatherPage').then((room) => ({ default: room.WeatherPage })));
const SitePage = lazy(() => import('./weather/SitePage').then((room) => ({ default: room.SitePage })));

const NEW_PASSWORD = '/new-password/';

/** Which page is shown to whom. What each may see and do is decided by the server. */
export function App() {
  const session = useSession();
  const person = session.data?.person ?? undefined;
  useEffect(() => outbox.open(person), [person]);
  const speech = session.data?.speech;
  const spokenTo = useRef<number>(undefined);
  // Only when somebody signs in: a page that is being worked on is not loaded anew under their hands.
  useEffect(() => {
    // What lies on the device may be from before somebody changed it.
    if (!speech || !session.isFetchedAfterMount || spokenTo.current === person) return;
    spokenTo.current = person;
    if (speakFromNowOn(speech)) window.location.reload();
  }, [person, speech, session.isFetchedAfterMount]);
  if (session.isPending) return <Loading what="Kiver" />;
  if (session.isError && !session.data) return <Away error={session.error} />;
  standOn(session.data.today);
  if (session.data.needsFirstAccount)
    return (
      <Suspense>
        <FirstRun />
      </Suspense>
    );
  if (window.location.pathname.startsWith(NEW_PASSWORD)) return <NewPassword code={window.location.pathname.slice(NEW_PASSWORD.length)} />;
  if (window.location.pathname === PLAYED) return <PlayDoor />;
  if (!session.data.signedIn)
    return <SignIn session={session.data} code={window.location.pathname.startsWith('/g/') ? window.location.pathname.slice(3) : ''} />;
  if (session.data.role === 'GROWER') {
    return (
      <Frame session={session.data}>
        <Suspense fallback={<Loading what={say('the page')} />}>
          <Routes>
            <Route path="/" element={<MyPlantsPage />} />
            <Route path="/account" element={<AccountPage session={session.data} />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
      </Frame>
    );
  }
  const propagator = session.data.role === 'PROPAGATOR';
  return (
    <Frame session={session.data}>
      <Suspense fallback={<Loading what={say('the page')} />}>
        <Routes>
          <Route path="/" element={<TodayPage />} />
          <Route path="/tomorrow" element={<TomorrowPage today={session.data.today} />} />
          <Route path="/week" element={<WeekPage today={session.data.today} mayChange={propagator} />} />
          <Route path="/orders" element={<OrdersPage mayTake={propagator} />} />
          <Route path="/season" element={<BoardPage mayChange={propagator} />} />
          <Route path="/season/wall" element={<WallPage today={session.data.today} />} />
          {propagator && <Route path="/season/reschedule" element={<ReschedulePage />} />}
          <Route path="/trays/:number/layout" element={<LayOutPage today={session.data.today} />} />
          <Route path="/trays/:number/map" element={<TrayMapPage />} />
          <Route path="/labels" element={<LabelsPage />} />
          <Route path="/trials" element={<TrialsPage />} />
          <Route path="/warmth" element={<WarmthPage />} />
          <Route path="/light/:place?" element={<LightPage mayChange={propagator} />} />
          <Route path="/space" element={<SpacePage mayChange={propagator} />} />
          <Route path="/seed" element={<SeedPage />} />
          <Route path="/sow" element={<SowingListPage today={session.data.today} />} />
          <Route path="/water" element={<WaterPage />} />
          <Route path="/potting" element={<PottingDayPage />} />
          {propagator && <Route path="/growers" element={<GrowersPage today={session.data.today} />} />}
          <Route path="/looking-back" element={<LookingBackPage mayPlan={propagator} />} />
          {propagator && <Route path="/season/own-table" element={<OwnTablePage today={session.data.today} />} />}
          {propagator && <Route path="/season/play" element={<PlayPage session={session.data} />} />}
          {propagator && <Route path="/season/again" element={<SeasonAgainPage />} />}
          <Route path="/lessons" element={<LessonsPage mayDecide={propagator} />} />
          <Route path="/loading" element={<LoadingPage today={session.data.today} mayRelease={propagator} />} />
          <Route path="/hardening" element={<HardeningPage />} />
          <Route path="/feed" element={<FeedPage today={session.data.today} />} />
          <Route path="/sow/along" element={<SowAlongPage today={session.data.today} />} />
          <Route path="/mix" element={<MixPage mayChange={propagator} />} />
          <Route path="/mix/barrow" element={<BarrowPage />} />
          {propagator && <Route path="/mix/recipes/:code" element={<RecipePage />} />}
          <Route path="/weather" element={<WeatherPage mayChange={propagator} />} />
          <Route path="/sites/:id" element={<SitePage />} />
          <Route path="/crops/:code" element={<CropPage today={session.data.today} />} />
          {propagator && <Route path="/nursery" element={<NurseryPage />} />}
          {propagator && <Route path="/founding/:step" element={<FoundingPage />} />}
          {propagator && <Route path="/nursery/devices" element={<DevicesPage />} />}
          {propagator && <Route path="/nursery/:name" element={<SheetPage />} />}
          {propagator && <Route path="/orders/from-file" element={<OrdersFromFilePage />} />}
          {propagator && <Route path="/orders/new" element={<NewOrderPage today={session.data.today} />} />}
          <Route path="/orders/:number" element={<OrderPage mayRelease={propagator} />} />
          <Route path="/batches" element={<BatchesPage mayPlan={propagator} />} />
          {propagator && <Route path="/batches/buy" element={<BuyInPage today={session.data.today} />} />}
          <Route path="/batches/:number/health" element={<HealthPage />} />
          <Route path="/batches/:number/failing" element={<FailingPage />} />
          <Route path="/batches/:number" element={<BatchPage today={session.data.today} mayPlan={propagator} />} />
          <Route path="/trace/notes/:number" element={<TraceBackPage />} />
          <Route path="/trace/lots/:id" element={<LotTracePage />} />
          <Route path="/trace/mix" element={<MixTracePage />} />
          <Route path="/account" element={<AccountPage session={session.data} />} />
          <Route path="/trays/:number" element={<TrayPage today={session.data.today} />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </Suspense>
    </Frame>
  );
}
