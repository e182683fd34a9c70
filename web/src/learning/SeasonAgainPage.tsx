import { useState } from 'react';
import { Link } from 'react-router';
import type { SeasonAgain } from '../api/client';
import { useSeasonAgain } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { YearChoice } from '../look/YearChoice';
import { TakenAs, WishesToTake } from '../order/WishesToTake';
import { dayOfYear, dayWords, daysBetween } from '../words/days';
import { say } from '../words/say';

type OrderAgain = SeasonAgain['orders'][number];
type LineAgain = OrderAgain['lines'][number];

/** A growing year taken again: what growers had then, a year on, sown when the plan says by what was learnt since. */
export function SeasonAgainPage() {
  const [year, setYear] = useState<number | undefined>();
  const [taken, setTaken] = useState<Record<number, number>>({});
  const again = useSeasonAgain(year);
  if (again.isPending) return <Loading what={say('the year')} />;
  if (again.isError) return <Trouble error={again.error} retry={() => again.refetch()} />;
  const { orders, lastDay } = again.data;
  // What was taken stays, with the way to its order: once it is read anew, no line of it need be open any longer.
  const open = orders.filter((order) => taken[order.number] !== undefined || order.lines.some((line) => line.standing === 'OPEN'));
  const count = (standing: LineAgain['standing']) => orders.flatMap((order) => order.lines).filter((line) => line.standing === standing).length;
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <h1>{say('A season again')}</h1>
        <YearChoice year={year} choose={setYear} />
        <Link to="/looking-back" className="trail ml-auto flex min-h-11 items-center">
          {say('Looking back')}
        </Link>
      </div>
      <p className="mb-4 max-w-prose">
        {say('Each line is offered for the same weekday a year on. When it is sown follows from the plan of this year and from what was learnt.')}
      </p>
      <p className="mb-4 text-pencil">
        {count('TOO_FAR') > 0 &&
          say(
            '{lines, plural, one {One line lies} other {# lines lie}} beyond {day}, the last for which plants are promised today. Come back later for them.',
            { lines: count('TOO_FAR'), day: dayOfYear(lastDay) },
          )}{' '}
        {count('ORDERED') > 0 && say('{lines, plural, one {One is} other {# are}} ordered again already.', { lines: count('ORDERED') })}
      </p>
      {open.length === 0 ? (
        <Nothing>{say('Nothing of this year can be taken again today.')}</Nothing>
      ) : (
        <ul className="flex flex-col gap-3">
          {open.map((order) => (
            <li key={order.number}>
              <Again order={order} takenAs={taken[order.number]} tookAs={(number) => setTaken((now) => ({ ...now, [order.number]: number }))} />
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** An order of then; what of it was taken in this visit is number `takenAs`. */
function Again({ order, takenAs, tookAs }: { order: OrderAgain; takenAs: number | undefined; tookAs: (number: number) => void }) {
  const [opened, setOpened] = useState(false);
  const lines = order.lines.filter((line) => line.standing === 'OPEN');
  return (
    <section aria-label={say('Order {order} of {grower}', { order: order.number, grower: order.grower })} className="board p-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2>{order.grower}</h2>
        <span className="text-sm text-pencil">
          {say('{site}, as order {order}; {lines, plural, one {# line} other {# lines}}', {
            site: order.site,
            order: order.number,
            lines: lines.length,
          })}
        </span>
        {lines.length > 0 && (
          <button type="button" className="act ml-auto" aria-expanded={opened} onClick={() => setOpened(!opened)}>
            {opened ? say('Close') : say('Plan it anew')}
          </button>
        )}
      </div>
      {takenAs !== undefined && <TakenAs order={takenAs} />}
      {opened && (
        <WishesToTake
          growerId={order.growerId}
          siteId={order.siteId}
          lines={lines.map((line) => ({ variety: line.variety, wish: line.wish, note: thenWords(line), sown: (sowDay) => sowWords(line, sowDay) }))}
          taken={(number) => {
            setOpened(false);
            tookAs(number);
          }}
        />
      )}
    </section>
  );
}

function thenWords(line: LineAgain): string {
  const sown = line.sownThen ? say('Then sown {day}', { day: dayWords(line.sownThen) }) : say('Then not sown here');
  if (!line.wholeThen) return sown;
  const late = daysBetween(line.wantedThen, line.wholeThen);
  return late > 0 ? say('{sown}, whole {late, plural, one {# day} other {# days}} late', { sown, late }) : say('{sown}, whole in time', { sown });
}

function sowWords(line: LineAgain, sowDay: string): string {
  const day = dayWords(sowDay);
  if (!line.sownThen) return say('Sow {day}', { day });
  const ahead = daysBetween(line.sownThen, line.wantedThen) - daysBetween(sowDay, line.wish.target);
  if (ahead === 0) return say('Sow {day}, as far ahead as then', { day });
  return ahead < 0
    ? say('Sow {day}, {days, plural, one {# day} other {# days}} further ahead than then', { day, days: -ahead })
    : say('Sow {day}, {days, plural, one {# day} other {# days}} less far ahead than then', { day, days: ahead });
}
