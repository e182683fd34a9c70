import { Link, useParams } from 'react-router';
import type { HealthView } from '../api/client';
import { useHealth } from '../api/queries';
import { Loading, Trouble } from '../look/States';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { degrees, figures } from '../words/quantity';
import { say } from '../words/say';
import { HealthPicture } from './HealthPicture';

/** How a batch fared: warmth, light, water, feed, leaves and roots through time, with what was done. */
export function HealthPage() {
  const number = Number(useParams().number);
  const health = useHealth(number);
  if (health.isPending) return <Loading what={say('its record')} />;
  if (!health.data) return <Trouble error={health.error} retry={() => health.refetch()} />;
  const view = health.data;
  return (
    <>
      <p>
        <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${number}`}>
          {say('{variety}, batch {number}', { variety: view.variety, number })}
        </Link>
      </p>
      <h1 className="mb-2">{say('How they fared')}</h1>
      <ul className="mb-4 flex flex-col gap-1">
        {findings(view).map((finding) => (
          <li key={finding}>{finding}</li>
        ))}
      </ul>
      <HealthPicture view={view} />
      <p className="mt-3">
        <Link className="trail inline-flex min-h-11 items-center" to={`/batches/${number}/failing`}>
          {say('Why are they failing?')}
        </Link>
      </p>
    </>
  );
}

/** What the picture says, in words; the same figures. */
function findings(view: HealthView): string[] {
  const up = view.days.filter((day) => day.leaves != null);
  const dark = up.filter((day) => day.light < view.lines.light).length;
  const hot = up.filter((day) => day.maximum >= view.lines.heatFrom).length;
  const told: string[] = [];
  if (up.length === 0) return [say('Nothing is up yet.')];
  const { cold } = view;
  told.push(
    cold.nights === 0
      ? say('No night below {floor} since they are up.', { floor: degrees(view.lines.nightFloor, 0) })
      : say(
          '{nights, plural, one {# night} other {# nights}} below {floor} since they are up, the coldest {coldest}: they cost about {days} days of growth, which shows only weeks later.',
          { nights: cold.nights, floor: degrees(view.lines.nightFloor, 0), coldest: degrees(cold.coldest ?? 0), days: figures(cold.daysLost, 1) },
        ),
  );
  if (cold.bolts)
    told.push(
      cold.bolting < 0.02
        ? say('Too little cold so far to make them run to seed.')
        : say('The cold they had makes a plant run to seed {chance}: keep them warmer, or plant them to be picked early.', {
            chance: chanceWords(cold.bolting),
          }),
    );
  if (dark > 0)
    told.push(
      say('{days, plural, one {# day} other {# days}} of {all} darker than {light} mol a day, at which they stretch.', {
        days: dark,
        all: up.length,
        light: figures(view.lines.light, 1),
      }),
    );
  if (hot > 0) told.push(say('{days, plural, one {# day} other {# days}} hotter than {heat}.', { days: hot, heat: degrees(view.lines.heatFrom, 0) }));
  if (view.reserveEnds && view.reserveEnds < view.today)
    told.push(
      view.care.fed.length > 0
        ? say('Their mix fed them until {day}; fed {times, plural, one {once} other {# times}} by hand.', {
            day: dayWords(view.reserveEnds),
            times: view.care.fed.length,
          })
        : say('Their mix feeds them no more since {day}, and nobody fed them.', { day: dayWords(view.reserveEnds) }),
    );
  if (view.care.water.length === 0) told.push(say('Nobody has noted their water.'));
  return told;
}
