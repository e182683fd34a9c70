import { useState } from 'react';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { type Here, whereIAm } from './here';

/** Takes where one is from the device; says why where it does not tell. */
export function TakeHere({ take }: { take: (here: Here) => void }) {
  const [refused, setRefused] = useState<string>();
  return (
    <>
      <button
        type="button"
        className="act self-start"
        onClick={() =>
          whereIAm().then(
            (here) => {
              setRefused(undefined);
              take(here);
            },
            (why: unknown) => setRefused((why as Error).message),
          )
        }
      >
        {say('Take it from this device')}
      </button>
      <Refusal message={refused} />
    </>
  );
}
