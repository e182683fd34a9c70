import type { RoundView } from '../api/client';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { figures, temperature, temperatureUnit } from '../words/quantity';

const HEIGHT = 46;
const ROOM = 4;

/** Five days outdoors, each a stroke from its minimum to its maximum, with the freezing line. */
export function ForecastStrip({ days }: { days: RoundView['forecast'] }) {
  if (days.length === 0) return null;
  const lowest = Math.min(-2, ...days.map((day) => day.minimum));
  const highest = Math.max(5, ...days.map((day) => day.maximum));
  const y = (temperature: number) => ((highest - temperature) / (highest - lowest)) * HEIGHT;
  return (
    <figure className="no-print">
      <figcaption className="mb-1 text-sm text-pencil">{say('Forecast outdoors, {unit}', { unit: temperatureUnit() })}</figcaption>
      <ol className="grid grid-cols-5 gap-1 sm:gap-4">
        {days.map((day) => (
          <li key={day.day} className="text-center text-xs sm:text-sm">
            <svg width="44" height={HEIGHT + 2 * ROOM} aria-hidden className="mx-auto">
              <line x1="0" x2="44" y1={y(0) + ROOM} y2={y(0) + ROOM} stroke="var(--rule)" strokeDasharray="3 3" />
              <line
                x1="22"
                x2="22"
                y1={y(day.maximum) + ROOM}
                y2={y(day.minimum) + ROOM}
                stroke={day.minimum <= 0 ? 'var(--brick)' : 'var(--dusk)'}
                strokeWidth="6"
                strokeLinecap="round"
              />
            </svg>
            <span className="block whitespace-nowrap">
              {say('{minimum} to {maximum}', { minimum: figures(temperature(day.minimum)), maximum: figures(temperature(day.maximum)) })}
            </span>
            <span className="block whitespace-nowrap text-pencil">{dayWords(day.day)}</span>
            {day.minimum <= 0 && <span className="block text-brick">{say('frost')}</span>}
          </li>
        ))}
      </ol>
    </figure>
  );
}
