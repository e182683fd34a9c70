import { lazy, useState, type ReactNode } from 'react';
import { NavLink, useLocation } from 'react-router';
import type { SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { queryClient } from '../api/queries';
import { forgetKept } from '../bench/keptQueries';
import { OfflineStrip } from '../bench/OfflineStrip';
import { OutboxNotice } from '../bench/OutboxNotice';
import { useOutbox } from '../bench/useOutbox';
import { helpAt } from '../help/pages';
import { Announcements } from '../look/announce';
import { Boundary, Dispensable } from '../look/Boundary';
import { WithoutConnection } from '../look/States';
import { dayWords, longDay } from '../words/days';
import { useArrival } from './useArrival';
import { say } from '../words/say';

// What opens over a page is fetched after it: the bench is not kept waiting for the telephone.
const AskSheet = lazy(() => import('../question/AskSheet').then((room) => ({ default: room.AskSheet })));
const FindSheet = lazy(() => import('../find/FindSheet').then((room) => ({ default: room.FindSheet })));
const PageHelpSheet = lazy(() => import('../help/PageHelpSheet').then((room) => ({ default: room.PageHelpSheet })));
const FirstWalk = lazy(() => import('../help/FirstWalk').then((room) => ({ default: room.FirstWalk })));
const Legend = lazy(() => import('../look/Legend').then((room) => ({ default: room.Legend })));
const LetDaysPass = lazy(() => import('../play/LetDaysPass').then((room) => ({ default: room.LetDaysPass })));

const PLACES: { to: string; name: string; role?: SessionView['role'] }[] = [
  { to: '/', name: say('Today') },
  { to: '/season', name: say('Season') },
  { to: '/space', name: say('Space') },
  { to: '/seed', name: say('Seed') },
  { to: '/orders', name: say('Orders') },
  { to: '/batches', name: say('Batches') },
  { to: '/nursery', name: say('Nursery'), role: 'PROPAGATOR' },
];

/** The ways to every page: along the top at a desk, within reach of the thumb on a telephone. */
function Places({ role, look }: { role: SessionView['role']; look: string }) {
  return (
    <nav aria-label={say('Main')} className={look}>
      {PLACES.filter((place) => !place.role || place.role === role).map((place) => (
        <NavLink
          key={place.to}
          to={place.to}
          end={place.to === '/'}
          className={({ isActive }) =>
            `flex min-h-12 items-center border-t-3 px-1 font-semibold sm:min-h-11 sm:border-t-0 sm:border-b-3 sm:px-2 2xl:px-3 ${isActive ? 'border-dusk' : 'border-transparent text-pencil hover:text-ink'}`
          }
        >
          {place.name}
        </NavLink>
      ))}
    </nav>
  );
}

/** What stands around every page: where one is, what day it is, who is signed in. */
export function Frame({ session, children }: { session: SessionView; children: ReactNode }) {
  const [leaving, setLeaving] = useState<string>();
  const [more, setMore] = useState(false);
  const { pathname } = useLocation();
  useArrival();
  const unsent = useOutbox().waiting.length;
  const played = session.playedYear ?? undefined;
  const signOut = async (sure: boolean) => {
    if (unsent > 0 && !sure) {
      setLeaving(
        say(
          '{entries, plural, one {# entry} other {# entries}} of yours could not be sent yet. They stay on this device and are sent when you sign in here again.',
          { entries: unsent },
        ),
      );
      return;
    }
    try {
      await answered(api.DELETE('/api/session'));
    } catch {
      setLeaving(say('Without a connection nobody can be signed out. Try again once there is one.'));
      return;
    }
    await forgetKept();
    queryClient.clear();
    window.location.assign('/');
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#content" className="act sr-only focus:not-sr-only focus:absolute focus:z-40">
        {say('Skip to the page')}
      </a>
      <header className="relative border-b border-rule bg-board">
        <div className="mx-auto flex max-w-7xl items-center gap-x-2 px-4 py-1 sm:flex-wrap sm:gap-y-1 sm:py-1.5 lg:gap-x-3">
          <span className="flex items-center gap-2 font-display text-lg font-bold">
            <img src="/mark.svg" alt="" width="28" height="28" />
            <span className={session.role === 'GROWER' ? '' : 'sr-only sm:not-sr-only'}>Kiver</span>
          </span>
          {session.role !== 'GROWER' && <Places role={session.role} look="hidden sm:flex sm:gap-1" />}
          <span className="ml-auto hidden text-sm text-pencil 2xl:inline">{session.nursery}</span>
          <span
            className={`ml-auto text-sm font-semibold whitespace-nowrap 2xl:ml-0 ${session.role === 'PROPAGATOR' ? 'max-[359px]:hidden' : ''}`}
            title={longDay(session.today)}
          >
            {dayWords(session.today)}
          </span>
          <Dispensable>
            {session.role !== 'GROWER' && <FindSheet />}
            {session.role === 'PROPAGATOR' && <AskSheet today={session.today} />}
          </Dispensable>
          <button type="button" className="act min-h-11 px-2 sm:hidden" aria-expanded={more} aria-controls="more" onClick={() => setMore(!more)}>
            {say('More')}
          </button>
          <div
            id="more"
            className={`${more ? 'flex' : 'hidden'} absolute top-full right-0 z-20 flex-col items-stretch border border-rule bg-board p-2 text-sm shadow-xl sm:static sm:flex sm:flex-row sm:flex-wrap sm:items-center sm:gap-x-2 sm:border-0 sm:p-0 sm:shadow-none [&_button]:text-left`}
          >
            <Dispensable>
              {(session.demo || played !== undefined) && session.role === 'PROPAGATOR' && <LetDaysPass playedYear={played} />}
              <PageHelpSheet role={session.role} />
              <Legend />
            </Dispensable>
            <NavLink to="/account" className="trail flex min-h-11 items-center px-2" title={say('Your account')} onClick={() => setMore(false)}>
              {session.name?.split(' ')[0]}
            </NavLink>
            <button className="trail min-h-11 px-2 text-left" onClick={() => void signOut(false)}>
              {say('Sign out')}
            </button>
          </div>
        </div>
      </header>
      {played !== undefined && (
        <p className="no-print bg-ochre-wash px-4 py-2 text-center text-sm text-ochre" role="note">
          <strong>{say('A copy, played in the weather of {year}.', { year: String(played) })}</strong>{' '}
          {say('Nothing that happens here is kept. Days pass when you let them; end the play in the nursery.')}
        </p>
      )}
      <Announcements />
      <OfflineStrip />
      <OutboxNotice />
      <Dispensable>
        <FirstWalk session={session} />
      </Dispensable>
      {leaving && (
        <p role="alert" className="mx-auto mt-3 w-full max-w-7xl border-l-4 border-ochre bg-ochre-wash p-3 text-ochre">
          {leaving}{' '}
          {unsent > 0 && (
            <button className="min-h-11 px-2 underline" onClick={() => void signOut(true)}>
              {say('Sign out all the same')}
            </button>
          )}
          <button className="min-h-11 px-2 underline" onClick={() => setLeaving(undefined)}>
            {say('Stay signed in')}
          </button>
        </p>
      )}
      <main id="content" tabIndex={-1} className="mx-auto w-full max-w-7xl grow px-4 py-3 outline-none sm:py-5">
        <WithoutConnection value={helpAt(pathname, session.role)?.offline}>
          <Boundary key={pathname} at={pathname}>
            {children}
          </Boundary>
        </WithoutConnection>
      </main>
      {session.role !== 'GROWER' && (
        <Places
          role={session.role}
          look="no-print sticky bottom-0 z-10 flex justify-between overflow-x-auto border-t border-rule bg-board px-1 text-xs sm:hidden"
        />
      )}
    </div>
  );
}
