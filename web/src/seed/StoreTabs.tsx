import { NavLink } from 'react-router';
import { say } from '../words/say';

const SHELVES = [
  { to: '/seed', name: say('Seed') },
  { to: '/mix', name: say('Mix') },
];

/** What is in the store: seed, and mix with its ingredients. */
export function StoreTabs() {
  return (
    <nav aria-label={say('In the store')} className="no-print mb-1 flex gap-1">
      {SHELVES.map((shelf) => (
        <NavLink
          key={shelf.to}
          to={shelf.to}
          className={({ isActive }) =>
            `flex min-h-11 items-center border-b-3 px-2 text-sm font-semibold ${isActive ? 'border-dusk' : 'border-transparent text-pencil hover:text-ink'}`
          }
        >
          {shelf.name}
        </NavLink>
      ))}
    </nav>
  );
}
