import { useState } from 'react';
import { Link } from 'react-router';
import type { LookingBackView } from '../api/client';
import { useLookingBack } from '../api/queries';
import { Loading, Nothing, Trouble } from '../look/States';
import { YearBeside, YearChoice } from '../look/YearChoice';
import { figures } from '../words/quantity';
import { monthWords } from '../words/days';
import { say } from '../words/say';
import { Cost, sum } from './Cost';
import { HonestyChart } from './HonestyChart';

type Fall = LookingBackView['all'];
type Together = LookingBackView['together'];

const TOGETHER: { by: Together; words: string }[] = [
  { by: 'CROP', words: say('by crop') },
  { by: 'LOT', words: say('by seed lot') },
  { by: 'PLACE', words: say('by place') },
  { by: 'MIX', words: say('by mix') },
  { by: 'MONTH', words: say('by month') },
  { by: 'PERSON', words: say('by who sowed') },
];

const STEPS: { step: Exclude<keyof Fall, 'awaited'>; words: string }[] = [
  { step: 'sown', words: say('sown') },
  { step: 'emerged', words: say('came up') },
  { step: 'living', words: say('lived') },
  { step: 'hardened', words: say('hardened') },
  { step: 'released', words: say('went out') },
  { step: 'stood', words: say('stood') },
];

/** What became of what was sown, and what was promised against what was kept. */
export function LookingBackPage({ mayPlan = false }: { mayPlan?: boolean }) {
  const [by, setBy] = useState<Together>('CROP');
  const [year, setYear] = useState<number | undefined>();
  const [beside, setBeside] = useState<number | undefined>();
  const other = useLookingBack(by, beside, beside !== undefined);
  const then = beside === undefined || other.isPlaceholderData ? undefined : other.data;
  const back = useLookingBack(by, year);
  if (back.isPending) return <Loading what={say('the year')} />;
  if (back.isError) return <Trouble error={back.error} retry={() => back.refetch()} />;
  const view = back.data;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1>{say('Looking back')}</h1>
        <YearChoice year={year} choose={setYear} />
        <YearBeside year={year} beside={beside} choose={setBeside} />
        <Link to="/lessons" className="trail ml-auto flex min-h-11 items-center">
          {say('What was learnt')}
        </Link>
        {mayPlan && (
          <Link to="/season/again" className="trail flex min-h-11 items-center">
            {say('A season again')}
          </Link>
        )}
      </div>
      {view.all.sown === 0 ? (
        <Nothing>{say('Nothing was sown in this growing year yet.')}</Nothing>
      ) : (
        <>
          <div className="mb-5 grid items-start gap-5 lg:grid-cols-[1.6fr_1fr]">
            <section aria-label={say('All sowings')} className="board p-4">
              <h2 className="mb-2">{say('All sowings')}</h2>
              <Steps fall={view.all} then={then?.all} year={beside} />
            </section>
            <div className="flex flex-col gap-5">
              <section aria-label={say('Promised and kept')} className="board p-4">
                <h2>{say('Promised and kept')}</h2>
                <Promises view={view} />
                {then && (
                  <p className="mt-1 text-pencil">
                    {say('{year}: {inTime} of {lines}.', { year: String(then.year), inTime: then.kept.inTime, lines: then.kept.lines })}
                  </p>
                )}
              </section>
              <section aria-label={say('What it cost')} className="board p-4">
                <h2>{say('What it cost')}</h2>
                <Cost costs={view.cost} />
                {then && sum(then.cost) > 0 && (
                  <p className="mt-1 text-pencil">{say('{year}: {total}.', { year: String(then.year), total: figures(sum(then.cost), 2) })}</p>
                )}
              </section>
            </div>
            <section aria-label={say('Forecast and what happened')} className="board p-4 lg:col-span-2">
              <h2 className="mb-2">{say('Forecast and what happened')}</h2>
              <HonestyChart year={year} />
            </section>
          </div>
          <div className="mb-3 flex flex-wrap items-center gap-2" role="group" aria-label={say('Taken together')}>
            {TOGETHER.map((each) => (
              <button
                key={each.by}
                type="button"
                className={`act ${each.by === by ? 'act-main' : ''}`}
                aria-pressed={each.by === by}
                onClick={() => setBy(each.by)}
              >
                {each.words}
              </button>
            ))}
          </div>
          <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {view.groups.map((group) => (
              <li key={group.name} className="board p-3">
                <h3 className="flex items-baseline gap-2">
                  {by === 'MONTH' ? monthWords(group.name) : group.name === '' ? say('not said') : group.name}
                  <span className="text-sm font-normal text-pencil">
                    {say('{batches, plural, one {# batch} other {# batches}}', { batches: group.batches })}
                  </span>
                </h3>
                <Steps fall={group.fall} then={then?.groups.find((each) => each.name === group.name)?.fall} year={beside} />
                {sum(group.cost) > 0 && (
                  <p className="text-sm text-pencil">
                    {group.cost.handedOver > 0
                      ? say('Cost {total}; {each} for each plant handed over.', {
                          total: figures(sum(group.cost), 2),
                          each: figures(group.cost.gone / group.cost.handedOver, 2),
                        })
                      : say('Cost {total} so far.', { total: figures(sum(group.cost), 2) })}
                  </p>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** One bar for each step, as long as what came so far; what is missing to the step before is hatched. */
function Steps({ fall, then, year }: { fall: Fall; then?: Fall | undefined; year?: number | undefined }) {
  return (
    <ol className="flex flex-col gap-1">
      {STEPS.map(({ step, words }, index) => {
        const before = index === 0 ? fall.sown : fall[STEPS[index - 1]!.step];
        const width = (value: number) => `${(100 * value) / fall.sown}%`;
        return (
          <li key={step} className="grid grid-cols-[5.5rem_1fr_5.5rem] items-center gap-2 text-sm">
            <span>{words}</span>
            <span aria-hidden className="relative block h-4 bg-wall">
              <span className="absolute inset-y-0 left-0 border border-dashed border-rule" style={{ width: width(before) }} />
              <span className="absolute inset-y-0 left-0 bg-dusk" style={{ width: width(fall[step]) }} />
            </span>
            <span className="tabular-nums">
              {figures(fall[step])}
              {index > 0 && before > 0 && (
                <span className="text-pencil"> {say('{share} %', { share: Math.round((100 * fall[step]) / before) })}</span>
              )}
            </span>
          </li>
        );
      })}
      {then && then.sown > 0 && (
        <li className="text-sm text-pencil">
          {say('{year}: of {sown} sown {emerged} % came up, {released} % went out, {stood} % stood.', {
            year: String(year),
            sown: then.sown,
            emerged: Math.round((100 * then.emerged) / then.sown),
            released: Math.round((100 * then.released) / then.sown),
            stood: Math.round((100 * then.stood) / then.sown),
          })}
        </li>
      )}
      {fall.awaited > 0 && (
        <li className="text-sm text-pencil">
          {say('{awaited, plural, one {# cell may} other {# cells may}} still come up.', { awaited: fall.awaited })}
        </li>
      )}
      {fall.living > fall.released && (
        <li className="text-sm text-pencil">
          {say('{onHand, plural, one {# is} other {# are}} still here.', { onHand: fall.living - fall.released })}
        </li>
      )}
    </ol>
  );
}

function Promises({ view }: { view: LookingBackView }) {
  const { kept } = view;
  if (kept.lines === 0) return <p className="text-pencil">{say('No promised day has come yet.')}</p>;
  return (
    <>
      <p className="text-lg">
        {say('{inTime} of {lines, plural, one {# line} other {# lines}} were whole by their day: {share} of 100.', {
          inTime: kept.inTime,
          lines: kept.lines,
          share: Math.round(100 * view.keptShare),
        })}
      </p>
      <p>
        {kept.late > 0 &&
          say('{late, plural, one {One was} other {# were}} late, by {days} days in the mean.', {
            late: kept.late,
            days: figures(kept.daysLate, 1),
          })}{' '}
        {kept.missing > 0 && say('{missing, plural, one {One is} other {# are}} not whole.', { missing: kept.missing })}
      </p>
    </>
  );
}
