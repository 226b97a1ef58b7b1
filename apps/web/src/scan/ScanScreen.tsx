import { useSuspenseQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { Notice } from '../parts/Notice.tsx';
import { cardAddress } from './cardAddress.ts';
import { type CodeReader, codeReader } from './codeReader.ts';
import { type CameraState, useCamera } from './useCamera.ts';

/** So often is looked for a code: quick for a hand, and sparing of a battery. */
const LOOK_MS = 180;

const SAID: Readonly<Record<CameraState, string>> = {
  starting: 'Asking for the camera…',
  on: 'Hold the code of a box card before the camera.',
  refused: 'The camera is not given to this page. Allow it in the browser’s settings for this address.',
  none: 'This device has no camera that answers.',
  insecure:
    'Browsers give the camera only to pages of the same device, or over https. The phone’s own camera opens the code as well.',
};

/** The code on a card opens its box, by the phone's camera; it works without a network once it was used with one. */
export function ScanScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  const navigate = useNavigate();
  const { video, state } = useCamera();
  const [other, setOther] = useState<string>();
  const [broken, setBroken] = useState(false);

  useEffect(() => {
    if (state !== 'on') return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let looking = true;
    const lookWith = async (read: CodeReader): Promise<void> => {
      // A picture that is not there yet, or could not be read, is looked at again.
      const code =
        document.hidden || !video.current ? undefined : await read(video.current).catch(() => undefined);
      if (!looking) return;
      const address = code === undefined ? undefined : cardAddress(code);
      if (address) return navigate(address, { replace: true });
      if (code !== undefined) setOther(code);
      timer = setTimeout(() => void lookWith(read), LOOK_MS);
    };
    codeReader().then(
      (read) => (looking ? lookWith(read) : undefined),
      () => looking && setBroken(true),
    );
    return () => {
      looking = false;
      clearTimeout(timer);
    };
  }, [state, video, navigate]);

  if (!yard) return <p className="p-6">There is no such yard.</p>;
  return (
    <main className="mx-auto flex h-full max-w-xl flex-col gap-3 overflow-y-auto p-4">
      <h1 className="text-xl">Read the code of a card</h1>
      <p role="status">
        {broken ? 'The reader could not be loaded; it needs the server once.' : SAID[state]}
      </p>
      <div
        className={`relative overflow-hidden rounded-lg border border-hairline bg-sheet ${state === 'on' ? '' : 'hidden'}`}
      >
        <video ref={video} muted playsInline aria-label="What the camera sees" className="block w-full">
          <track kind="captions" />
        </video>
        <span
          aria-hidden
          className="pointer-events-none absolute inset-[18%] rounded-xl border-4 border-yellow"
        />
      </div>
      {other !== undefined && (
        <Notice kind="ask">That code is of no box card: “{other.slice(0, 80)}”.</Notice>
      )}
      <p className="text-soft">A label typed into the line above, such as B7, opens its box as well.</p>
      <Link className="button mt-auto min-h-12 justify-center" to={`/yard/${yard.id}`}>
        Back to {yard.name}
      </Link>
    </main>
  );
}
