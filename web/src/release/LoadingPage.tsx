import { Input } from '@headlessui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { LoadingView } from '../api/client';
import { useLoading } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { addDays, dayWords } from '../words/days';
import { typedNumber } from '../words/quantity';
import { say } from '../words/say';
import { PickWalk } from './PickWalk';
import { RoundOfDelivery } from './RoundOfDelivery';
import { Substitutes } from './Substitutes';

type Group = LoadingView['groups'][number];
type Rule = LoadingView['rule'];
type Line = Group['lines'][number];

const AHEAD = [0, 1, 3, 7];

const RULES: { rule: Rule; words: string }[] = [
  { rule: 'DATE_PROMISED', words: say('whom they were promised first') },
  { rule: 'PROPORTION', words: say('all alike, in proportion') },
];

const lineKey = (line: Line): string => `${line.order}/${line.line}`;

/** What is to go: shared out between all due orders, picked on one walk, loaded by the round of delivery. */
export function LoadingPage({ today, mayRelease }: { today: string; mayRelease: boolean }) {
  const [ahead, setAhead] = useState(0);
  const [rule, setRule] = useState<Rule>('DATE_PROMISED');
  const [shares, setShares] = useState<Record<string, number>>({});
  const loading = useLoading(addDays(today, ahead), rule, shares);
  if (loading.isPending) return <Loading what={say('what is to go')} />;
  if (!loading.data) return <Trouble error={loading.error} retry={() => loading.refetch()} />;
  const view = loading.data;
  const short = view.groups.filter((group) => group.ready < group.wanted).length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Loading')}</h1>
        <span className={short > 0 ? 'font-semibold text-brick' : 'text-pencil'}>
          {say('{groups, plural, =0 {nothing to go} one {# variety to go} other {# varieties to go}}, {short} short', {
            groups: view.groups.length,
            short,
          })}
        </span>
        <span className="no-print flex flex-wrap items-center gap-2" role="group" aria-label={say('Due until')}>
          {AHEAD.map((days) => (
            <button
              key={days}
              type="button"
              className={`act ${days === ahead ? 'act-main' : ''}`}
              aria-pressed={days === ahead}
              onClick={() => setAhead(days)}
            >
              {days === 0 ? say('today') : dayWords(addDays(today, days))}
            </button>
          ))}
        </span>
      </div>
      {view.groups.length === 0 ? (
        <Nothing>{say('No plants that are ready are due by then. Look further ahead, or see under orders what is late.')}</Nothing>
      ) : (
        <>
          <section aria-label={say('Shares')} className="mb-6">
            <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-2" role="group" aria-label={say('What is short goes to')}>
              <h2>{say('Shares')}</h2>
              <span className="text-sm text-pencil">{say('What is short goes to')}</span>
              {RULES.map((each) => (
                <button
                  key={each.rule}
                  type="button"
                  className={`act ${each.rule === rule ? 'act-main' : ''}`}
                  aria-pressed={each.rule === rule}
                  onClick={() => {
                    setRule(each.rule);
                    setShares({});
                  }}
                >
                  {each.words}
                </button>
              ))}
            </div>
            <ul className="grid gap-4 lg:grid-cols-2">
              {view.groups.map((group) => (
                <OneGroup
                  key={group.lines.map(lineKey).join()}
                  group={group}
                  mayRelease={mayRelease}
                  setShare={(line, plants) => {
                    const others = Object.entries(shares).filter(([each]) => each !== lineKey(line));
                    setShares(Object.fromEntries(plants === undefined ? others : [...others, [lineKey(line), plants]]));
                  }}
                />
              ))}
            </ul>
          </section>
          <PickWalk walk={view.walk} />
          <RoundOfDelivery view={view} mayRelease={mayRelease} />
        </>
      )}
    </>
  );
}

function OneGroup({
  group,
  mayRelease,
  setShare,
}: {
  group: Group;
  mayRelease: boolean;
  setShare: (line: Line, plants: number | undefined) => void;
}) {
  const missing = group.wanted - group.ready;
  return (
    <li className="board flex min-w-0 flex-col gap-2 p-3">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <b className="text-lg">{group.variety}</b>
        <span className="text-pencil">
          {say('{crop}, {container}', { crop: group.crop.toLowerCase(), container: group.container.toLowerCase() })}
        </span>
      </p>
      <p className={missing > 0 ? 'font-semibold text-brick' : ''}>
        {missing > 0
          ? say('{ready} are ready and {wanted} wanted: {missing} short.', { ready: group.ready, wanted: group.wanted, missing })
          : say(
              '{ready} are ready, {wanted} wanted; {kept} are kept back{enough, select, true {} other {, fewer than the {reserve} for replacements}}.',
              { ready: group.ready, wanted: group.wanted, kept: group.kept, reserve: group.reserve, enough: String(group.kept >= group.reserve) },
            )}
      </p>
      <table className="w-full text-left text-sm">
        <thead className="text-pencil">
          <tr>
            <th className="font-normal">{say('Order')}</th>
            <th className="pr-2 font-normal">{say('Taken')}</th>
            <th className="font-normal">{say('Wants')}</th>
            <th className="font-normal">{say('Gets')}</th>
          </tr>
        </thead>
        <tbody>
          {group.lines.map((line) => (
            <Share key={lineKey(line)} line={line} mayChange={mayRelease && group.lines.length > 1} setShare={(plants) => setShare(line, plants)} />
          ))}
        </tbody>
      </table>
      {mayRelease && missing > 0 && <Substitutes group={group} />}
    </li>
  );
}

function Share({ line, mayChange, setShare }: { line: Line; mayChange: boolean; setShare: (plants: number | undefined) => void }) {
  const [typed, setTyped] = useState<string | undefined>();
  const less = line.share < line.wanted;
  return (
    <tr className="border-t border-rule">
      <td className="py-1">
        <Link className="trail inline-flex min-h-11 items-center" to={`/orders/${line.order}`}>
          {say('{order}, {grower}', { order: line.order, grower: line.grower })}
        </Link>
      </td>
      <td className="pr-2">{dayWords(line.placedOn)}</td>
      <td className="pr-2">{line.wanted}</td>
      <td className={less ? 'font-semibold text-brick' : ''}>
        {mayChange ? (
          <Input
            className="entry w-20"
            inputMode="numeric"
            aria-label={say('Plants for order {order}, line {line}', { order: line.order, line: line.line })}
            value={typed ?? String(line.share)}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={() => {
              if (typed !== undefined) setShare(typed.trim() === '' ? undefined : typedNumber(typed));
              setTyped(undefined);
            }}
          />
        ) : (
          line.share
        )}
        {line.byHand && <span className="block text-pencil">{say('by hand')}</span>}
        {line.picked < line.share && <span className="block text-brick">{say('{picked} found', { picked: line.picked })}</span>}
      </td>
    </tr>
  );
}
