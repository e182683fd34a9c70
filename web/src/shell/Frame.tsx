import { useState, type ReactNode } from 'react';
import { NavLink } from 'react-router';
import type { SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { queryClient } from '../api/queries';
import { DemoClock } from '../demo/DemoClock';
import { OutboxNotice } from '../bench/OutboxNotice';
import { useOutbox } from '../bench/useOutbox';
import { AskSheet } from '../question/AskSheet';
import { Legend } from '../look/Legend';
import { dayWords, longDay } from '../words/days';
import { say } from '../words/say';

const PLACES: { to: string; name: string; role?: SessionView['role'] }[] = [
  { to: '/', name: say('Today') },
  { to: '/season', name: say('Season') },
  { to: '/space', name: say('Space') },
  { to: '/seed', name: say('Seed') },
  { to: '/orders', name: say('Orders') },
  { to: '/batches', name: say('Batches') },
  { to: '/nursery', name: say('Nursery'), role: 'PROPAGATOR' },
];

/** What stands around every page: where one is, what day it is, who is signed in. */
export function Frame({ session, children }: { session: SessionView; children: ReactNode }) {
  const [leaving, setLeaving] = useState<string>();
  const unsent = useOutbox().waiting.length;
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
    queryClient.clear();
    window.location.assign('/');
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#content" className="act sr-only focus:not-sr-only focus:absolute focus:z-40">
        {say('Skip to the page')}
      </a>
      <header className="border-b border-rule bg-board">
        <div className="mx-auto flex max-w-7xl flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1.5 lg:gap-x-4">
          <span className="flex items-center gap-2 font-display text-lg font-bold">
            <img src="/mark.svg" alt="" width="28" height="28" />
            Kiver
          </span>
          {session.role !== 'GROWER' && (
            <nav aria-label={say('Main')} className="-mx-4 flex max-w-[100vw] overflow-x-auto px-2 sm:mx-0 sm:gap-1 sm:px-0">
              {PLACES.filter((place) => !place.role || place.role === session.role).map((place) => (
                <NavLink
                  key={place.to}
                  to={place.to}
                  end={place.to === '/'}
                  className={({ isActive }) =>
                    `flex min-h-11 items-center border-b-3 px-2 font-semibold lg:px-3 ${isActive ? 'border-dusk' : 'border-transparent text-pencil hover:text-ink'}`
                  }
                >
                  {place.name}
                </NavLink>
              ))}
            </nav>
          )}
          <div className="-mr-2 flex flex-wrap items-center text-sm sm:mx-0 sm:ml-auto sm:gap-x-2">
            <span className="hidden text-pencil 2xl:inline">{session.nursery}</span>
            <span className="hidden font-semibold sm:inline" title={longDay(session.today)}>
              {dayWords(session.today)}
            </span>
            {session.role === 'PROPAGATOR' && <AskSheet today={session.today} />}
            {session.demo && session.role === 'PROPAGATOR' && <DemoClock />}
            <Legend />
            <NavLink to="/account" className="trail flex min-h-11 items-center px-2" title={say('Your account')}>
              {session.name?.split(' ')[0]}
            </NavLink>
            <button className="trail min-h-11 px-2" onClick={() => void signOut(false)}>
              {say('Sign out')}
            </button>
          </div>
        </div>
      </header>
      <OutboxNotice />
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
      <main id="content" className="mx-auto w-full max-w-7xl grow px-4 py-5">
        {children}
      </main>
    </div>
  );
}
