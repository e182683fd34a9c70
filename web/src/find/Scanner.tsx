import { useEffect, useRef, useState } from 'react';
import { Refusal } from '../look/States';
import { say } from '../words/say';
import { readSquare } from './readSquare';

/** A look every so many milliseconds: more often warms the phone and finds nothing sooner. */
const BETWEEN_LOOKS = 150;

/** The phone's camera, until it has read the square of a label. */
export function Scanner({ read }: { read: (text: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string>();
  const found = useRef(read);
  useEffect(() => {
    found.current = read;
  });
  useEffect(() => {
    let over = false;
    let stream: MediaStream | undefined;
    const isOver = () => over;
    const look = async () => {
      const seen = video.current;
      if (isOver() || !seen) return;
      const text = seen.readyState >= seen.HAVE_CURRENT_DATA ? await readSquare(seen) : undefined;
      if (isOver()) return;
      if (text) found.current(text);
      else setTimeout(() => void look(), BETWEEN_LOOKS);
    };
    const begin = async () => {
      // Browsers hand the camera out to pages of a safe address only.
      if (!('mediaDevices' in navigator)) throw new DOMException('', 'NotSupportedError');
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      if (isOver()) return stop();
      video.current!.srcObject = stream;
      await video.current!.play();
      await look();
    };
    const stop = () => stream?.getTracks().forEach((track) => track.stop());
    begin().catch((thrown: unknown) => {
      if (!isOver()) setProblem(whyNot(thrown));
    });
    return () => {
      over = true;
      stop();
    };
  }, []);
  return problem ? (
    <Refusal message={problem} />
  ) : (
    <figure>
      <video
        ref={video}
        muted
        playsInline
        className="aspect-[4/3] w-full border-2 border-ink bg-ink object-cover"
        aria-label={say('What the camera sees')}
      />
      <figcaption className="mt-1 text-sm text-pencil">{say('Hold the square of a label before the camera.')}</figcaption>
    </figure>
  );
}

function whyNot(thrown: unknown): string {
  switch (thrown instanceof DOMException ? thrown.name : '') {
    case 'NotAllowedError':
      return say('The camera was not allowed. Allow it for this page in the browser, or type the code.');
    case 'NotFoundError':
      return say('This device has no camera. Type the code, or use a hand scanner.');
    case 'NotSupportedError':
      return say('The browser gives the camera only to pages with a secure address (https). Type the code, or use a hand scanner.');
    default:
      return say('The camera cannot be used just now: another program may hold it. Type the code.');
  }
}
