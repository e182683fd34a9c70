import type { Balance } from '../api/client';
import { say } from '../words/say';

const PARTS = [
  { key: 'released', name: say('released'), look: 'bg-wash', sign: '→' },
  { key: 'alive', name: say('alive'), look: 'bg-alive', sign: '' },
  { key: 'waiting', name: say('nothing up yet'), look: 'bg-board border border-pencil', sign: '·' },
  { key: 'lost', name: say('lost'), look: 'bg-brick-wash', sign: '×' },
  { key: 'empty', name: say('empty'), look: 'bg-wall border border-rule', sign: '–' },
] as const;

/** Sown cells as one bar that is always fully accounted for. */
export function BalanceBar({
  balance,
  needed,
  promised,
  boughtIn = false,
}: {
  balance: Balance;
  needed: number;
  promised: boolean;
  /** Whether plants came in its cells rather than seed. */
  boughtIn?: boolean;
}) {
  const parts = PARTS.filter((part) => balance[part.key] > 0);
  const account = { sown: balance.sown, parts: parts.map((part) => `${balance[part.key]} ${part.name}`).join(' + ') };
  return (
    <>
      <div className="flex h-7 gap-0.5" aria-hidden>
        {parts.map((part) => (
          <span key={part.key} className={`${part.look} grid min-w-3 place-items-center text-sm`} style={{ flexGrow: balance[part.key] }}>
            {part.sign}
          </span>
        ))}
      </div>
      <p className="mt-2">
        {boughtIn ? say('{sown} brought in = {parts}', account) : say('{sown} sown = {parts}', account)}
        <span className="text-pencil">
          {say('; {needed} plants {either, select, true {promised} other {planned}}', { needed, either: String(promised) })}
        </span>
      </p>
    </>
  );
}
