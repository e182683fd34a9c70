import { useState } from 'react';
import { Link } from 'react-router';
import type { LooksView, LookView } from '../api/client';
import { useOutbox, useRecord, whyNot } from '../bench/useOutbox';
import { Caution, Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';

type Ailment = LookView['ailment'];

const NAMES: Record<Ailment, string> = {
  DAMPING_OFF: say('damping-off'),
  SLUGS: say('slugs'),
  MICE: say('mice'),
  FUNGUS_GNATS: say('fungus gnats'),
  APHIDS: say('aphids'),
  FLEA_BEETLE: say('flea beetles'),
  BIRDS: say('birds'),
};

/** How much of what stands there, as a glance tells it. */
const SHARES = [
  { share: 0, words: say('none') },
  { share: 0.05, words: say('a few') },
  { share: 0.2, words: say('a fifth') },
  { share: 0.5, words: say('half or more') },
];

const FROM_PESTICIDES: Ailment[] = ['SLUGS', 'FUNGUS_GNATS', 'APHIDS', 'FLEA_BEETLE'];

/** What to look for at a stop, each noted by one tap; and where damping-off was seen lately, what to mind. */
export function LookFor({ placeId, looks }: { placeId: number; looks: LooksView }) {
  const here = looks.looks.filter((look) => look.placeId === placeId);
  const damping = looks.dampingOff.find((each) => each.placeId === placeId);
  const [open, setOpen] = useState<Ailment>();
  const waiting = useOutbox().waiting.filter((letter) => letter.path === '/api/looks/notes' && letter.body.placeId === placeId);
  const record = useRecord();
  const [problem, setProblem] = useState<string>();
  if (here.length === 0 && !damping) return null;
  const seen = (look: LookView): number | undefined =>
    (waiting.findLast((letter) => letter.body.ailment === look.ailment)?.body.share as number | undefined) ?? look.seenToday ?? undefined;
  const chosen = here.find((look) => look.ailment === open);
  return (
    <div className="mt-1">
      {damping && (
        <p className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          {say('Damping-off was seen here on {day}: air, light, water from below; wash trays and tools before they are used again.', {
            day: dayWords(damping.seenOn),
          })}{' '}
          {damping.mixes.length > 0 && say('Look twice at what is filled from mix {mixes}.', { mixes: damping.mixes.join(', ') })}
        </p>
      )}
      {here.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-1 text-sm">
          <span className="text-pencil">{say('Look for')}</span>
          {here.map((look) => (
            <button
              key={look.ailment}
              className={`trail min-h-11 px-1.5 ${seen(look) === undefined ? '' : 'text-pencil'}`}
              aria-expanded={open === look.ailment}
              onClick={() => setOpen(open === look.ailment ? undefined : look.ailment)}
            >
              {NAMES[look.ailment]}
              {seen(look) !== undefined && `: ${SHARES.findLast((each) => each.share <= seen(look)!)!.words}`}
            </button>
          ))}
        </p>
      )}
      {chosen && (
        <div role="group" aria-label={NAMES[chosen.ailment]} className="board p-2">
          <div className="flex flex-wrap gap-2">
            {SHARES.map(({ share, words }) => (
              <button
                key={share}
                className="act"
                onClick={() =>
                  record(
                    '/api/looks/notes',
                    { placeId, ailment: chosen.ailment, share },
                    say('{ailment}: {words}', { ailment: NAMES[chosen.ailment], words }),
                  )
                    .then(() => setOpen(undefined))
                    .catch((full: unknown) => setProblem(whyNot(full)))
                }
              >
                {words}
              </button>
            ))}
          </div>
          <p className="mt-1 text-sm">
            {chosen.batches.slice(0, 8).map((batch) => (
              <Link key={batch} className="trail mr-2 inline-flex min-h-11 items-center" to={`/batches/${batch}`}>
                {say('batch {batch}', { batch })}
              </Link>
            ))}
          </p>
          {chosen.ailment === 'MICE' && (
            <p className="text-sm text-pencil">{say('Peas, beans and large seed stand safest where no mouse comes in, until they are up.')}</p>
          )}
          {FROM_PESTICIDES.includes(chosen.ailment) && (
            <Caution>{say('Pesticides: only what is approved locally, by its label, away from children and animals.')}</Caution>
          )}
        </div>
      )}
      <Refusal message={problem} />
    </div>
  );
}
