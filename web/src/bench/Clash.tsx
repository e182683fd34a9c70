import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api } from '../api/client';
import { useTray } from '../api/queries';
import { dayWords, timeWords } from '../words/days';
import { say } from '../words/say';
import type { Letter } from './outbox';
import { batchOfLetter, stillFits, trayOfLetter } from './stillFits';
import { outbox, whyNot } from './useOutbox';
import { useState } from 'react';

const LATEST = 3;

/** What was entered and not taken, beside what others did meanwhile, with what can be done about it. */
export function Clash({ letter, message }: { letter: Letter; message: string }) {
  const batch = batchOfLetter(letter);
  return (
    <div role="alert" className="mt-1 border-l-4 border-brick bg-brick-wash p-3">
      <p className="font-semibold text-brick">{message}</p>
      <div className="mt-1 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <div>
          <p className="text-sm text-pencil">{say('Entered by {byName}', { byName: letter.byName })}</p>
          <p>
            {letter.words}
            {typeof letter.body.day === 'string' && (
              <span className="block text-sm text-pencil">
                {[dayWords(letter.body.day), letter.time && timeWords(letter.time)].filter(Boolean).join(', ')}
              </span>
            )}
          </p>
        </div>
        {batch !== undefined && <Meanwhile batch={batch} letter={letter} />}
      </div>
      <Choices letter={letter} batch={batch} />
    </div>
  );
}

/** What others did to the batch on that day or since. */
function Meanwhile({ batch, letter }: { batch: number; letter: Letter }) {
  const known = useQuery({
    queryKey: ['batches', batch],
    queryFn: () => answered(api.GET('/api/batches/{number}', { params: { path: { number: batch } } })),
  });
  const day = typeof letter.body.day === 'string' ? letter.body.day : '';
  const others = (known.data?.changes ?? []).filter((change) => change.day >= day && change.by !== letter.byName).slice(-LATEST);
  if (others.length === 0) return null;
  return (
    <div>
      <p className="text-sm text-pencil">{say('Meanwhile, in batch {batch}', { batch })}</p>
      <ul>
        {others.map((change) => (
          <li key={change.sequence}>
            {change.words}
            <span className="block text-sm text-pencil">
              {[change.by, dayWords(change.day), change.time && timeWords(change.time)].filter(Boolean).join(', ')}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Choices({ letter, batch }: { letter: Letter; batch: number | undefined }) {
  const tray = trayOfLetter(letter);
  const [problem, setProblem] = useState<string>();
  const again = (body?: Record<string, unknown>) => outbox.again(letter.requestId, body).catch((full: unknown) => setProblem(whyNot(full)));
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {tray !== undefined && batch !== undefined && <WhatFits letter={letter} tray={tray} record={(body) => void again(body)} />}
      <button className="act" onClick={() => void again()}>
        {say('Try it once more')}
      </button>
      {tray !== undefined ? (
        <Link className="act inline-flex items-center" to={`/trays/${tray}`}>
          {say('Look at tray T{tray}', { tray })}
        </Link>
      ) : (
        batch !== undefined && (
          <Link className="act inline-flex items-center" to={`/batches/${batch}`}>
            {say('Look at batch {batch}', { batch })}
          </Link>
        )
      )}
      <button className="act" onClick={() => outbox.dismiss(letter.requestId)}>
        {say('Leave it as it stands')}
      </button>
      {problem && <p className="basis-full text-brick">{problem}</p>}
    </div>
  );
}

function WhatFits({ letter, tray, record }: { letter: Letter; tray: number; record: (body: Record<string, unknown>) => void }) {
  const present = useTray(tray);
  const fitting = present.data && stillFits(letter, present.data);
  return fitting ? (
    <button className="act act-main" onClick={() => record(fitting.body)}>
      {say('Record it for the {cells} of {all} cells that still fit', { cells: fitting.cells, all: fitting.all })}
    </button>
  ) : null;
}
