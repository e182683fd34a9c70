import { useEffect, useCallback, useMemo, useRef, useState, type PointerEvent } from 'react';
import { Link } from 'react-router';
import type { BoardBatch, BoardView, Edit } from '../api/client';
import { answered, api } from '../api/client';
import { useChange, useChoices, useSeason } from '../api/queries';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { STAGE_WORDS } from '../look/StageMark';
import { Board } from './Board';
import { type BoardFilter, boardScale, fits, NO_FILTER } from './boardScale';
import { DraftBar } from './DraftBar';
import { TrialPanel } from './TrialPanel';
import { useTrial } from './useTrial';
import { say } from '../words/say';

/** The season on its board. */
export function BoardPage({ mayChange }: { mayChange: boolean }) {
  const [draft, setDraft] = useState<number>();
  const season = useSeason(draft);
  if (season.isPending) return <Loading what={say('the season')} />;
  if (season.isError) return <Trouble error={season.error} retry={() => season.refetch()} />;
  return <SeasonOnBoard season={season.data} draft={draft} setDraft={setDraft} mayChange={mayChange} />;
}

function SeasonOnBoard({
  season,
  draft,
  setDraft,
  mayChange,
}: {
  season: BoardView;
  draft: number | undefined;
  setDraft: (draft: number | undefined) => void;
  mayChange: boolean;
}) {
  const choices = useChoices();
  const [filter, setFilter] = useState<BoardFilter>(NO_FILTER);
  const [chosen, setChosen] = useState<number>();
  const { trial, ask, forget } = useTrial(draft);
  const change = useChange((edit: Edit) =>
    answered(api.POST('/api/board/changes', { body: { edit, ...(draft ? { draft } : seenVersion(season, edit.batch)) } })),
  );
  const undo = useChange(() => answered(api.POST('/api/board/undo')));
  const shown = useMemo(() => season.batches.filter((batch) => fits(batch, filter)), [season.batches, filter]);
  const scale = useMemo(() => boardScale(shown, season.today), [shown, season.today]);
  const settle = useCallback(
    (edit: Edit | undefined) => {
      if (!edit) return;
      change.mutate(edit, { onSettled: forget });
    },
    [change, forget],
  );
  const latest = useRef(trial);
  useEffect(() => {
    latest.current = trial;
  }, [trial]);
  const choose = useCallback((batch: BoardBatch) => setChosen(batch.number), []);
  const grab = useGrab(shown, choose, ask, settle, forget);
  const acts = useMemo(
    () => ({
      trySowDay: (batch: BoardBatch, day: string) => {
        setChosen(batch.number);
        const sowDay = day < season.today ? season.today : day;
        if (latest.current?.edit.batch !== batch.number || latest.current.edit.sowDay !== sowDay) void ask({ batch: batch.number, sowDay });
      },
      settle: () => settle(latest.current?.edit),
      forget,
      choose,
      grab,
    }),
    [ask, choose, forget, grab, season.today, settle],
  );
  const overfull = trial?.view?.overflows ?? season.overflows;
  const atRisk = season.batches.filter((batch) => batch.chance < 0.5).length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{say('Season')}</h1>
        <p className="text-pencil">
          {say('{batches, plural, one {# batch} other {# batches}}', { batches: season.batches.length })}
          {atRisk > 0 && (
            <>
              , <strong className="text-brick">{say('{atRisk} at risk', { atRisk })}</strong>
            </>
          )}
          {overfull.length > 0 && (
            <>
              ,{' '}
              <Link to="/space" className="trail">
                {say('{places, plural, one {# place} other {# places}} over-full', { places: new Set(overfull.map((each) => each.placeId)).size })}
              </Link>
            </>
          )}
        </p>
        <span className="ml-auto flex flex-wrap gap-3">
          {mayChange && season.undo && !draft && (
            <button className="trail min-h-11" disabled={undo.isPending} onClick={() => undo.mutate(undefined)} title={season.undo}>
              {say('Undo: {undo}', { undo: season.undo.toLowerCase() })}
            </button>
          )}
          {mayChange && (
            <Link className="trail flex min-h-11 items-center" to="/season/reschedule">
              {say('Reschedule')}
            </Link>
          )}
          <Link className="trail flex min-h-11 items-center" to="/season/wall">
            {say('Sheets for the wall')}
          </Link>
        </span>
      </div>
      <Refusal message={undo.error?.message} />
      <div className="mb-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        <Filters season={season} filter={filter} setFilter={setFilter} shown={shown.length} />
        {mayChange && (
          <DraftBar
            season={season}
            draft={draft}
            setDraft={(id) => {
              forget();
              setDraft(id);
            }}
          />
        )}
      </div>
      {shown.length === 0 ? (
        <Nothing>
          {season.batches.length === 0
            ? say('Nothing is planned yet. Take an order, or ask “Can we?” with the key p.')
            : say('No batch fits this choice.')}
        </Nothing>
      ) : (
        <Board
          batches={shown}
          tried={trial?.view?.batch}
          scale={scale}
          today={season.today}
          chosen={trial?.edit.batch ?? chosen}
          neighbours={new Set(trial?.view?.neighbours ?? [])}
          mayChange={mayChange}
          acts={acts}
        />
      )}
      <TrialPanel
        season={season}
        batch={season.batches.find((batch) => batch.number === (trial?.edit.batch ?? chosen))}
        trial={trial}
        containers={choices.data?.containers ?? []}
        mayChange={mayChange}
        problem={trial?.problem ?? change.error?.message}
        saving={change.isPending}
        ask={(edit) => void ask(edit)}
        take={() => settle(trial?.edit)}
        forget={forget}
      />
    </>
  );
}

/** A batch held by its name, for which places and containers show, and dropped on one; each that it passes over is tried. */
function useGrab(
  batches: BoardBatch[],
  choose: (batch: BoardBatch) => void,
  ask: (edit: Edit) => Promise<void>,
  drop: (edit: Edit) => void,
  forget: () => void,
) {
  return useCallback(
    (batch: BoardBatch, event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0 || !batches.includes(batch)) return;
      const start = { x: event.clientX, y: event.clientY };
      let over: Edit | undefined;
      let moved = false;
      const label = document.createElement('div');
      const editAt = (x: number, y: number): Edit | undefined => {
        const target = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-drop]')?.dataset.drop;
        return target ? { batch: batch.number, ...(JSON.parse(target) as Omit<Edit, 'batch'>) } : undefined;
      };
      const onMove = (at: globalThis.PointerEvent) => {
        if (!moved && Math.hypot(at.clientX - start.x, at.clientY - start.y) < 8) return;
        if (!moved) {
          moved = true;
          choose(batch);
          label.className = 'board pointer-events-none fixed z-40 px-2 py-1 text-sm font-semibold shadow-lg';
          label.textContent = `${batch.number} ${batch.variety}`;
          document.body.append(label);
        }
        label.style.left = `${at.clientX + 12}px`;
        label.style.top = `${at.clientY + 12}px`;
        const edit = editAt(at.clientX, at.clientY);
        if (JSON.stringify(edit) !== JSON.stringify(over)) {
          over = edit;
          if (edit) void ask(edit);
          else forget();
        }
      };
      const onUp = () => {
        window.removeEventListener('pointermove', onMove);
        window.removeEventListener('pointerup', onUp);
        window.removeEventListener('pointercancel', onUp);
        label.remove();
        if (moved && over) drop(over);
      };
      window.addEventListener('pointermove', onMove);
      window.addEventListener('pointerup', onUp);
      window.addEventListener('pointercancel', onUp);
    },
    [ask, batches, choose, drop, forget],
  );
}

function Filters({
  season,
  filter,
  setFilter,
  shown,
}: {
  season: BoardView;
  filter: BoardFilter;
  setFilter: (filter: BoardFilter) => void;
  shown: number;
}) {
  const distinct = (of: (batch: BoardBatch) => string) => [...new Set(season.batches.map(of))].sort();
  const select = (key: keyof BoardFilter, name: string, options: { value: string; name: string }[]) => (
    <select
      className="entry w-full sm:w-auto sm:max-w-36"
      aria-label={name}
      value={filter[key]}
      onChange={(event) => setFilter({ ...filter, [key]: event.target.value })}
    >
      <option value="">{name}</option>
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.name}
        </option>
      ))}
    </select>
  );
  const plain = (values: string[]) => values.map((value) => ({ value, name: value }));
  return (
    <div className="grid grid-cols-2 items-center gap-2 sm:flex sm:flex-wrap" role="search" aria-label={say('Show only')}>
      {select(
        'grower',
        say('All growers'),
        plain([...new Set(season.batches.flatMap((batch) => batch.promises.map((promise) => promise.grower)))].sort()),
      )}
      {select('crop', say('All crops'), plain(distinct((batch) => batch.crop)))}
      {select(
        'place',
        say('All places'),
        season.places.map((place) => ({ value: String(place.id), name: place.name })),
      )}
      {select('state', say('All states'), [
        { value: 'AT_RISK', name: say('At risk') },
        ...distinct((batch) => batch.stage).map((stage) => ({ value: stage, name: STAGE_WORDS[stage as BoardBatch['stage']] })),
      ])}
      {shown < season.batches.length && (
        <button className="trail min-h-11" onClick={() => setFilter(NO_FILTER)}>
          {say('{shown} shown; show all', { shown })}
        </button>
      )}
    </div>
  );
}

/** Which plan of a batch is on the screen: one that somebody else has changed since is not overwritten. */
function seenVersion(season: BoardView, number: number): { planVersion?: number } {
  const planVersion = season.batches.find((batch) => batch.number === number)?.plan.version;
  return planVersion === undefined ? {} : { planVersion };
}
