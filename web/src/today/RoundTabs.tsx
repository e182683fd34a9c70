import { NavLink } from 'react-router';
import { say } from '../words/say';

const DAYS = [
  { to: '/', name: say('Today') },
  { to: '/tomorrow', name: say('Tomorrow') },
  { to: '/week', name: say('This week') },
  { to: '/sow', name: say('Sowing') },
  { to: '/water', name: say('Water') },
  { to: '/potting', name: say('Potting') },
  { to: '/feed', name: say('Feed') },
  { to: '/hardening', name: say('Hardening') },
];

/** The round of today, that of tomorrow, and the week. */
export function RoundTabs() {
  return (
    <nav aria-label={say('Days of the round')} className="no-print mb-1 flex flex-wrap sm:gap-1">
      {DAYS.map((day) => (
        <NavLink
          key={day.to}
          to={day.to}
          end
          className={({ isActive }) =>
            `flex min-h-11 items-center border-b-3 px-1.5 text-sm sm:px-2 font-semibold ${isActive ? 'border-dusk' : 'border-transparent text-pencil hover:text-ink'}`
          }
        >
          {day.name}
        </NavLink>
      ))}
    </nav>
  );
}
