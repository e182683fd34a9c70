import { Textarea } from '@headlessui/react';
import { useState } from 'react';
import { useRecord, whyNot } from '../bench/useOutbox';
import { Field } from '../look/Field';
import { Refusal } from '../look/States';
import { say } from '../words/say';

/** A few words about a batch, kept with what was done to it; also where there is no signal. */
export function NoteForm({ batch }: { batch: number }) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const record = useRecord();
  return (
    <form
      noValidate
      className="mb-3 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        record(`/api/batches/${batch}/notes`, { text }, say('note on batch {batch}', { batch }))
          .then(() => {
            setText('');
            setProblem(undefined);
          })
          .catch((full: unknown) => setProblem(whyNot(full)));
      }}
    >
      <Field name={say('What you saw or thought')}>
        <Textarea className="entry min-h-24" maxLength={1000} value={text} onChange={(event) => setText(event.target.value)} />
      </Field>
      <Refusal message={problem} />
      <button className="act self-start" disabled={text.trim() === ''}>
        {say('Note it')}
      </button>
    </form>
  );
}
