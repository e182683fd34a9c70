import { useState } from 'react';
import type { SeenOnPhotograph, TrayView } from '../api/client';
import { sendFile } from '../api/client';
import { useChange } from '../api/queries';

import { Sheet } from '../look/Sheet';
import { Refusal } from '../look/States';
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
            <Refusal message={look.error?.message} />
            <button
              className="act act-main"
              disabled={look.isPending}
              onClick={() =>
                look.mutate(shot, {
                  onSuccess: (result) => {
                    seen(result);
                    close();
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
      <KeptPhotographs tray={tray.number} />
    </>
  );
}
