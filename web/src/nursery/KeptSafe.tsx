import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import type { CopyView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Nothing, Refusal } from '../look/States';
import { useSafekeeping } from '../today/copies';
import { dayOfYear, timeWords } from '../words/days';
import { figures } from '../words/quantity';
import { say } from '../words/say';

const MEBIBYTE = 2 ** 20;
const GIBIBYTE = 2 ** 30;
const SHOWN = 8;

const WHY: Record<CopyView['reason'], string> = { NIGHT: say('each night'), UPGRADE: say('before an upgrade'), BY_HAND: say('by hand') };

/** The nursery's copies: how old the last is, what is kept, and everything to take along. */
export function KeptSafe() {
  const state = useSafekeeping();
  const copy = useChange(() => answered(api.POST('/api/safekeeping/copies')));
  const here = useRef<HTMLElement>(null);
  const wanted = useLocation().hash === '#kept-safe' && state.isSuccess;
  useEffect(() => {
    if (wanted) here.current?.scrollIntoView();
  }, [wanted]);
  if (!state.data) return null;
  const { folder, copies, old, trouble, freeBytes, lowOnDisk } = state.data;
  const last = copies[0];
  return (
    <section ref={here} id="kept-safe" aria-label={say('Kept safe')} className="mb-8 max-w-3xl scroll-mt-20">
      <h2 className="mb-2">{say('Kept safe')}</h2>
      {folder == null && <Nothing>{say('No copies are made: no folder is named for them on the machine.')}</Nothing>}
      {folder != null && (
        <>
          <p className={old ? 'border-l-4 border-brick bg-brick-wash p-3' : ''}>
            {last
              ? say('The last whole copy is of {day}, {time}, and was read to its end. One is made each night; of older ones some stay for a year.', {
                  day: dayOfYear(last.madeAt.slice(0, 10)),
                  time: timeWords(last.madeAt.slice(11, 16)),
                })
              : say('There is no copy yet. One is made each night, and the first within minutes of the start.')}
          </p>
          {trouble && (
            <p role="alert" className="mt-2 border-l-4 border-brick bg-brick-wash p-3 [overflow-wrap:anywhere]">
              {say('The last attempt failed: {trouble}', { trouble })}
            </p>
          )}
          <p className={lowOnDisk ? 'mt-2 font-semibold text-brick' : 'mt-2 text-pencil'}>
            {freeBytes != null && say('{free} GB are free on that disk.', { free: figures(freeBytes / GIBIBYTE, 1) })}{' '}
            {say('Copies lie beside the nursery: carry one to another machine from time to time.')}
          </p>
          <div className="my-2 flex flex-wrap items-center gap-3">
            <button className="act" disabled={copy.isPending} onClick={() => copy.mutate(undefined)}>
              {copy.isPending ? say('Copying…') : say('Make a copy now')}
            </button>
          </div>
          <Refusal message={copy.error?.message} />
          {copies.length > 0 && (
            <details>
              <summary className="trail min-h-11 content-center [overflow-wrap:anywhere]">
                {say('{copies, plural, one {# copy} other {# copies}} in {folder}', { copies: copies.length, folder })}
              </summary>
              <ul className="board divide-y divide-rule px-3">
                {copies.slice(0, SHOWN).map((each) => (
                  <li key={each.name} className="flex flex-wrap gap-x-4 py-1">
                    <span className="grow [overflow-wrap:anywhere]">{each.name}</span>
                    <span className="text-pencil">
                      {WHY[each.reason]}, {say('{size} MB', { size: figures(each.bytes / MEBIBYTE, 1) })}
                    </span>
                  </li>
                ))}
              </ul>
              {copies.length > SHOWN && <p className="text-sm text-pencil">{say('and {more} older ones', { more: copies.length - SHOWN })}</p>}
              <p className="mt-1 text-sm text-pencil">
                {say('On the machine, a copy is brought back into an empty folder by: {command}', { command: 'KIVER_HOME=… ./kiver restore …' })}
              </p>
            </details>
          )}
        </>
      )}
      <p>
        <a className="trail inline-flex min-h-11 items-center" href="/api/safekeeping/everything" download>
          {say('Take everything out, as an open data package')}
        </a>
      </p>
      <p className="text-sm text-pencil">
        {say(
          'It holds the whole record with photographs, people’s addresses and their passwords as they are kept (not readable). Keep it as you keep the keys.',
        )}
      </p>
    </section>
  );
}
