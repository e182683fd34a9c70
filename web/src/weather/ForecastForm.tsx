import { Input } from '@headlessui/react';
import { useState } from 'react';
import type { ForecastEntry, WeatherView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useSession } from '../api/queries';
import { Refusal } from '../look/States';
import { addDays, dayWords, shortDay } from '../words/days';
import {
  lengthTyped,
  lengthUnit,
  temperature,
  temperatureUnit,
  typedLength,
  typedNumber,
  typedTemperature,
  typedWind,
  windTyped,
  windUnit,
} from '../words/quantity';
import { say } from '../words/say';

const DAYS = 5;

type Known = WeatherView['forecast'][number];

/** What is said of a day: how it is shown as it would be typed, and how it is read. */
interface Said {
  key: 'minimum' | 'maximum' | 'gust' | 'rain' | 'sun';
  name: string;
  of: (day: string) => string;
  shown: (value: number) => string;
  read: (typed: string) => number | undefined;
}

const TEMPERATURES = (): Said[] => [
  {
    key: 'minimum',
    name: say('lowest, {unit}', { unit: temperatureUnit() }),
    of: (day) => say('Lowest of {day}', { day }),
    shown: (celsius) => String(Math.round(temperature(celsius))),
    read: typedTemperature,
  },
  {
    key: 'maximum',
    name: say('highest, {unit}', { unit: temperatureUnit() }),
    of: (day) => say('Highest of {day}', { day }),
    shown: (celsius) => String(Math.round(temperature(celsius))),
    read: typedTemperature,
  },
];

const SKY = (): Said[] => [
  { key: 'gust', name: say('gusts, {unit}', { unit: windUnit() }), of: (day) => say('Gusts of {day}', { day }), shown: windTyped, read: typedWind },
  {
    key: 'rain',
    name: say('rain, {unit}', { unit: lengthUnit() }),
    of: (day) => say('Rain of {day}', { day }),
    shown: lengthTyped,
    read: typedLength,
  },
  {
    key: 'sun',
    name: say('sun, % of the day'),
    of: (day) => say('Sun of {day}', { day }),
    shown: (share) => String(Math.round(share * 100)),
    read: (typed) => {
      const percent = typedNumber(typed);
      return percent === undefined ? undefined : percent / 100;
    },
  },
];

/** A forecast as it was heard: lowest and highest of the coming days, and the sky as far as one knows it. */
export function ForecastForm({ weather }: { weather: WeatherView }) {
  const today = useSession().data?.today;
  const [typed, setTyped] = useState<Record<string, Partial<Record<Said['key'], string>>>>({});
  const [withSky, setWithSky] = useState(() => weather.forecast.some((day) => day.gust != null || day.rain != null || day.sun != null));
  const [wrong, setWrong] = useState<string>();
  const keep = useChange((days: ForecastEntry[]) => answered(api.PUT('/api/weather/forecast', { body: { days } })));
  if (!today) return null;
  const said = withSky ? [...TEMPERATURES(), ...SKY()] : TEMPERATURES();
  const days = Array.from({ length: DAYS }, (_, ahead) => addDays(today, ahead));
  const known = (day: string): Known | undefined => weather.forecast.find((each) => each.day === day);
  const entry = (day: string, each: Said) => {
    const value = known(day)?.[each.key];
    return typed[day]?.[each.key] ?? (value == null ? '' : each.shown(value));
  };
  const send = () => {
    const read = readDays(
      days.filter((day) => said.some((each) => entry(day, each))),
      said,
      entry,
      (day, key) => (typed[day]?.[key] === undefined ? (known(day)?.[key] ?? undefined) : undefined),
    );
    setWrong(read.wrong);
    if (read.days) keep.mutate(read.days, { onSuccess: () => setTyped({}) });
  };
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
          send();
        }}
      >
        <ul className="divide-y divide-rule">
          {days.map((day) => (
            <li key={day} className="grid items-end gap-x-3 py-2 sm:grid-cols-[8rem_1fr]">
              <span className="self-center">{dayWords(day)}</span>
              <div className="grid grid-cols-[repeat(auto-fill,minmax(6rem,1fr))] gap-x-3 gap-y-1">
                {said.map((each) => (
                  <label key={each.key} className="text-sm text-pencil">
                    <span aria-hidden>{each.name}</span>
                    <Input
                      className="entry w-full text-base text-ink"
                      inputMode="decimal"
                      autoComplete="off"
                      aria-label={each.of(dayWords(day))}
                      value={entry(day, each)}
                      onChange={(event) => setTyped({ ...typed, [day]: { ...typed[day], [each.key]: event.target.value } })}
                    />
                  </label>
                ))}
              </div>
            </li>
          ))}
        </ul>
        <Refusal message={wrong ?? keep.error?.problems[0]?.message ?? keep.error?.message} />
        <div className="mt-2 flex flex-wrap items-center gap-4">
          <button className="act act-main" disabled={keep.isPending}>
            {say('Go by this forecast')}
          </button>
          {!withSky && (
            <button type="button" className="act" onClick={() => setWithSky(true)}>
              {say('Wind, rain and sun as well')}
            </button>
          )}
        </div>
      </form>
    </section>
  );
}

/** The days as they are sent, or what is wrong with the first that is not. What nobody touched is sent as it was, not as it is rounded. */
function readDays(
  days: string[],
  said: Said[],
  entry: (day: string, each: Said) => string,
  untouched: (day: string, key: Said['key']) => number | undefined,
): { days?: ForecastEntry[]; wrong?: string } {
  const read: ForecastEntry[] = [];
  for (const day of days) {
    const figures: Partial<Record<Said['key'], number>> = {};
    for (const each of said) {
      const typed = entry(day, each);
      const value = untouched(day, each.key) ?? each.read(typed);
      if (typed && value === undefined) return { wrong: say('{entry}: enter a number.', { entry: each.of(shortDay(day)) }) };
      if (value !== undefined) figures[each.key] = value;
    }
    const { minimum, maximum, ...sky } = figures;
    if (minimum === undefined || maximum === undefined) return { wrong: say('Say the lowest and the highest of {day}.', { day: shortDay(day) }) };
    read.push({ day, minimum, maximum, ...sky });
  }
  return { days: read };
}
