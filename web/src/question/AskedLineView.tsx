import type { AskedLine, PlanView, Wish } from '../api/client';
import { PromiseAnswer } from '../promise/PromiseAnswer';
import { Refusal } from '../look/States';
import { dayWords, shortDay } from '../words/days';
import { chanceWords, coverWords } from '../words/phrases';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { told } from '../words/told';
import { changedBy } from './asking';

const MISSING: Record<AskedLine['missing'][number], string> = {
  PLANTS: say('how many plants'),
  VARIETY: say('of which crop or variety'),
  DAY: say('for which day'),
};

const ANSWERS: Record<PlanView['promise']['answer'], string> = { YES: say('yes'), YES_IF: say('yes, with conditions'), NO: say('no') };

/** "400 Blue Lantern, Wed 12 May" */
export function lineWords(line: AskedLine): string {
  const reading = line.reading;
  return reading ? say('{plants} {variety}, {day}', { plants: figures(reading.wish.plants), variety: reading.variety, day: spanWords(reading) }) : '';
}

function spanWords(reading: NonNullable<AskedLine['reading']>): string {
  return reading.firstDay === reading.lastDay
    ? dayWords(reading.wish.target)
    : say('{first} to {last}', { first: shortDay(reading.firstDay), last: shortDay(reading.lastDay) });
}

/** One thing that was asked for: how it was read, what must still be said or chosen, and the answer. */
export function AskedLineView({
  line,
  today,
  several,
  settle,
  typeMore,
}: {
  line: AskedLine;
  today: string;
  several: boolean;
  settle: (wish: Wish) => void;
  typeMore: (words: string) => void;
}) {
  const { reading, plan } = line;
  return (
    <section aria-label={lineWords(line) || say('What was asked')} className={`flex flex-col gap-2 ${several ? 'border-t-2 border-rule pt-3' : ''}`}>
      {reading && <Read reading={reading} />}
      {line.choices.length > 0 && <Choices line={line} settle={settle} typeMore={typeMore} />}
      {line.missing.length > 0 && (
        <p className="text-sm">{say('Still to say: {missing}.', { missing: line.missing.map((each) => MISSING[each]).join(', ') })}</p>
      )}
      <Refusal message={line.refused ?? undefined} />
      {reading && plan && <PromiseAnswer plan={plan} today={today} choose={(offer) => settle(changedBy(reading.wish, offer))} />}
    </section>
  );
}

/** How the question was read, so that a wrong reading is seen at once. */
function Read({ reading }: { reading: NonNullable<AskedLine['reading']> }) {
  const span = reading.firstDay !== reading.lastDay;
  return (
    <p className="text-sm">
      {told('Read as <b>{plants} {variety}</b> ({crop}){trays}, {span}, {container}, {leavesFrom} to {leavesTo} true leaves{cover}{where}.', {
        plants: figures(reading.wish.plants),
        variety: reading.variety,
        crop: reading.crop.toLowerCase(),
        trays: reading.trays == null ? '' : say(', {trays, plural, one {# tray} other {# trays}}', { trays: reading.trays }),
        span: span
          ? say('{span}, looked at for {day}', { span: spanWords(reading), day: dayWords(reading.wish.target) })
          : dayWords(reading.wish.target),
        container: reading.container.toLowerCase(),
        leavesFrom: reading.wish.leavesFrom,
        leavesTo: reading.wish.leavesTo,
        cover: reading.wish.protection ? say(', {cover}', { cover: coverWords(reading.wish.protection) }) : '',
        where: reading.site
          ? say(', for {site} ({grower})', { site: reading.site, grower: reading.grower })
          : say(', no site named: frost is not looked at'),
      })}
    </p>
  );
}

const WHICH: Record<AskedLine['choices'][number]['kind'], string> = {
  VARIETY: say('Which of these?'),
  CONTAINER: say('In which of these?'),
  SITE: say('For which of these?'),
};

/** All that fit what was said, each with its answer where it can be given. */
function Choices({ line, settle, typeMore }: { line: AskedLine; settle: (wish: Wish) => void; typeMore: (words: string) => void }) {
  return (
    <div>
      <h3 className="mb-1">{WHICH[line.choices[0]!.kind]}</h3>
      <ul className="flex flex-wrap gap-2">
        {line.choices.map((choice) => (
          <li key={choice.name}>
            <button type="button" className="act min-h-11" onClick={() => (choice.wish ? settle(choice.wish) : typeMore(choice.name))}>
              {choice.name}{' '}
              <span className="font-normal text-pencil">
                {[
                  choice.of.toLowerCase(),
                  choice.answer && ANSWERS[choice.answer],
                  choice.answer && choice.answer !== 'NO' && choice.chance != null && chanceWords(choice.chance),
                ]
                  .filter(Boolean)
                  .join('; ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
