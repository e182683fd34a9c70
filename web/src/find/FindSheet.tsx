import { Input } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Found, Refused } from '../api/client';
import { answered, api } from '../api/client';
import { Field } from '../look/Field';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { useKey } from '../look/useKey';
import { dayWords } from '../words/days';
import { reason } from '../words/reasons';
import { trayOf } from '../tray/trayCode';
import { say } from '../words/say';
import { meant, type Thing, whereTo } from './found';

const TYPING_PAUSE = 120;

/** Reading squares takes much script, which is fetched when somebody scans. */
const Scanner = lazy(() => import('./Scanner').then((module) => ({ default: module.Scanner })));

/** One field, from anywhere with one key, that finds whatever has a number, a code, a name or a day. */
export function FindSheet() {
  const [open, setOpen] = useState(false);
  const show = useCallback(() => setOpen(true), []);
  useKey('/', show);
  return (
    <>
      <button className="act min-h-11 min-w-11 px-3" onClick={show} aria-keyshortcuts="/">
        <svg aria-hidden viewBox="0 0 20 20" className="size-5 sm:hidden" fill="none" stroke="currentColor" strokeWidth="2">
          <circle cx="8.500" cy="8.500" r="5.500" />
          <path d="m12.500 12.500 5 5" />
        </svg>
        <span className="sr-only sm:not-sr-only">{say('Find')}</span> <kbd className="hidden font-normal sm:inline">/</kbd>
      </button>
      <Sheet title={say('Find anything')} wide open={open} close={() => setOpen(false)}>
        <Finding close={() => setOpen(false)} />
      </Sheet>
    </>
  );
}

/** What is typed and what fits it. A scanner types faster than anything is found: its Enter waits for what it found. */
function useFinding(text: string) {
  const [asked, setAsked] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setAsked(text.trim()), TYPING_PAUSE);
    return () => clearTimeout(timer);
  }, [text]);
  const query = useQuery<Found, Refused>({
    queryKey: ['found', asked],
    enabled: asked !== '',
    retry: false,
    placeholderData: (earlier) => earlier,
    queryFn: () => answered(api.GET('/api/found', { params: { query: { text: asked } } })),
  });
  return {
    found: asked === '' ? undefined : query.data,
    error: asked === '' ? null : query.error,
    current: asked === text.trim() && !query.isPlaceholderData && !query.isFetching,
  };
}

function Finding({ close }: { close: () => void }) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<number>();
  const [scanning, setScanning] = useState(false);
  const [misread, setMisread] = useState<string>();
  const hurried = useRef(false);
  const navigate = useNavigate();
  const { found, error, current } = useFinding(text);
  const things = found?.things ?? [];
  const open = useCallback(
    (thing: Thing | undefined) => {
      if (!thing) return;
      void navigate(whereTo(thing));
      close();
    },
    [navigate, close],
  );
  /** A label names its tray by itself, also where there is no signal; anything else is looked for. */
  const take = (scanned: string): boolean => {
    const tray = trayOf(scanned);
    setMisread(tray && !tray.fits ? scanned : undefined);
    if (!tray?.fits) return false;
    void navigate(`/trays/${tray.number}`);
    close();
    return true;
  };
  useEffect(() => {
    if (current && hurried.current) {
      hurried.current = false;
      open(meant(found?.things ?? [], undefined));
    }
  }, [current, found, open]);
  const onKey = (event: React.KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      const step = event.key === 'ArrowDown' ? 1 : -1;
      setChosen(things.length === 0 ? undefined : ((chosen ?? (step > 0 ? -1 : 0)) + step + things.length) % things.length);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (chosen === undefined && take(text)) return;
      if (current) open(meant(things, chosen));
      else hurried.current = text.trim() !== '';
    }
  };
  const active = chosen ?? (things.length > 0 ? things.indexOf(meant(things, undefined)!) : undefined);
  return (
    <div className="flex flex-col gap-3">
      <Field name={say('What or whom')} hint={say('A number (T1042, order 103), a code, part of a name, a day; or scan a label.')}>
        <Input
          className="entry text-lg"
          type="search"
          autoFocus
          autoComplete="off"
          spellCheck={false}
          role="combobox"
          aria-expanded={things.length > 0}
          aria-controls="found"
          aria-activedescendant={active === undefined ? undefined : `found-${active}`}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setChosen(undefined);
            setMisread(undefined);
            hurried.current = false;
          }}
          onKeyDown={onKey}
        />
      </Field>
      {scanning ? (
        <Suspense>
          <Scanner
            read={(scanned) => {
              setScanning(false);
              if (!take(scanned)) setText(scanned);
            }}
          />
        </Suspense>
      ) : (
        <button type="button" className="act self-start" onClick={() => setScanning(true)}>
          {say('Scan with the camera')}
        </button>
      )}
      {misread && (
        <Refusal
          message={say('{code} does not fit its check character: something was read or typed wrongly. Look at the label again.', { code: misread })}
        />
      )}
      {error && <Refusal message={error.message} />}
      <p role="status" className={found && things.length === 0 && current ? 'text-pencil' : 'sr-only'}>
        {found && current && (things.length === 0 ? say('Nothing here is called that.') : say('{found} found', { found: things.length }))}
      </p>
      {things.length > 0 && (
        <div id="found" role="listbox" aria-label={say('Found')} className={`divide-y divide-rule ${current ? '' : 'opacity-80'}`}>
          {things.map((thing, place) => (
            <Link
              key={`${thing.kind} ${thing.key}`}
              id={`found-${place}`}
              role="option"
              tabIndex={-1}
              aria-selected={place === active}
              to={whereTo(thing)}
              className={`grid min-h-11 grid-cols-[7rem_1fr_auto] items-center gap-x-3 px-2 py-1 ${place === active ? 'bg-wash outline-2 -outline-offset-2 outline-dusk' : 'hover:bg-wash'}`}
              onClick={close}
            >
              <span className="text-sm text-pencil">{reason(`found.${thing.kind}`, {})}</span>
              <span className="min-w-0">
                <span className="font-semibold">{nameOf(thing)}</span> {thing.beside && <span className="text-pencil">{thing.beside}</span>}
              </span>
              <span className="text-sm text-pencil">{thing.day && thing.kind !== 'DAY' && dayWords(thing.day)}</span>
            </Link>
          ))}
        </div>
      )}
      {found?.more && <p className="text-sm text-pencil">{say('More fits; say more of it.')}</p>}
    </div>
  );
}

function nameOf(thing: Thing): string {
  switch (thing.kind) {
    case 'DAY':
      return dayWords(thing.key);
    case 'BATCH':
    case 'ORDER':
    case 'NOTE':
      return `${thing.key} ${thing.name}`;
    default:
      return thing.name;
  }
}
