import type { Choices } from '../api/client';
import { dayWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import type { LineToTake } from './typedLine';
import { say } from '../words/say';

/** The lines that were put on the order so far. */
export function LinesToTake({
  lines,
  choices,
  remove,
  edit,
}: {
  lines: LineToTake[];
  choices: Choices;
  remove: (key: number) => void;
  edit: (line: LineToTake) => void;
}) {
  if (lines.length === 0) return null;
  return (
    <section aria-label={say('On this order')}>
      <h2 className="mb-2">{say('On this order')}</h2>
      <ol className="board divide-y divide-rule">
        {lines.map((line) => {
          const variety = choices.varieties.find((each) => each.id === line.wish.varietyId);
          return (
            <li key={line.key} className="flex flex-wrap items-center gap-x-3 px-3 py-1">
              <span className="grow">
                <strong>
                  {line.wish.plants} {variety?.name}
                </strong>{' '}
                <span className="text-pencil">{variety?.crop.toLowerCase()}</span>
                <span className="block text-sm text-pencil">
                  {dayWords(line.wish.target)}, {sourceOf(line)}, {chanceWords(line.chance)}
                </span>
              </span>
              <button type="button" className="trail min-h-11 px-2" onClick={() => edit(line)}>
                {say('Change')}
              </button>
              <button
                type="button"
                className="trail min-h-11 px-2"
                aria-label={say('Leave out {plants} {name}', { plants: line.wish.plants, name: variety?.name ?? '' })}
                onClick={() => remove(line.key)}
              >
                {say('Leave out')}
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

function sourceOf(line: LineToTake): string {
  if (!line.source) return line.sowDay ? say('sown {sowDay}', { sowDay: dayWords(line.sowDay) }) : say('sown for it');
  return line.source.kind === 'FREE'
    ? say('free plants of batch {batch}', { batch: line.source.batch })
    : say('sown with batch {batch}', { batch: line.source.batch });
}
