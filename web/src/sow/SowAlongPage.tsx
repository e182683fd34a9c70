import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Choices } from '../api/client';
import { useChoices, useSowingList, useStock } from '../api/queries';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Loading, Nothing, Refusal, Trouble } from '../look/States';
import { fittingMix } from '../media/fittingMix';
import { MixChoice } from '../media/MixChoice';
import { figures } from '../words/quantity';
import { say } from '../words/say';
import { current, dropped, firstCell, fresh, joined, keep, kept, lotOf, marked, seedsLeft, stepsOf, type Step, type Walked } from './along';
import { coverWords } from './coverWords';
import { HANDLING } from './handlingWords';
import { RunDrawn } from './RunDrawn';
import { Spill } from './Spill';
import { spoken, useVoice } from './useVoice';

/** The phone leads: one run at a time, large; it knows where one stopped, also after it died. */
export function SowAlongPage({ today }: { today: string }) {
  const list = useSowingList(today);
  const [walked, setWalked] = useState<Walked>(() => kept(today, window.localStorage));
  const set = (next: Walked) => {
    keep(next, window.localStorage);
    setWalked(next);
  };
  const steps = list.data && joined(walked, stepsOf(list.data)).steps;
  const known = steps ? { ...walked, steps } : walked;
  if (known.steps.length === 0 && list.isPending) return <Loading what={say('the sowing')} />;
  if (known.steps.length === 0 && list.isError) return <Trouble error={list.error} retry={() => list.refetch()} />;
  const step = current(known);
  if (!step) return <AllSown walked={known} again={() => set(fresh(today))} />;
  return <Along key={`${step.key} ${firstCell(step, known)}`} step={step} walked={known} set={set} />;
}

function AllSown({ walked, again }: { walked: Walked; again: () => void }) {
  const places = [...new Set(walked.steps.map((step) => step.sowing.place))];
  return (
    <>
      <h1 className="mb-3">{say('Sow along')}</h1>
      {walked.steps.length === 0 ? (
        <Nothing>{say('Nothing is to be sown today.')}</Nothing>
      ) : (
        <div className="board p-4 text-lg">
          <p className="font-semibold">{say('All is sown.')}</p>
          <ul className="my-2">
            {places.map((place) => (
              <li key={place}>
                {say('To the {place}: {trays}', {
                  place: place.toLowerCase(),
                  trays: walked.steps
                    .filter((step) => step.sowing.place === place && walked.done[step.key] !== 'skipped')
                    .map((step) => step.run.code)
                    .join(', '),
                })}
              </li>
            ))}
          </ul>
          <Link className="act inline-flex items-center" to="/">
            {say('Back to the round')}
          </Link>
          <button className="trail ml-4 min-h-11" onClick={again}>
            {say('Go through what was skipped')}
          </button>
        </div>
      )}
    </>
  );
}

type Different = 'short' | 'lot' | 'spill' | undefined;

function Along({ step, walked, set }: { step: Step; walked: Walked; set: (walked: Walked) => void }) {
  const choices = useChoices().data;
  const mixes = useStock().data?.mixes ?? [];
  const [mix, setMix] = useState<string>();
  const [different, setDifferent] = useState<Different>();
  const [last, setLast] = useState<number>();
  const [problem, setProblem] = useState<string>();
  const main = useRef<HTMLButtonElement>(null);
  const record = useRecord();
  const { sowing, run } = step;
  const isDropped = walked.done[step.key] === 'dropped';
  const instead = walked.instead[step.key];
  const first = firstCell(step, walked);
  const filledFrom = mix ?? String(fittingMix(mixes, 'SOWING')?.number ?? '');
  const place = walked.steps.indexOf(step) + 1;
  const lot = lotOf(step, walked);
  const left = seedsLeft(lot, walked);
  useEffect(() => main.current?.focus(), [isDropped]);
  useVoice(isDropped ? say('Cover, water once, put it down. {place}', { place: sowing.place }) : spoken(step, first, lot));
  const drop = async (lastCell: number) => {
    try {
      await record(
        `/api/batches/${sowing.batch}/sowings`,
        {
          tray: run.tray,
          firstCell: first,
          lastCell,
          seedsPerCell: sowing.seedsPerCell,
          lotId: instead?.lotId ?? sowing.lotId,
          ...(filledFrom === '' ? { medium: say('not said') } : { mix: Number(filledFrom) }),
          placeId: sowing.placeId,
        },
        say('sowing of cells {firstCell} to {lastCell} in {code}', { firstCell: first, lastCell, code: run.code }),
      );
      set(dropped(walked, step, lastCell));
    } catch (thrown) {
      setProblem(whyNot(thrown));
    }
  };
  return (
    <div className="mx-auto flex max-w-xl flex-col gap-3">
      <p className="text-pencil">{say('{place} of {all}', { place, all: walked.steps.length })}</p>
      <h1>
        {run.code}, {say('cells {first} to {last}', { first, last: run.lastCell })}
      </h1>
      {run.trial && (
        <p className="border-l-4 border-dusk px-3 text-xl">
          <strong>{run.trial.way}</strong> <span className="text-base text-pencil">{say('trial: {name}', { name: run.trial.name })}</span>
        </p>
      )}
      {different === 'spill' ? (
        <Spill step={step} walked={walked} over={() => setDifferent(undefined)} />
      ) : (
        <RunDrawn
          step={step}
          walked={walked}
          chosen={different === 'short' ? last : undefined}
          choose={different === 'short' ? setLast : undefined}
        />
      )}
      {isDropped ? (
        <div className="text-lg">
          <p className="text-2xl font-bold">{coverWords(step.depth, step.needsLight)}</p>
          <p>{say('Water to full once. Then to the {place}.', { place: sowing.place.toLowerCase() })}</p>
          <p className="text-pencil">{say('Packet {lot}: {left, plural, one {# seed} other {# seeds}} left.', { lot, left })}</p>
        </div>
      ) : (
        <div>
          <p className="text-2xl font-bold">
            {lot} <span className="font-normal">{sowing.variety}</span>
          </p>
          <p className="text-xl">
            {say('{seedsPerCell} to a cell', { seedsPerCell: figures(sowing.seedsPerCell) })}. {coverWords(step.depth, step.needsLight)}
          </p>
          {sowing.handling.map((each) => (
            <p key={each} className="text-ochre">
              {HANDLING[each]}
            </p>
          ))}
          {sowing.caution && <p className="text-ochre">{sowing.caution}</p>}
        </div>
      )}
      <Refusal message={problem} />
      <div className="sticky bottom-16 z-10 flex flex-col gap-2 bg-wall py-2 sm:bottom-0">
        {different === 'short' && (
          <button className="act act-main min-h-16 text-xl" disabled={last === undefined} onClick={() => void drop(last!)}>
            {last === undefined ? say('Tap the last cell that got seed') : say('Sown up to cell {last}', { last })}
          </button>
        )}
        {different === undefined && !isDropped && (
          <button ref={main} className="act act-main min-h-16 text-xl" onClick={() => void drop(run.lastCell)}>
            {say('Dropped')}
          </button>
        )}
        {isDropped && different !== 'spill' && (
          <button ref={main} className="act act-main min-h-16 text-xl" onClick={() => set(marked(walked, step, 'covered'))}>
            {say('Covered, next')}
          </button>
        )}
        {different === 'lot' && choices && (
          <OtherLot
            choices={choices}
            step={step}
            choose={(other) => {
              set({ ...walked, instead: { ...walked.instead, [step.key]: other } });
              setDifferent(undefined);
            }}
          />
        )}
      </div>
      {!isDropped && (
        <>
          <div className="flex flex-wrap gap-2">
            {different === 'short' || different === 'lot' ? (
              <button className="act" onClick={() => setDifferent(undefined)}>
                {say('As planned after all')}
              </button>
            ) : (
              <>
                <button className="act" onClick={() => setDifferent('short')}>
                  {say('Packet is short')}
                </button>
                <button className="act" onClick={() => setDifferent('lot')}>
                  {say('Another lot')}
                </button>
                <button className="act" onClick={() => set(marked(walked, step, 'skipped'))}>
                  {say('Skip this run')}
                </button>
                {different !== 'spill' && <SpillButton spill={() => setDifferent('spill')} />}
              </>
            )}
            {first > run.firstCell && (
              <button
                className="act"
                onClick={() => {
                  void record(`/api/batches/${sowing.batch}/left-unsown`, { tray: run.tray }, say('{code} left unsown', { code: run.code }));
                  set(marked(walked, step, 'left'));
                }}
              >
                {say('Leave the rest unsown')}
              </button>
            )}
          </div>
          <MixChoice mixes={mixes} value={filledFrom} set={setMix} problem={undefined} />
        </>
      )}
      {isDropped && different !== 'spill' && <SpillButton spill={() => setDifferent('spill')} />}
      <VoiceSwitch />
    </div>
  );
}

function SpillButton({ spill }: { spill: () => void }) {
  return (
    <button className="act self-start" onClick={spill}>
      {say("Spilled into others' cells")}
    </button>
  );
}

function OtherLot({ choices, step, choose }: { choices: Choices; step: Step; choose: (lot: Walked['instead'][string]) => void }) {
  const variety = choices.lots.find((lot) => lot.id === step.sowing.lotId)?.varietyId;
  const others = choices.lots.filter((lot) => lot.varietyId === variety && lot.seedsLeft > 0);
  return (
    <ul className="flex flex-col gap-2">
      {others.map((lot) => (
        <li key={lot.id}>
          <button className="act min-h-14 w-full text-lg" onClick={() => choose({ lotId: lot.id, lot: lot.code, seedsLeft: lot.seedsLeft })}>
            {say('{code}, {seedsLeft} left', { code: lot.code, seedsLeft: lot.seedsLeft })}
          </button>
        </li>
      ))}
    </ul>
  );
}

function VoiceSwitch() {
  const [on, setOn] = useState(() => window.localStorage.getItem('kiver.voice') === 'on');
  if (!('speechSynthesis' in window)) return null;
  return (
    <label className="flex min-h-11 items-center gap-2 text-sm">
      <input
        type="checkbox"
        className="size-5"
        checked={on}
        onChange={(event) => {
          window.localStorage.setItem('kiver.voice', event.target.checked ? 'on' : 'off');
          setOn(event.target.checked);
        }}
      />
      {say('Read each run aloud, for hands in the mix')}
    </label>
  );
}
