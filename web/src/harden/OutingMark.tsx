import type { HardeningDaysView } from '../api/client';

type Day = HardeningDaysView['batches'][number]['days'][number];

/** A day of hardening drawn: tray on the ground, the sun, empty for shade and half for a morning, a wall in the lee, a roof over what stays in. */
export function OutingMark({ day }: { day: Pick<Day, 'byDay' | 'atNight' | 'inSun' | 'inWind'> }) {
  const inside = day.byDay === 'IN';
  const lee = !inside && (day.byDay === 'SHELTERED' || !day.inWind);
  return (
    <svg viewBox="0 0 48 40" className="h-10 w-12" fill="none" stroke="currentColor" strokeWidth="2.500" aria-hidden>
      <path d="M4 36h40" />
      <path d="M16 36v-5h18v5" />
      <path d="M20 31c0-3-3-3-3-5M25 31v-6M30 31c0-3 3-3 3-5" />
      {inside && <path d="M8 22L25 9l17 13M12 20v16M38 20v16" />}
      {lee && <path d="M9 36V16" strokeWidth="4" />}
      {!inside && (
        <>
          <circle cx="37" cy="11" r="6" />
          {day.inSun && day.byDay === 'UNTIL_ONE' && <path d="M37 5a6 6 0 0 0 0 12z" fill="currentColor" />}
          {day.inSun && day.byDay === 'OUT' && <circle cx="37" cy="11" r="6" fill="currentColor" />}
        </>
      )}
      {(day.atNight === 'FLEECE' || day.atNight === 'FROST_BLANKET') && (
        <path d="M12 36c0-16 26-16 26 0" strokeDasharray={day.atNight === 'FLEECE' ? '3 3' : undefined} />
      )}
    </svg>
  );
}
