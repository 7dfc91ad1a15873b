'use client';

import { Button, Modal } from '@mantine/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { showProblem } from '@/design/notices';
import { useCamera } from '../camera/useCamera';
import { longestClipS } from './source';
import own from './clip.module.css';

interface RecorderProps {
  readonly icon: ReactNode;
  readonly onClip: (clip: Blob) => void;
}

/** Records a clip on this device, at most twenty seconds, without sound. */
export function Recorder({ icon, onClip }: RecorderProps) {
  const { stream, problem, open, close } = useCamera();
  const recorder = useRef<MediaRecorder | null>(null);
  const video = useRef<HTMLVideoElement>(null);
  const [leftS, setLeftS] = useState<number | null>(null);
  useEffect(() => {
    if (video.current !== null) video.current.srcObject = stream;
  }, [stream]);
  useEffect(() => {
    if (problem !== null) showProblem(problem);
  }, [problem]);
  const isRecording = leftS !== null;
  useEffect(() => {
    if (!isRecording) return undefined;
    const timer = setInterval(() => setLeftS((left) => (left === null ? null : left - 1)), 1000);
    return () => clearInterval(timer);
  }, [isRecording]);
  useEffect(() => {
    if (leftS === 0 && recorder.current?.state === 'recording') recorder.current.stop();
  }, [leftS]);
  // Left altogether: what the recorder still hands over is of nobody.
  useEffect(
    () => () => {
      recorder.current = null;
    },
    [],
  );
  const stop = () => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  };
  const leave = () => {
    recorder.current = null;
    setLeftS(null);
    close();
  };
  const begin = () => {
    if (stream === null) return;
    let made: MediaRecorder;
    try {
      made = new MediaRecorder(stream);
    } catch {
      showProblem('This browser cannot record. Take the clip with the camera’s own app.');
      return;
    }
    const parts: Blob[] = [];
    made.addEventListener('dataavailable', ({ data }) => parts.push(data));
    made.addEventListener('stop', () => {
      // Left meanwhile: nothing is kept.
      if (recorder.current !== made) return;
      leave();
      onClip(new Blob(parts, { type: made.mimeType }));
    });
    recorder.current = made;
    made.start();
    setLeftS(longestClipS);
  };
  return (
    <>
      <Button variant="default" leftSection={icon} onClick={() => void open()}>
        Record one
      </Button>
      <Modal opened={stream !== null} onClose={leave} size="lg" title="Record a clip">
        <video
          ref={(element) => {
            video.current = element;
            if (element !== null) element.srcObject = stream;
          }}
          autoPlay
          muted
          playsInline
          className={own.live}
        />
        <Button
          mt="md"
          fullWidth
          size="lg"
          {...(isRecording ? { color: 'var(--lv-stop)' } : {})}
          onClick={() => (isRecording ? stop() : begin())}
        >
          {isRecording ? `Stop (${leftS} s left)` : 'Record'}
        </Button>
      </Modal>
    </>
  );
}
