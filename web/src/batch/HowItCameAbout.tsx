import type { BatchView } from '../api/client';
import { dayWords, spreadWords } from '../words/days';
import { figures } from '../words/quantity';
import { say } from '../words/say';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** What the chance and the days of a batch are made of: the parts that they were worked out from, and their product. */
export function HowItCameAbout({ batch }: { batch: BatchView }) {
  const { chances, summary, plan } = batch;
  const { balance } = summary;
  const night = chances.nightShare < 0.995;
  return (
    <details className="mb-3 text-sm">
      <summary className="trail inline-block min-h-11 content-center">{say('How this came about')}</summary>
      <table className="board mt-1 w-full max-w-2xl text-left">
        <caption className="sr-only">{say('What the chance is made of')}</caption>
        <tbody className="[&_td]:px-3 [&_td]:py-1.5 [&_th]:px-3 [&_th]:py-1.5 [&_th]:text-left [&_th]:align-top [&_th]:font-normal [&_tr]:border-t [&_tr]:border-rule">
          <tr>
            <th scope="row">
              {say('Enough plants')}
              <span className="block text-pencil">
                {balance.sown === 0
                  ? say('{wanted} wanted of {cells} cells to be sown, {seedsPerCell} a cell, with what is known of the lot and of survival', {
                      wanted: chances.wanted,
                      cells: plan.cells,
                      seedsPerCell: plan.seedsPerCell,
                    })
                  : say('{wanted} wanted; {alive} alive, {waiting} cells still waiting; deaths to come counted in', {
                      wanted: chances.wanted,
                      alive: summary.plantsAlive,
                      waiting: balance.waiting,
                    })}
              </span>
            </th>
            <td className="text-right font-semibold whitespace-nowrap">{percent(chances.enough)}</td>
          </tr>
          <tr>
            <th scope="row">
              {say('Ready in time and not past their best')}
              <span className="block text-pencil">
                {say('ready {ready}; wanted {target}. Each past year, measured or estimated, is one way the weather may go.', {
                  ready: spreadWords(summary.dates.ready ?? undefined),
                  target: dayWords(summary.dates.target),
                })}{' '}
                {Math.abs(chances.pace - 1) >= 0.02 &&
                  say('By its own counts it runs at {pace} times its crop’s pace.', { pace: figures(chances.pace, 2) })}{' '}
                {Math.abs(chances.longerHere - 1) >= 0.02 &&
                  say('Counts of other batches taught that a leaf takes {longer} times as long in {place} as the crop’s figures say.', {
                    longer: figures(chances.longerHere, 2),
                    place: batch.places.growingOn.name,
                  })}
              </span>
            </th>
            <td className="text-right font-semibold whitespace-nowrap">× {percent(chances.inTime)}</td>
          </tr>
          {night && (
            <tr>
              <th scope="row">{say('Not lost to the coming night where they stand')}</th>
              <td className="text-right font-semibold whitespace-nowrap">× {percent(chances.nightShare)}</td>
            </tr>
          )}
          <tr>
            <th scope="row" className="font-semibold">
              {say('Whole and in time')}
            </th>
            <td className="text-right font-semibold whitespace-nowrap">= {percent(summary.chance)}</td>
          </tr>
        </tbody>
      </table>
    </details>
  );
}
