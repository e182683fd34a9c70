import { Link } from 'react-router';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { useSafekeeping } from './copies';

const GIBIBYTE = 2 ** 30;
const HOURS_IN_DAY = 24;

/** Says that the nursery would be lost with its machine, or that the machine is nearly full; nothing while all is well. */
export function CopyWarning() {
  const { data } = useSafekeeping();
  if (!data || (!data.old && !data.lowOnDisk)) return null;
  return (
    <section aria-label={say('Kept safe?')} className="mb-5 flex flex-wrap items-center gap-x-5 gap-y-2 border-l-4 border-brick bg-brick-wash p-4">
      <div className="grow">
        {data.old && (
          <p>
            {data.hoursOld == null
              ? say('There is no copy of the nursery. Were this machine lost, everything would be.')
              : say('The last copy of the nursery is {days, plural, one {# day} other {# days}} old.', {
                  days: Math.floor(data.hoursOld / HOURS_IN_DAY),
                })}
          </p>
        )}
        {data.lowOnDisk && data.freeBytes != null && (
          <p>
            {say('Kiver’s machine has only {free} GB left on its disk. Make room, or soon nothing can be written down.', {
              free: figures(data.freeBytes / GIBIBYTE, 1),
            })}
          </p>
        )}
      </div>
      <Link className="act" to="/nursery#kept-safe">
        {say('See to it')}
      </Link>
    </section>
  );
}
