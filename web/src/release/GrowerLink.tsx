import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { dayWords } from '../words/days';
import { say } from '../words/say';

/** A link by which a grower opens their page without an account, until it ends. */
export function GrowerLink({ grower, name }: { grower: number; name: string }) {
  const link = useQuery({
    queryKey: ['growers', grower, 'link'],
    queryFn: () => answered(api.GET('/api/growers/{id}/link', { params: { path: { id: grower } } })),
  });
  const renew = useChange(() => answered(api.POST('/api/growers/{id}/link', { params: { path: { id: grower } } })));
  const withdraw = useChange(() => answered(api.DELETE('/api/growers/{id}/link', { params: { path: { id: grower } } })));
  if (!link.data) return null;
  const { code, until } = link.data;
  return (
    <details className="board p-4">
      <summary className="trail">{say('A page for {name} without an account', { name })}</summary>
      <div className="mt-2 flex flex-col gap-2">
        {code != null && until != null ? (
          <>
            <p>
              <code className="text-lg">{code}</code>
            </p>
            <p className="text-sm break-all">{`${window.location.origin}/g/${code}`}</p>
            <p className="text-sm text-pencil">
              {say('Whoever has it sees their plants alone, until {until}. It goes with each message and is on each note.', {
                until: dayWords(until),
              })}
            </p>
          </>
        ) : (
          <p className="text-sm text-pencil">{say('There is none. It shows them their plants alone, for 60 days, and can be withdrawn.')}</p>
        )}
        <Refusal message={renew.error?.message ?? withdraw.error?.message} />
        <div className="flex flex-wrap gap-2">
          <button className="act" disabled={renew.isPending} onClick={() => renew.mutate()}>
            {code != null ? say('Make a new one; this one ends') : say('Make one')}
          </button>
          {code != null && (
            <button className="act" disabled={withdraw.isPending} onClick={() => withdraw.mutate()}>
              {say('Withdraw it')}
            </button>
          )}
        </div>
      </div>
    </details>
  );
}
