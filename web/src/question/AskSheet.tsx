import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import type { Answered, Refused } from '../api/client';
import { answered, api } from '../api/client';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { useKey } from '../look/useKey';
import { say } from '../words/say';
import { type Before, marked, type Settled, settledWith, wishesOf } from './asking';
import { AskedLineView, lineWords } from './AskedLineView';
import { StillToSow } from './StillToSow';
import { Taking } from './Taking';

const TYPING_PAUSE = 150;
const SHORTEST = 4;

/** A question put as it comes over the telephone, from any page with one key, answered while it is typed. */
export function AskSheet({ today }: { today: string }) {
  const [open, setOpen] = useState(false);
  const show = useCallback(() => setOpen(true), []);
  useKey('p', show);
  return (
    <>
      <button className="act min-h-11 px-3 whitespace-nowrap" onClick={show}>
        {say('Can we?')} <kbd className="hidden font-normal sm:inline">p</kbd>
      </button>
      <Sheet title={say('Can we promise it?')} wide open={open} close={() => setOpen(false)}>
        <Asking today={today} done={() => setOpen(false)} />
      </Sheet>
    </>
  );
}

/** What is typed, what it follows and what was chosen for it; the answer stays until there is another. */
function useQuestion() {
  const [text, setText] = useState('');
  const [asked, setAsked] = useState('');
  const [before, setBefore] = useState<Before>();
  const [settled, setSettled] = useState<Settled[]>([]);
  const [held, setHeld] = useState<Answered>();
  useEffect(() => {
    const timer = setTimeout(() => setAsked(text.trim().length >= SHORTEST ? text : ''), TYPING_PAUSE);
    return () => clearTimeout(timer);
  }, [text]);
  const query = useQuery<Answered, Refused>({
    queryKey: ['promise', asked, before?.wishes, settled],
    enabled: asked !== '',
    retry: false,
    placeholderData: (earlier) => earlier,
    queryFn: () => answered(api.POST('/api/promises', { body: { text: asked, before: before?.wishes ?? [], settled } })),
  });
  const fresh = asked !== '' && !query.isError ? query.data : undefined;
  return {
    text,
    before,
    query,
    answer: fresh ?? (asked === '' ? held : undefined),
    problem: asked === '' ? null : query.error,
    current: asked === '' || (asked === text && !query.isPlaceholderData),
    type: (words: string) => {
      setText(words);
      setSettled([]);
    },
    settle: (one: Settled) => setSettled(settledWith(settled, one.line, one.wish)),
    /** Keeps the question that was answered, so that the next words may change it. */
    goOn: () => {
      const wishes = wishesOf(fresh);
      if (!fresh || !wishes) return;
      setBefore({ wishes, words: fresh.lines.map(lineWords) });
      setHeld(fresh);
      setText('');
      setAsked('');
      setSettled([]);
    },
    beginAnew: () => {
      setBefore(undefined);
      setHeld(undefined);
      setText('');
      setAsked('');
      setSettled([]);
    },
  };
}

function Asking({ today, done }: { today: string; done: () => void }) {
  const question = useQuestion();
  const { text, before, answer, problem } = question;
  const atText = problem?.problemAt('text');
  return (
    <div className="flex flex-col gap-4">
      {before && (
        <p className="flex flex-wrap items-center gap-x-3 text-sm">
          <span className="text-pencil">{say('Asked before: {words}', { words: before.words.join('; ') })}</span>
          <button type="button" className="trail min-h-11 px-2" onClick={question.beginAnew}>
            {say('Begin anew')}
          </button>
        </p>
      )}
      <Field
        name={before ? say('And if') : say('Asked on the telephone')}
        problem={atText}
        hint={
          before
            ? say('A week earlier; in 9 cm pots; in a tunnel; and 200 leeks. Or ask something else.')
            : say('How many of what, for which day; where and in what, if it was said. Or: what can I still sow?')
        }
      >
        <Input
          className="entry text-lg"
          autoFocus
          value={text}
          autoComplete="off"
          spellCheck={false}
          placeholder={before ? say('a week earlier') : say('400 curly kale, 12 May, Upper terrace, standard module')}
          onChange={(event) => question.type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              question.goOn();
            }
          }}
        />
      </Field>
      {problem && !atText && <Refusal message={problem.message} />}
      <div aria-live="polite" className={`flex flex-col gap-4 ${question.current ? '' : 'opacity-80'}`}>
        {answer && answer.notUnderstood.length > 0 && <NotUnderstood text={text} answer={answer} />}
        {answer?.stillToSow && <StillToSow view={answer.stillToSow} today={today} ask={question.type} />}
        {answer?.lines.map((line, index) => (
          <AskedLineView
            key={index}
            line={line}
            today={today}
            several={answer.lines.length > 1}
            settle={(wish) => question.settle({ line: index, wish })}
            typeMore={(words) => question.type(`${text.trim()}, ${words}`)}
          />
        ))}
        {answer && wishesOf(answer) && (
          <>
            <Taking key={JSON.stringify(wishesOf(answer))} lines={answer.lines} current={question.current} done={done} />
            {text !== '' && (
              <button type="button" className="trail self-start min-h-11 px-2" onClick={question.goOn}>
                {say('Ask on from here')} <kbd className="hidden font-normal sm:inline">{say('Enter')}</kbd>
              </button>
            )}
          </>
        )}
      </div>
    </div>
  );
}

/** The question as it was typed, with what meant nothing marked in it. */
function NotUnderstood({ text, answer }: { text: string; answer: Answered }) {
  return (
    <div className="border-l-4 border-ochre bg-ochre-wash p-3 text-sm">
      <p className="leading-7">
        {marked(text, answer.notUnderstood).map((piece, place) =>
          piece.lost ? (
            <mark key={place} className="rounded-none bg-transparent font-semibold text-ochre underline decoration-wavy underline-offset-4">
              {piece.words}
            </mark>
          ) : (
            <span key={place}>{piece.words}</span>
          ),
        )}
      </p>
      <p className="text-ochre">
        {say('Not understood: {notUnderstood}. Say it otherwise, or ask back.', {
          notUnderstood: answer.notUnderstood.map((mark) => `“${mark.word}”`).join(', '),
        })}
      </p>
    </div>
  );
}
