import { useMutation } from '@tanstack/react-query';
import { useEffect } from 'react';
import { answered, api } from '../api/client';
import { forgetKept } from '../bench/keptQueries';
import { Loading } from '../look/States';
import { say } from '../words/say';

/** Where a copy is entered that somebody plays in. */
export const PLAYED = '/played';

/** Opens the copy for whoever brings its word, which stands behind the # so that no log ever holds it. */
export function PlayDoor() {
  const word = window.location.hash.slice(1);
  const { mutate, error } = useMutation({
    mutationFn: () => answered(api.POST('/api/play/door', { body: { word } })),
    // Of an earlier play at the same address nothing stays; the page is loaded anew, so that nobody stays signed in in it.
    onSuccess: async () => {
      await forgetKept();
      window.location.replace('/');
    },
  });
  useEffect(() => mutate(), [mutate]);
  if (!error) return <Loading what={say('the copy')} />;
  return (
    <main className="mx-auto flex min-h-dvh max-w-sm flex-col justify-center gap-5 p-6">
      <h1>{say('Not to be played')}</h1>
      <p role="alert">{error.message}</p>
      <p>{say('Open it from the page on which the play was begun.')}</p>
    </main>
  );
}
