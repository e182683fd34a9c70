import { useState } from 'react';
import { sendFile, type PackagePreview, type Refused } from '../api/client';
import { useChange } from '../api/queries';
import { Refusal } from '../look/States';
import { figures } from '../words/quantity';
import { say } from '../words/say';

type Packaged = PackagePreview['crops'][number];

/** Crop figures and what batches told of them, given away and taken over in the open. */
export function Exchange() {
  const [file, setFile] = useState<File | undefined>();
  const [seen, setSeen] = useState<PackagePreview | undefined>();
  const look = useChange((chosen: File) => sendFile<PackagePreview>('/api/data-package/preview', chosen));
  const choose = (chosen: File | undefined) => {
    setFile(chosen);
    setSeen(undefined);
    if (chosen) look.mutate(chosen, { onSuccess: setSeen });
  };
  return (
    <section aria-label={say('Exchange with other nurseries')} className="mt-8">
      <h2>{say('Exchange with other nurseries')}</h2>
      <p className="mb-2 max-w-prose text-pencil">
        {say(
          'The figures of your crops, with what each batch told of them, as an open data package: CSV files and a description in JSON. No person, grower, place, variety or lot is named in it.',
        )}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <a className="act" href="/api/data-package" download>
          {say('Give them away')}
        </a>
        <label className="flex flex-col gap-1">
          {say('A package of another nursery')}
          <input className="entry" type="file" accept=".zip" onChange={(event) => choose(event.target.files?.[0])} />
        </label>
      </div>
      <Faults error={look.error} />
      {file && seen && <Preview key={`${file.name} ${file.lastModified}`} file={file} preview={seen} />}
    </section>
  );
}

function Faults({ error }: { error: Refused | null }) {
  if (!error) return null;
  return error.problems.length > 1 ? (
    <ul role="alert" className="my-2 text-brick">
      {error.problems.slice(0, 20).map((problem) => (
        <li key={problem.message}>{problem.message}</li>
      ))}
    </ul>
  ) : (
    <Refusal message={error.message} />
  );
}

function Preview({ file, preview }: { file: File; preview: PackagePreview }) {
  const [picked, setPicked] = useState<string[]>([]);
  const [withLessons, setWithLessons] = useState(true);
  const take = useChange((crops: string[]) =>
    sendFile<{ crops: number }>(
      `/api/data-package?withLessons=${withLessons}&${crops.map((crop) => `crop=${encodeURIComponent(crop)}`).join('&')}`,
      file,
    ),
  );
  const differing = preview.crops.filter((crop) => crop.beside !== 'SAME' || crop.lessons.length > 0);
  const toggle = (code: string) => setPicked(picked.includes(code) ? picked.filter((each) => each !== code) : [...picked, code]);
  if (take.data) return <p role="status">{say('{crops, plural, one {# crop} other {# crops}} taken over.', { crops: take.data.crops })}</p>;
  return (
    <>
      <p className="my-2">
        {say('{all, plural, one {# crop} other {# crops}} in it; {same} as yours.', {
          all: preview.crops.length,
          same: preview.crops.length - differing.length,
        })}
      </p>
      <ul className="board divide-y divide-rule px-3">
        {differing.map((crop) => (
          <li key={crop.code} className="flex gap-3 py-2">
            <label className="flex min-h-11 min-w-11 items-center">
              <input
                type="checkbox"
                className="size-5"
                checked={picked.includes(crop.code)}
                onChange={() => toggle(crop.code)}
                aria-label={say('Take over {crop}', { crop: crop.name })}
              />
            </label>
            <Crop crop={crop} />
          </li>
        ))}
      </ul>
      <label className="my-2 flex min-h-11 items-center gap-2">
        <input type="checkbox" className="size-5" checked={withLessons} onChange={(event) => setWithLessons(event.target.checked)} />
        {say('with what their batches told put into the figures')}
      </label>
      <Refusal message={take.error?.message} />
      <button type="button" className="act act-main" disabled={picked.length === 0 || take.isPending} onClick={() => take.mutate(picked)}>
        {say('Take over {crops, plural, one {# crop} other {# crops}}', { crops: picked.length })}
      </button>
    </>
  );
}

function Crop({ crop }: { crop: Packaged }) {
  return (
    <div>
      <p>
        {crop.name}
        <span className="text-pencil"> {crop.beside === 'NEW' ? say('new to you') : crop.beside === 'SAME' ? say('figures as yours') : ''}</span>
      </p>
      {crop.figures.length > 0 && (
        <ul className="text-sm text-pencil">
          {crop.figures.map((figure) => (
            <li key={figure.column}>
              {say('{column}: {theirs}, yours {ours}', {
                column: figure.column,
                theirs: figure.theirs === '' ? say('nothing') : figure.theirs,
                ours: figure.ours === '' ? say('nothing') : figure.ours,
              })}
            </li>
          ))}
        </ul>
      )}
      {crop.lessons.map((lesson) => (
        <p key={lesson.stage} className="text-sm">
          {lesson.stage === 'EMERGENCE'
            ? say('Their {batches, plural, one {batch says} other {# batches say}}: {times} times as long to come up as their figures say.', {
                batches: lesson.batches,
                times: figures(lesson.times, 2),
              })
            : say('Their {batches, plural, one {batch says} other {# batches say}}: {times} times as long for a leaf as their figures say.', {
                batches: lesson.batches,
                times: figures(lesson.times, 2),
              })}
        </p>
      ))}
    </div>
  );
}
