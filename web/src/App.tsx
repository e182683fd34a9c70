import { useEffect, useRef } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { AccountPage } from './account/AccountPage';
import { FirstRun } from './account/FirstRun';
import { SignIn } from './account/SignIn';
import { useSession } from './api/queries';
import { outbox } from './bench/useOutbox';
import { BuyInPage } from './order/BuyInPage';
import { BatchPage } from './batch/BatchPage';
import { BatchesPage } from './batch/BatchesPage';
import { CropPage } from './crop/CropPage';
import { Frame } from './shell/Frame';
import { Away, Loading } from './look/States';
import { BarrowPage } from './media/BarrowPage';
import { MixPage } from './media/MixPage';
import { RecipePage } from './media/RecipePage';
import { NurseryPage } from './nursery/NurseryPage';
import { SheetPage } from './nursery/SheetPage';
import { NewOrderPage } from './order/NewOrderPage';
import { OrdersPage } from './order/OrdersPage';
import { TraceBackPage } from './release/TraceBackPage';
import { LotTracePage, MixTracePage } from './release/TraceForwardPage';
import { OrderPage } from './release/OrderPage';
import { MyPlantsPage } from './release/MyPlantsPage';
import { ReschedulePage } from './board/ReschedulePage';
import { BoardPage } from './board/BoardPage';
import { WallPage } from './board/WallPage';
import { SeedPage } from './seed/SeedPage';
import { SowAlongPage } from './sow/SowAlongPage';
import { SowingListPage } from './sow/SowingListPage';
import { SpacePage } from './space/SpacePage';
import { TodayPage } from './today/TodayPage';
import { TomorrowPage } from './today/TomorrowPage';
import { WeekPage } from './today/WeekPage';
import { TrayPage } from './batch/TrayPage';
import { WeatherPage } from './weather/WeatherPage';
import { SitePage } from './weather/SitePage';
import { speakFromNowOn } from './words/speech';

/** Which page is shown to whom. What each may see and do is decided by the server. */
export function App() {
  const session = useSession();
  const person = session.data?.person ?? undefined;
  useEffect(() => outbox.open(person), [person]);
  const speech = session.data?.speech;
  const spokenTo = useRef<number>(undefined);
  // Only when somebody signs in: a page that is being worked on is not loaded anew under their hands.
  useEffect(() => {
    if (!speech || spokenTo.current === person) return;
    spokenTo.current = person;
    if (speakFromNowOn(speech)) window.location.reload();
  }, [person, speech]);
  if (session.isPending) return <Loading what="Kiver" />;
  if (session.isError && !session.data) return <Away error={session.error} />;
  if (session.data.needsFirstAccount) return <FirstRun />;
  if (!session.data.signedIn) return <SignIn session={session.data} />;
  if (session.data.role === 'GROWER') {
    return (
      <Frame session={session.data}>
        <Routes>
          <Route path="/" element={<MyPlantsPage />} />
          <Route path="/account" element={<AccountPage session={session.data} />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </Frame>
    );
  }
  const propagator = session.data.role === 'PROPAGATOR';
  return (
    <Frame session={session.data}>
      <Routes>
        <Route path="/" element={<TodayPage />} />
        <Route path="/tomorrow" element={<TomorrowPage today={session.data.today} />} />
        <Route path="/week" element={<WeekPage today={session.data.today} mayChange={propagator} />} />
        <Route path="/orders" element={<OrdersPage mayTake={propagator} />} />
        <Route path="/season" element={<BoardPage mayChange={propagator} />} />
        <Route path="/season/wall" element={<WallPage today={session.data.today} />} />
        {propagator && <Route path="/season/reschedule" element={<ReschedulePage />} />}
        <Route path="/space" element={<SpacePage mayChange={propagator} />} />
        <Route path="/seed" element={<SeedPage />} />
        <Route path="/sow" element={<SowingListPage today={session.data.today} />} />
        <Route path="/sow/along" element={<SowAlongPage today={session.data.today} />} />
        <Route path="/mix" element={<MixPage mayChange={propagator} />} />
        <Route path="/mix/barrow" element={<BarrowPage />} />
        {propagator && <Route path="/mix/recipes/:code" element={<RecipePage />} />}
        <Route path="/weather" element={<WeatherPage mayChange={propagator} />} />
        <Route path="/sites/:id" element={<SitePage />} />
        <Route path="/crops/:code" element={<CropPage today={session.data.today} />} />
        {propagator && <Route path="/nursery" element={<NurseryPage />} />}
        {propagator && <Route path="/nursery/:name" element={<SheetPage />} />}
        {propagator && <Route path="/orders/new" element={<NewOrderPage today={session.data.today} />} />}
        <Route path="/orders/:number" element={<OrderPage mayRelease={propagator} />} />
        <Route path="/batches" element={<BatchesPage mayPlan={propagator} />} />
        {propagator && <Route path="/batches/buy" element={<BuyInPage today={session.data.today} />} />}
        <Route path="/batches/:number" element={<BatchPage today={session.data.today} mayPlan={propagator} />} />
        <Route path="/trace/notes/:number" element={<TraceBackPage />} />
        <Route path="/trace/lots/:id" element={<LotTracePage />} />
        <Route path="/trace/mix" element={<MixTracePage />} />
        <Route path="/account" element={<AccountPage session={session.data} />} />
        <Route path="/trays/:number" element={<TrayPage today={session.data.today} />} />
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
    </Frame>
  );
}
