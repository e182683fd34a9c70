import { Link } from 'react-router';
import type { components } from '../api/schema';
import { dayWords, shortDay } from '../words/days';
import { causeWords } from '../words/reasons';
import { say } from '../words/say';

type MovedGroup = components['schemas']['MovedGroup'];

/** Forecasts that have moved, told by their cause. */
export function MovedGroups({ groups }: { groups: MovedGroup[] }) {
  return (
    <ul className="text-sm">
      {groups.map((group) => (
        <li key={`${group.day} ${group.cause} ${group.place} ${group.earlier}`} className="border-t border-rule py-1">
          <details>
            <summary className="min-h-11 content-center">
              <strong>{movedWords(group)}</strong> <span className="text-pencil">{dayWords(group.day)}</span>
            </summary>
            <ul className="pl-4">
              {group.batches.map((batch) => (
                <li key={batch.batch}>
                  <Link className="trail" to={`/batches/${batch.batch}`}>
                    {batch.batch} {batch.variety}
                  </Link>
                  {say(': ready {after} instead of {before}', { after: shortDay(batch.after), before: shortDay(batch.before) })}
                </li>
              ))}
            </ul>
          </details>
        </li>
      ))}
    </ul>
  );
}

function movedWords(group: MovedGroup): string {
  return say(
    '{cause}: {batches, plural, one {# batch} other {# batches}} {alike, select, true {} other {{least} to }}{most, plural, one {# day} other {# days}} {earlier, select, true {earlier} other {later}}.',
    {
      cause: causeWords(group.cause, group.place),
      batches: group.batches.length,
      alike: String(group.leastDays === group.mostDays),
      least: group.leastDays,
      most: group.mostDays,
      earlier: String(group.earlier),
    },
  );
}
