import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { dayWords, timeWords } from '../words/days';
import { say } from '../words/say';

/** Where one is signed in; ended there when a phone is lost or a computer was borrowed. */
export function SignedIn() {
  const open = useQuery({ queryKey: ['open-sessions'], queryFn: () => answered(api.GET('/api/session/open')) });
  const end = useChange((mark: string) => answered(api.DELETE('/api/session/open/{mark}', { params: { path: { mark } } })));
  if (!open.data?.length) return null;
  return (
    <section aria-labelledby="signed-in" className="mt-8">
      <h2 id="signed-in" className="mb-2">
        {say('Where you are signed in')}
      </h2>
      <ul className="board divide-y divide-rule px-3">
        {open.data.map((each) => (
          <li key={each.mark} className="flex min-h-12 flex-wrap items-center gap-x-3 py-1">
            <span className="grow">
              {each.phone == null ? say('A device') : each.phone ? say('A phone') : say('A computer')}
              {each.here && <strong>{say(', this one')}</strong>}
              <span className="block text-sm text-pencil">
                {say('since {since}, used last on {day}, {time}', {
                  since: dayWords(each.since.slice(0, 10)),
                  day: dayWords(each.lastSeen.slice(0, 10)),
                  time: timeWords(each.lastSeen.slice(11, 16)),
                })}
              </span>
            </span>
            {!each.here && (
              <button className="act" disabled={end.isPending} onClick={() => end.mutate(each.mark)}>
                {say('Sign out there')}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Refusal message={end.error?.message} />
    </section>
  );
}
