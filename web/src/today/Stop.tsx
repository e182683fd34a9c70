import type { LooksView, StopView } from '../api/client';
import { TooDark, TooFierce } from '../weather/PlaceLight';
import { PlaceWarnings } from '../weather/PlaceWarnings';
import { degrees, figures, temperature } from '../words/quantity';
import { minutesWords } from '../words/phrases';
import { say } from '../words/say';
import { told } from '../words/told';
import { LookFor } from './LookFor';
import { StopWater } from './StopWater';
import { ReadThermometer } from './ReadThermometer';
import { type Hand, isOpen, TaskRow } from './TaskRow';

/** One stop on the round. */
export function Stop({ stop, today, hands, looks }: { stop: StopView; today: string; hands: Hand[]; looks?: LooksView | undefined }) {
  const minutes = stop.work.flatMap((work) => work.tasks).reduce((sum, task) => sum + (isOpen(task) ? task.minutes : 0), 0);
  const over = stop.slotsTaken > stop.slots;
  return (
    <li className="relative mb-6">
      <span
        aria-hidden
        className={`absolute top-1.5 -left-[33px] size-4 rounded-full border-2 border-dusk ${stop.work.length ? 'bg-dusk' : 'bg-wall'}`}
      />
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-0.5">
        <h2>{stop.place}</h2>
        {minutes > 0 && <span className="text-sm font-semibold">{minutesWords(minutes)}</span>}
        {stop.lastMinimum != null && stop.lastMaximum != null && (
          <span className="text-sm text-pencil">
            {say('yesterday {lastMinimum} to {lastMaximum}{more}', {
              lastMinimum: figures(temperature(stop.lastMinimum), 1),
              lastMaximum: degrees(stop.lastMaximum),
              more:
                stop.setMinimum != null
                  ? say(', set {setMinimum} to {setMaximum}', {
                      setMinimum: figures(temperature(stop.setMinimum)),
                      setMaximum: degrees(stop.setMaximum!, 0),
                    })
                  : '',
            })}
          </span>
        )}
        <span className={`text-sm ${over ? 'font-semibold text-brick' : 'text-pencil'}`}>
          {say('{slotsTaken} of {slots} tray places taken{more}', {
            slotsTaken: stop.slotsTaken,
            slots: stop.slots,
            more: over ? say(', {slotsTaken} too many', { slotsTaken: stop.slotsTaken - stop.slots }) : '',
          })}
        </span>
      </div>
      <ReadThermometer placeId={stop.placeId} place={stop.place} />
      <PlaceWarnings warnings={stop.warnings} />
      <TooDark light={stop.light} place={stop.placeId} />
      <TooFierce light={stop.light} />
      {stop.caution && <p className="text-sm text-ochre">{told('<b>Mind:</b> {caution}', { caution: stop.caution })}</p>}
      {looks && <LookFor placeId={stop.placeId} looks={looks} />}
      <StopWater placeId={stop.placeId} water={stop.water} />
      {stop.work.length === 0 ? (
        <p className="text-sm text-pencil">
          {stop.quietBatches > 0
            ? say('Nothing to do; {batches, plural, one {# batch} other {# batches}} to look over.', { batches: stop.quietBatches })
            : say('Empty.')}
        </p>
      ) : (
        <>
          <ul className="board mt-2 divide-y divide-rule">
            {stop.work.flatMap((work) =>
              work.tasks.map((task) => (
                <TaskRow key={`${work.batch.number} ${task.kind}`} batch={work.batch} task={task} today={today} hands={hands} />
              )),
            )}
          </ul>
          {stop.quietBatches > 0 && (
            <p className="mt-1 text-sm text-pencil">
              {say('{batches, plural, one {# other batch} other {# other batches}} to look over.', { batches: stop.quietBatches })}
            </p>
          )}
        </>
      )}
    </li>
  );
}
