import { Link } from 'react-router';
import type { components } from '../api/schema';
import { dayWords, shortDay } from '../words/days';
import { say } from '../words/say';

/** Forecasts that have moved, told by their cause. */
export function MovedGroups({ groups }: { groups: components['schemas']['MovedGroup'][] }) {
  return (
    <ul className="text-sm">
      {groups.map((group) => (
        <li key={group.day + group.words} className="border-t border-rule py-1">
          <details>
            <summary className="min-h-8">
              <strong>{group.words}</strong> <span className="text-pencil">{dayWords(group.day)}</span>
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
