import type { OrderChange, OrderView } from '../api/client';
import { counted, dayWords } from '../look/words';

/** What became of an order since it was taken: who, when, what it was before. */
export function OrderHistory({ order }: { order: OrderView }) {
  if (order.changes.length === 0) return null;
  return (
    <section aria-label="Changes">
      <h2 className="mb-2">Changed since it was taken</h2>
      <ol className="board divide-y divide-rule">
        {order.changes.map((change, index) => (
          <li key={index} className="flex flex-wrap gap-x-3 px-3 py-2">
            <span>{changeWords(change, order)}</span>
            <span className="text-pencil">{dayWords(change.day)}{change.by && `, ${change.by}`}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** One change in a sentence. */
export function changeWords(change: OrderChange, order: OrderView): string {
  const variety = order.lines.find((line) => line.line === change.position)?.variety ?? `Line ${change.position}`;
  switch (change.kind) {
    case 'LINE_ADDED':
      return `${variety}: ${counted(Number(change.after), 'plant')} added.`;
    case 'PLANTS_CHANGED':
      return `${variety}: ${change.after} plants instead of ${change.before}.`;
    case 'DAY_MOVED':
      return `${variety}: wanted on ${dayWords(change.after ?? '')} instead of ${dayWords(change.before ?? '')}.`;
    case 'LINE_CANCELLED':
      return `${variety}: ${counted(Number(change.before), 'plant')} cancelled.`;
  }
}
