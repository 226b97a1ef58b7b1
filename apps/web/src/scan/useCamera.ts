import { type RefObject, useEffect, useRef, useState } from 'react';

export type CameraState = 'starting' | 'on' | 'refused' | 'none' | 'insecure';

/** The camera on the back of a device in a `video`, for as long as that is shown. */
export function useCamera(): { video: RefObject<HTMLVideoElement | null>; state: CameraState } {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<CameraState>('starting');
  useEffect(() => {
    let wanted = true;
    let stream: MediaStream | undefined;
    void (async () => {
      // Browsers give the camera to pages of this device, or that came over an encrypted connection.
      if (!window.isSecureContext) return setState('insecure');
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment', width: { ideal: 1_280 } },
        });
      } catch (error) {
        const { name } = error as DOMException;
        if (wanted) setState(name === 'NotAllowedError' || name === 'SecurityError' ? 'refused' : 'none');
        return;
      }
      if (!wanted || !video.current) return stop(stream);
      video.current.srcObject = stream;
      await video.current.play().catch(() => undefined);
      if (wanted) setState('on');
    })();
    return () => {
      wanted = false;
      stop(stream);
    };
  }, []);
  return { video, state };
}

function stop(stream: MediaStream | undefined): void {
  for (const track of stream?.getTracks() ?? []) track.stop();
}
