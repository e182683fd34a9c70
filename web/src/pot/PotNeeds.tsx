import type { PottingView, PotView } from '../api/client';
import { places, volume } from '../words/quantity';
import { potRemarkWords } from '../words/reasons';
import { say } from '../words/say';

/** What speaks against a pot, and what it takes of pots, mix, labels, room and time; scaled to the plants that go on. */
export function PotNeeds({ potting, pot, plants }: { potting: PottingView; pot: PotView; plants: number }) {
  const share = potting.plants > 0 ? plants / potting.plants : 0;
  const carriers = Math.ceil(plants / pot.cells);
  const pieces = pot.pots ? plants : carriers;
  const slots = pot.slots * carriers;
  const more = slots - potting.slots * share;
  return (
    <>
      {pot.remarks.length > 0 && (
        <ul className="list-disc pl-5 text-sm text-brick">
          {pot.remarks.map((remark) => (
            <li key={remark.kind}>{potRemarkWords(remark)}</li>
          ))}
        </ul>
      )}
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
        <dt className="text-pencil">{say('Mix')}</dt>
        <dd>{say('about {litres}', { litres: volume(pot.litres * share) })}</dd>
        <dt className="text-pencil">{say('Pots')}</dt>
        <dd>
          {pot.inShed == null ? say('{wanted}', { wanted: pieces }) : say('{wanted} of {there} in the shed', { wanted: pieces, there: pot.inShed })}
        </dd>
        <dt className="text-pencil">{say('Labels')}</dt>
        <dd>{say('{carriers} for carriers, {rows} for rows, {pots} for pots', { carriers, rows: Math.ceil(plants / pot.columns), pots: plants })}</dd>
        <dt className="text-pencil">{say('Room')}</dt>
        <dd className={more > potting.free ? 'font-semibold text-brick' : ''}>
          {say('{before} tray places become {after}; {place} has {free} free', {
            before: places(potting.slots * share),
            after: places(slots),
            place: potting.place,
            free: places(Math.max(0, potting.free)),
          })}
        </dd>
        <dt className="text-pencil">{say('Time')}</dt>
        <dd>{say('{minutes} min of one pair of hands', { minutes: Math.max(1, Math.round(pot.minutes * share)) })}</dd>
      </dl>
    </>
  );
}
