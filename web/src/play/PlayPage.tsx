import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { PlayView, SessionView } from '../api/client';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Loading, Refusal, Trouble } from '../look/States';
import { PastYearChoice } from '../space/InYear';
import { longDay } from '../words/days';
import { say } from '../words/say';
import { PLAYED } from './PlayDoor';

const ASKED_AGAIN = 1000;

/** Where the copy is entered: at the address that the installation names, or at this one's with its own port. */
const doorOf = (play: PlayView) => `${play.address ?? `${window.location.protocol}//${window.location.hostname}:${play.port}`}${PLAYED}#${play.word}`;

/** A season is tried in a copy of the nursery before one trusts in it: in the weather of a year one chooses, and nothing is kept. */
export function PlayPage({ session }: { session: SessionView }) {
  const play = useQuery({
    queryKey: ['play'],
    queryFn: () => answered(api.GET('/api/play')),
    refetchInterval: ({ state }) => (state.data?.stage === 'COPYING' || state.data?.stage === 'OPENING' ? ASKED_AGAIN : false),
  });
  return (
    <>
      <h1 className="mb-2">{say('Play a season')}</h1>
      <p className="mb-4 max-w-prose">
        {say(
          'Everything you have is copied as it stands, into a nursery that only you can enter. There weeks pass in minutes: watch the round, the space and the promises. Here, nothing changes.',
        )}
      </p>
      {session.playedYear != null ? (
        <p className="board p-4">{say('This is such a copy already. Another is begun in the nursery itself.')}</p>
      ) : play.isPending ? (
        <Loading what={say('the play')} />
      ) : play.isError ? (
        <Trouble error={play.error} retry={() => play.refetch()} />
      ) : play.data.on ? (
        <Playing play={play.data} today={session.today} />
      ) : (
        <Begin />
      )}
    </>
  );
}

function Begin() {
  const [year, setYear] = useState<number>();
  const begin = useChange((chosen: number) => answered(api.POST('/api/play', { body: { year: chosen } })));
  return (
    <form
      className="board p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (year !== undefined) begin.mutate(year);
      }}
    >
      <PastYearChoice name={say('in the weather of')} none={say('a year to be chosen')} year={year} choose={setYear} />
      <Refusal message={begin.error?.problems[0]?.message ?? begin.error?.message} />
      <button className="act act-main" disabled={year === undefined || begin.isPending}>
        {year === undefined ? say('Choose a year first') : say('Play the season in the weather of {year}', { year: String(year) })}
      </button>
    </form>
  );
}

function Playing({ play, today }: { play: PlayView; today: string }) {
  const end = useChange(() => answered(api.DELETE('/api/play')));
  return (
    <section className="board flex flex-col gap-3 p-4" aria-label={say('The play')}>
      <h2>{say('In the weather of {year}', { year: String(play.year) })}</h2>
      <p role="status">{stageWords(play, today)}</p>
      {play.stage === 'OPEN' && play.mine && (
        <a className="act act-main self-start" href={doorOf(play)} target="_blank" rel="noopener">
          {say('Open the copy')}
        </a>
      )}
      {play.stage === 'OPEN' && play.mine && (
        <p className="text-sm text-pencil">
          {say('It opens beside this page. It ends when you end it here, or when Kiver stops; nothing is left of it then.')}{' '}
          <Link className="trail inline-flex min-h-11 items-center sm:min-h-0" to={`/space?year=${play.year}`}>
            {say('What would break in {year}', { year: String(play.year) })}
          </Link>
        </p>
      )}
      {play.stage === 'OPEN' && play.mine && !play.address && window.location.protocol === 'https:' && (
        <p className="text-sm text-pencil">{say('Where it does not open, ask whoever keeps Kiver running: copies need an address of their own.')}</p>
      )}
      <Refusal message={end.error?.message} />
      <button className="act self-start" disabled={end.isPending} onClick={() => end.mutate(undefined)}>
        {play.stage === 'FAILED' ? say('Put it away') : say('End the play; keep nothing')}
      </button>
    </section>
  );
}

function stageWords(play: PlayView, today: string): string {
  switch (play.stage) {
    case 'COPYING':
      return say('The nursery is being copied; go on working meanwhile.');
    case 'OPENING':
      return say('The copy is being opened; that takes some seconds.');
    case 'FAILED':
      return say('The copy could not be opened, or ended by itself; the server’s log says why. Nothing of the nursery was changed.');
    default:
      return play.mine
        ? say('The copy is open. It began on {day}.', { day: longDay(play.from ?? today) })
        : say('Somebody else is playing in a copy that you cannot see.');
  }
}
