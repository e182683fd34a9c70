import type { Source } from '../api/client';
import { chanceWords, counted, dayWords, nameWords, spreadWords } from '../look/words';

/** Batches that could give what is wished, and a sowing of its own; one of them is chosen. */
export function SourceChoice({
  sources, chosen, choose, alone, waiting,
}: {
  sources: Source[]; chosen: Source | undefined; choose: (source: number | 'SOW') => void;
  /** A sowing of its own in words; missing where it cannot be. */
  alone: string | undefined;
  /** Whether the sources are those of an earlier wish. */
  waiting: boolean;
}) {
  if (sources.length === 0) return null;
  return (
    <fieldset className="flex flex-col gap-1" disabled={waiting}>
      <legend className="mb-1 font-semibold">What gives it</legend>
      {sources.map((source) => (
        <Choice key={source.batch} checked={chosen?.batch === source.batch} choose={() => choose(source.batch)}>
          <SourceWords source={source} />
        </Choice>
      ))}
      {alone && <Choice checked={!chosen} choose={() => choose('SOW')}><strong>A sowing of its own</strong>: {alone}</Choice>}
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
      <strong>Batch {source.batch}, {source.free} free</strong>: {source.stage === 'PLANNED' ? `to be sown ${dayWords(source.sowDay)}` : `${nameWords(source.stage).toLowerCase()}, ${source.place.toLowerCase()}`},
      {' '}ready {spreadWords(source.ready)}. All who were promised of it, in time: {chanceWords(source.chance)}.
    </>
  ) : (
    <>
      <strong>Sown together with batch {source.batch}</strong>, on {dayWords(source.sowDay)}
      {saving && savingWords(saving)}.
      {' '}All in time: {chanceWords(source.chance)}.
    </>
  );
}

/** "; saves 1 tray, 6 minutes; takes 12 seeds more" */
export function savingWords(saving: NonNullable<Source['saving']>): string {
  const parts: [number, string][] = [[saving.trays, 'tray'], [saving.seeds, 'seed'], [saving.minutes, 'minute']];
  const saved = parts.filter(([count]) => count > 0).map(([count, one]) => counted(count, one));
  const more = parts.filter(([count]) => count < 0).map(([count, one]) => counted(-count, one));
  return `${saved.length > 0 ? `; saves ${saved.join(', ')}` : ''}${more.length > 0 ? `; takes ${more.join(', ')} more` : ''}`;
}
