import { useState } from 'react';
import type { SeenOnPhotograph, TrayView } from '../api/client';
import { Refused, sendFile } from '../api/client';
import { useChange, useSession } from '../api/queries';
import { photographs, type Unread, useUnread } from '../bench/photographs';
import { announce } from '../look/announce';
import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
import { timeWords } from '../words/days';
import { say } from '../words/say';
import { CornerMarks, FIRST_CORNERS, type Corners } from './CornerMarks';
import { KeptPhotographs } from './KeptPhotographs';
import { type Shot, shrunk } from './shot';

/** A tray photographed from above: its four corners are put in place, and what it shows is proposed as a count. */
export function PhotographWork({ tray, seen }: { tray: TrayView; seen: (result: SeenOnPhotograph) => void }) {
  const [shot, setShot] = useState<Shot>();
  const [corners, setCorners] = useState<Corners>(FIRST_CORNERS);
  const [keep, setKeep] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [request, setRequest] = useState(() => crypto.randomUUID());
  const person = useSession().data?.person;
  const waiting = useUnread(person).filter((each) => each.tray === tray.number);
  const look = useChange((photograph: Shot) =>
    sendFile<SeenOnPhotograph>(
      `/api/trays/${tray.number}/photographs/file?corners=${corners.flat().join(',')}${keep ? `&keep=${request}` : ''}`,
      photograph.file,
    ),
  );
  const close = () => {
    if (shot) URL.revokeObjectURL(shot.address);
    setShot(undefined);
    setProblem(undefined);
    look.reset();
  };
  /** No signal: it stays here with its corners and is opened again when there is one. */
  const keepHere = (taken: Shot) =>
    photographs
      .keep({
        id: request,
        tray: tray.number,
        by: person ?? 0,
        takenAt: Date.now(),
        corners,
        keep,
        width: taken.width,
        height: taken.height,
        picture: taken.file,
      })
      .then(() => {
        announce(say('Kept on this device; open it again when there is a connection.'));
        close();
      })
      .catch(() => setProblem(say('There is no connection, and this device keeps no photographs. Take it again when there is one.')));
  const open = (unread: Unread) => {
    setCorners(unread.corners as Corners);
    setKeep(unread.keep);
    setRequest(unread.id as typeof request);
    setShot({
      file: new File([unread.picture], 'tray.jpg', { type: 'image/jpeg' }),
      address: URL.createObjectURL(unread.picture),
      width: unread.width,
      height: unread.height,
    });
  };
  const take = (file?: File) => {
    if (!file) return;
    shrunk(file)
      .then((made) => {
        setCorners(FIRST_CORNERS);
        setRequest(crypto.randomUUID());
        setShot(made);
        setProblem(undefined);
      })
      .catch(() => setProblem(say('This picture cannot be opened here. Take it again, as JPEG or PNG.')));
  };
  return (
    <>
      <label className="act cursor-pointer focus-within:outline-2">
        {say('From a photograph')}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(event) => {
            take(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </label>
      {!shot && <Refusal message={problem} />}
      <Sheet title={say('Tray {code} from above', { code: tray.code })} open={shot !== undefined} close={close} wide>
        {shot && (
          <div className="flex flex-col gap-3">
            <p className="text-sm">
              {say('Put the four marks on the outer corners of the cells, as one reads: above left is cell 1. Arrow keys move a mark, too.')}
            </p>
            <CornerMarks shot={shot} corners={corners} change={setCorners} />
            <label className="flex min-h-11 items-center gap-2">
              <input type="checkbox" className="size-5 accent-dusk" checked={keep} onChange={(event) => setKeep(event.target.checked)} />
              {say('Keep a small copy with this tray')}
            </label>
            <Refusal message={problem ?? look.error?.message} />
            <button
              className="act act-main"
              disabled={look.isPending}
              onClick={() =>
                look.mutate(shot, {
                  onSuccess: (result) => {
                    void photographs.forget(request);
                    seen(result);
                    close();
                  },
                  onError: (refused) => {
                    if (refused instanceof Refused && refused.mayPassLater) void keepHere(shot);
                  },
                })
              }
            >
              {look.isPending ? say('Looking…') : say('Propose a count')}
            </button>
            <p className="text-sm text-pencil">{say('Nothing is recorded yet: look the cells over, then save the count.')}</p>
          </div>
        )}
      </Sheet>
      {waiting.length > 0 && (
        <ul className="flex flex-wrap items-center gap-x-4 text-sm">
          {waiting.map((each) => (
            <li key={each.id} className="flex items-center gap-2">
              <button className="act" onClick={() => open(each)}>
                {say('Read the photograph of {time}', { time: timeWords(new Date(each.takenAt).toTimeString().slice(0, 5)) })}
              </button>
              <button className="trail min-h-11" onClick={() => void photographs.forget(each.id)}>
                {say('Throw away')}
              </button>
            </li>
          ))}
        </ul>
      )}
      <KeptPhotographs tray={tray.number} />
    </>
  );
}
