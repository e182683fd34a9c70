import type { Source } from '../api/client';
import { dayWords, spreadWords } from '../words/days';
import { chanceWords } from '../words/phrases';
import { nameWords } from '../words/reasons';
import { say } from '../words/say';
import { told } from '../words/told';

/** Batches that could give what is wished, and a sowing of its own; one of them is chosen. */
export function SourceChoice({
  sources,
  chosen,
  choose,
  alone,
  waiting,
}: {
  sources: Source[];
  chosen: Source | undefined;
  choose: (source: number | 'SOW') => void;
  /** A sowing of its own in words; missing where it cannot be. */
  alone: string | undefined;
  /** Whether the sources are those of an earlier wish. */
  waiting: boolean;
}) {
  if (sources.length === 0) return null;
  return (
    <fieldset className="flex flex-col gap-1" disabled={waiting}>
      <legend className="mb-1 font-semibold">{say('What gives it')}</legend>
      {sources.map((source) => (
        <Choice key={source.batch} checked={chosen?.batch === source.batch} choose={() => choose(source.batch)}>
          <SourceWords source={source} />
        </Choice>
      ))}
      {alone && (
        <Choice checked={!chosen} choose={() => choose('SOW')}>
          <strong>{say('A sowing of its own')}</strong>: {alone}
        </Choice>
      )}
    </fieldset>
  );
}

function Choice({ checked, choose, children }: { checked: boolean; choose: () => void; children: React.ReactNode }) {
  return (
    <label className={`flex min-h-11 cursor-pointer items-center gap-3 border-l-4 px-3 py-1 ${checked ? 'border-dusk bg-wash' : 'border-rule'}`}>
      <input type="radio" name="source" className="size-5 shrink-0" checked={checked} onChange={choose} />
      <span>{children}</span>
    </label>
  );
}

/** "Batch 214: 130 free, growing on in the cool house, ready 3 May – 9 May. Everybody in time 19 times in 20." */
export function SourceWords({ source }: { source: Source }) {
  const { saving } = source;
  return source.kind === 'FREE' ? (
    <>
      {told('<b>Batch {batch}, {free} free</b>: {what}, ready {ready}. All who were promised of it, in time: {chance}.', {
        batch: source.batch,
        free: source.free,
        what:
          source.stage === 'PLANNED'
            ? say('to be sown {sowDay}', { sowDay: dayWords(source.sowDay) })
            : `${nameWords(source.stage).toLowerCase()}, ${source.place.toLowerCase()}`,
        ready: spreadWords(source.ready),
        chance: chanceWords(source.chance),
      })}
    </>
  ) : (
    <>
      {told('<b>Sown together with batch {batch}</b>, on {sowDay}{more}. All in time: {chance}.', {
        batch: source.batch,
        sowDay: dayWords(source.sowDay),
        more: saving ? savingWords(saving) : '',
        chance: chanceWords(source.chance),
      })}
    </>
  );
}

/** "; saves 1 tray, 6 minutes; takes 12 seeds more" */
export function savingWords(saving: NonNullable<Source['saving']>): string {
  const { trays, seeds, minutes } = saving;
  const named = (sign: 1 | -1) =>
    [
      sign * trays > 0 && say('{trays, plural, one {# tray} other {# trays}}', { trays: sign * trays }),
      sign * seeds > 0 && say('{seeds, plural, one {# seed} other {# seeds}}', { seeds: sign * seeds }),
      sign * minutes > 0 && say('{minutes, plural, one {# minute} other {# minutes}}', { minutes: sign * minutes }),
    ]
      .filter(Boolean)
      .join(', ');
  const saved = named(1);
  const more = named(-1);
  return `${saved ? say('; saves {saved}', { saved }) : ''}${more ? say('; takes {more} more', { more }) : ''}`;
}
