import { Link } from 'react-router';
import type { LineView } from '../api/client';
import { chanceWords } from '../words/phrases';
import { say } from '../words/say';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** How sure a line is; opens to what it rests on: each batch and each packet of seed that must come, and their product. */
export function LineChance({ line }: { line: LineView }) {
  const counted = line.supplies.filter((supply) => supply.counted);
  const spare = line.supplies.filter((supply) => !supply.counted);
  const covered = counted.reduce((sum, supply) => sum + supply.plants, line.inPlace?.plants ?? 0);
  return (
    <details className="w-full text-sm">
      <summary className={`trail min-h-11 content-center ${line.chance < 0.5 ? 'font-semibold text-brick' : ''}`}>
        {say('In time {chance}: how this came about', { chance: chanceWords(line.chance) })}
      </summary>
      <table className="board mb-2 w-full max-w-2xl text-left">
        <caption className="sr-only">{say('What the chance is made of')}</caption>
        <tbody className="[&_td]:px-3 [&_td]:py-1.5 [&_th]:px-3 [&_th]:py-1.5 [&_th]:text-left [&_th]:font-normal [&_tr]:border-t [&_tr]:border-rule">
          {line.inPlace && (
            <tr>
              <th scope="row">{say('{plants} from seed sown in place', { plants: line.inPlace.plants })}</th>
              <td className="text-right font-semibold">{percent(line.inPlace.chance)}</td>
            </tr>
          )}
          {counted.map((supply) => (
            <tr key={supply.batch.number}>
              <th scope="row">
                {say('{plants} from', { plants: supply.plants })}{' '}
                <Link className="trail" to={`/batches/${supply.batch.number}`}>
                  {say('batch {batch}', { batch: supply.batch.number })}
                </Link>
                {supply.batch.promises.length > 1 && (
                  <span className="block text-pencil">{say('Whoever was promised first is served first, so lines of one batch differ.')}</span>
                )}
              </th>
              <td className="text-right font-semibold">{percent(supply.chance)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row" className="font-semibold">
              {covered < line.asked.accepted
                ? say('{covered} of {accepted} that count as whole are promised: not whole', { covered, accepted: line.asked.accepted })
                : say('All of these whole and in time')}
            </th>
            <td className="text-right font-semibold">= {percent(line.chance)}</td>
          </tr>
          {spare.length > 0 && (
            <tr>
              <td colSpan={2} className="text-pencil">
                {say('Not needed for that: {batches}.', {
                  batches: spare
                    .map((supply) => say('{plants} from batch {batch}', { plants: supply.plants, batch: supply.batch.number }))
                    .join(', '),
                })}
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </details>
  );
}
