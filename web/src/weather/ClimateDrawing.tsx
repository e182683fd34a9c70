import type { ClimateView } from '../api/client';
import { LineChart } from '../look/LineChart';
import { addDays, daysBetween, shortDay, shortMonth } from '../words/days';
import { degrees, temperature, temperatureUnit } from '../words/quantity';
import { say } from '../words/say';

/** More days off than this, and what was told does not fit together. */
const FITS_WITHIN = 5;

/** The year that follows from what was told, and how frost goes and comes in it: to be judged by whoever lives there. */
export function ClimateDrawing({ climate }: { climate: ClimateView }) {
  const { year, curve, spring, autumn } = climate;
  const newYear = year[0]!.day;
  const at = (day: string) => daysBetween(newYear, day);
  const months = Array.from({ length: 12 }, (_, month) => `${newYear.slice(0, 5)}${String(month + 1).padStart(2, '0')}-01`);
  const first = curve[0]!.day;
  const curveMonths = curve.map((point) => point.day).filter((day, index, all) => index > 0 && day.slice(0, 7) !== all[index - 1]!.slice(0, 7));
  return (
    <div className="board flex flex-col gap-4 p-4">
      {climate.daysOff > FITS_WITHIN && (
        <p role="status" className="border-l-4 border-brick p-3">
          {say(
            'These temperatures and these frosts do not quite fit together: the nearest year misses one of the dates by {days, plural, one {# day} other {# days}}. Look again at the one of which you are least sure.',
            { days: Math.round(climate.daysOff) },
          )}
        </p>
      )}
      <LineChart
        title={say('The year as it usually is, estimated')}
        xTitle={say('first of the month')}
        yTitle={temperatureUnit()}
        series={[
          { name: say('lowest and highest'), points: year.map((day) => ({ x: at(day.day), y: temperature(day.maximum) })) },
          { name: say('lowest'), unnamed: true, points: year.map((day) => ({ x: at(day.day), y: temperature(day.minimum) })) },
          {
            name: say('freezing'),
            dashed: true,
            points: [
              { x: 0, y: temperature(0) },
              { x: at(year.at(-1)!.day), y: temperature(0) },
            ],
          },
        ]}
        bands={year.map((day) => ({ x: at(day.day), low: temperature(day.minimum), high: temperature(day.maximum) }))}
        xTicks={months.map(at)}
        xWords={(day) => shortMonth(addDays(newYear, day))}
      />
      <LineChart
        title={say('Chance that frost is still to come, and from midsummer on that it has come')}
        xTitle={say('plants stand out from, or until')}
        yTitle={say('years in 100')}
        series={[
          {
            name: say('{temperature} and below', { temperature: degrees(0, 0) }),
            points: curve.map((point) => ({ x: daysBetween(first, point.day), y: point.chance * 100 })),
          },
        ]}
        xTicks={curveMonths.map((day) => daysBetween(first, day))}
        xWords={(day) => shortMonth(addDays(first, day))}
        yMost={100}
      />
      <p className="text-sm">
        {spring
          ? say('Of ten years five have their last frost by {middle} and nine by {late}.', {
              middle: shortDay(spring.middle),
              late: shortDay(spring.late),
            })
          : say('Most springs have no frost.')}{' '}
        {autumn
          ? say('One has its first by {early} and five by {middle}.', { early: shortDay(autumn.early), middle: shortDay(autumn.middle) })
          : say('Most autumns have none.')}
      </p>
    </div>
  );
}
