import type { OrderChange, OrderView } from '../api/client';
import { dayWords } from '../words/days';
import { say } from '../words/say';
import { wayWords } from './WaysSheet';

/** What became of an order since it was taken: who, when, what it was before. */
export function OrderHistory({ order }: { order: OrderView }) {
  if (order.changes.length === 0) return null;
  return (
    <section aria-label={say('Changes')}>
      <h2 className="mb-2">{say('Changed since it was taken')}</h2>
      <ol className="board divide-y divide-rule">
        {order.changes.map((change, index) => (
          <li key={index} className="flex flex-wrap gap-x-3 px-3 py-2">
            <span>{changeWords(change, order)}</span>
            <span className="text-pencil">
              {dayWords(change.day)}
              {change.by && `, ${change.by}`}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** One change in a sentence. */
export function changeWords(change: OrderChange, order: OrderView): string {
  const variety = order.lines.find((line) => line.line === change.position)?.asked.variety ?? say('Line {position}', { position: change.position });
  switch (change.kind) {
    case 'LINE_ADDED':
      return say('{variety}: {plants, plural, one {# plant} other {# plants}} added.', { variety, plants: Number(change.after) });
    case 'PLANTS_CHANGED':
      return say('{variety}: {after} plants instead of {before}.', { variety, after: change.after, before: change.before });
    case 'DAY_MOVED':
      return say('{variety}: wanted on {after} instead of {before}.', {
        variety,
        after: dayWords(change.after ?? ''),
        before: dayWords(change.before ?? ''),
      });
    case 'ROUTE_CHANGED':
      return say('{variety}: {after} instead of {before}.', {
        variety,
        after: wayWords(change.after ?? ''),
        before: change.before ? change.before.split(' ').map(wayWords).join(', ') : say('nothing'),
      });
    case 'LINE_CANCELLED':
      return say('{variety}: {plants, plural, one {# plant} other {# plants}} cancelled.', { variety, plants: Number(change.before) });
  }
}
