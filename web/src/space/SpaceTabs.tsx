import { NavLink } from 'react-router';
import { say } from '../words/say';

const VIEWS = [
  { to: '/space', name: say('Room') },
  { to: '/warmth', name: say('Warmth') },
  { to: '/light', name: say('Light') },
];

/** What the places have to give: room, warmth and light. */
export function SpaceTabs() {
  return (
    <nav aria-label={say('Of the places')} className="no-print mb-1 flex gap-1">
      {VIEWS.map((view) => (
        <NavLink
          key={view.to}
          to={view.to}
          className={({ isActive }) =>
            `flex min-h-11 items-center border-b-3 px-2 text-sm font-semibold ${isActive ? 'border-dusk' : 'border-transparent text-pencil hover:text-ink'}`
          }
        >
          {view.name}
        </NavLink>
      ))}
    </nav>
  );
}
