import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { WeatherView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useSession } from '../api/queries';
import { Refusal } from '../look/States';
import { addDays, dayWords, shortDay } from '../words/days';
import { temperature, temperatureUnit, typedTemperature } from '../words/quantity';
import { say } from '../words/say';

const DAYS = 5;

/** A forecast as it was heard: lowest and highest of the coming days. Tonight's list and hardening go by it. */
export function ForecastForm({ weather }: { weather: WeatherView }) {
  const today = useSession().data?.today;
  const [typed, setTyped] = useState<Record<string, { low?: string; high?: string }>>({});
  const [missing, setMissing] = useState<string>();
  const keep = useChange((days: { day: string; minimum: number; maximum: number }[]) =>
    answered(api.PUT('/api/weather/forecast', { body: { days } })),
  );
  if (!today) return null;
  const rows = Array.from({ length: DAYS }, (_, ahead) => {
    const day = addDays(today, ahead);
    const known = weather.forecast.find((each) => each.day === day);
    const shown = (celsius: number | undefined) => (celsius === undefined ? '' : String(Math.round(temperature(celsius))));
    return { day, low: typed[day]?.low ?? shown(known?.minimum), high: typed[day]?.high ?? shown(known?.maximum) };
  });
  return (
    <section aria-label={say('What is forecast')} className="board p-4">
      <h2 className="mb-1">{say('What is forecast')}</h2>
      <p className="mb-2 text-sm text-pencil">
        {weather.forecastSaidOn
          ? say('Said on {day}. Type it anew each evening, as you hear it, or let a service send it.', { day: dayWords(weather.forecastSaidOn) })
          : say('Nothing is forecast here. Type what you hear, as far as it reaches: tonight’s list and hardening go by it.')}
      </p>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const said = rows.filter((row) => row.low || row.high);
          const days = said.map((row) => ({ day: row.day, minimum: typedTemperature(row.low), maximum: typedTemperature(row.high) }));
          const wrong = days.find((each) => each.minimum === undefined || each.maximum === undefined);
          setMissing(wrong ? say('Say the lowest and the highest of {day}.', { day: shortDay(wrong.day) }) : undefined);
          if (!wrong) keep.mutate(days as { day: string; minimum: number; maximum: number }[], { onSuccess: () => setTyped({}) });
        }}
      >
        <table className="text-left">
          <thead className="text-sm text-pencil">
            <tr>
              <th className="pr-4 font-normal">{say('day')}</th>
              <th className="pr-2 font-normal">{say('lowest, {unit}', { unit: temperatureUnit() })}</th>
              <th className="font-normal">{say('highest, {unit}', { unit: temperatureUnit() })}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.day}>
                <th className="pr-4 font-normal whitespace-nowrap">{dayWords(row.day)}</th>
                {(['low', 'high'] as const).map((which) => (
                  <td key={which} className="py-1 pr-2">
                    <Input
                      className="entry w-24"
                      inputMode="decimal"
                      autoComplete="off"
                      aria-label={
                        which === 'low' ? say('Lowest of {day}', { day: dayWords(row.day) }) : say('Highest of {day}', { day: dayWords(row.day) })
                      }
                      value={row[which]}
                      onChange={(event) => setTyped({ ...typed, [row.day]: { ...typed[row.day], [which]: event.target.value } })}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <Refusal message={missing ?? keep.error?.problems[0]?.message ?? keep.error?.message} />
        <button className="act act-main mt-2" disabled={keep.isPending}>
          {say('Go by this forecast')}
        </button>
      </form>
    </section>
  );
}
