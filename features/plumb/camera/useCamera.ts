'use client';

import { useEffect, useRef, useState } from 'react';

/** Why a camera does not open, with what is to be done. */
function words(error: unknown): string {
  const name = error instanceof DOMException ? error.name : '';
  switch (name) {
    case 'NotAllowedError':
      return 'The camera was refused. Allow it for this page in the browser’s bar, or choose a picture or a clip instead.';
    case 'NotFoundError':
    case 'OverconstrainedError':
      return 'No camera is found. Connect one, or choose a picture or a clip instead.';
    case 'AbortError':
      return 'The camera did not begin. Open it again; if it still does not, unplug it and plug it in anew, or choose a picture or a clip instead.';
    case 'NotReadableError':
      return 'Another program holds the camera. Close it there and try again.';
    default:
      return 'The camera cannot be opened here. It needs this computer itself or the app’s own secure address; a picture or a clip can be chosen instead.';
  }
}

/** What a camera is asked for. */
const wishes: MediaStreamConstraints = {
  audio: false,
  video: { facingMode: 'environment', width: { ideal: 960 }, height: { ideal: 720 } },
};

/** Opens it; one that was too slow to begin, as from sleep, is asked once more. */
async function begin(devices: MediaDevices): Promise<MediaStream> {
  try {
    return await devices.getUserMedia(wishes);
  } catch (error) {
    if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    return devices.getUserMedia(wishes);
  }
}

const hasEnded =
  'The camera has stopped giving pictures: it was taken away, or another program has it. Open it again when it is back.';

export interface Camera {
  readonly stream: MediaStream | null;
  readonly problem: string | null;
  readonly open: () => Promise<MediaStream | null>;
  readonly close: () => void;
}

/** The device's camera, without sound: open only while somebody asks for it. */
export function useCamera(): Camera {
  const held = useRef<MediaStream | null>(null);
  const asked = useRef(0);
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const close = () => {
    asked.current += 1;
    held.current?.getTracks().forEach((track) => track.stop());
    held.current = null;
    setStream(null);
  };
  useEffect(
    () => () => {
      asked.current += 1;
      held.current?.getTracks().forEach((track) => track.stop());
    },
    [],
  );
  const open = async () => {
    const turn = (asked.current += 1);
    setProblem(null);
    try {
      // Absent where the page is not secure.
      const devices = (navigator as Partial<Navigator>).mediaDevices;
      if (devices === undefined) throw new Error('no devices');
      const opened = await begin(devices);
      if (turn !== asked.current) {
        opened.getTracks().forEach((track) => track.stop());
        return null;
      }
      // Pulled out, or taken by the device: a picture that stands still would be timed on.
      for (const track of opened.getTracks()) {
        track.addEventListener('ended', () => {
          if (held.current !== opened) return;
          close();
          setProblem(hasEnded);
        });
      }
      held.current = opened;
      setStream(opened);
      return opened;
    } catch (error) {
      if (turn === asked.current) setProblem(words(error));
      return null;
    }
  };
  return { stream, problem, open, close };
}
