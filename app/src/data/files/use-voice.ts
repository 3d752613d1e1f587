import { useCallback, useEffect, useRef, useState } from 'react';
import { LONGEST_VOICE_SECONDS } from '@oilcan/core/recording/attachments';
import { fileTypeOf, soundTypes, type SoundType } from '@oilcan/core/plant/files';

/** Speech needs no more: about 1.8 MB for ten minutes. */
const BITS_PER_SECOND = 24_000;

/** What was said, as sound. */
export interface Voice {
  readonly content: Uint8Array<ArrayBuffer>;
  readonly mediaType: SoundType;
  readonly seconds: number;
}

interface Recording {
  /** Seconds that it has run; null while nothing is recorded. */
  readonly seconds: number | null;
  readonly error: string | null;
  readonly start: () => void;
  readonly stop: () => void;
}

const refused: Readonly<Record<string, string>> = {
  NotAllowedError: 'The microphone is not allowed here. Allow it in the settings of the browser, or type.',
  NotFoundError: 'No microphone was found. Type it.',
  NotReadableError: 'The microphone is in use by something else. End that, and try again.',
};

/** Records the voice of the person, at most ten minutes; null where the browser cannot. */
export function useVoice(onRecorded: (voice: Voice) => void): Recording | null {
  const recorder = useRef<MediaRecorder | null>(null);
  const wantsToStop = useRef(false);
  const heard = useRef(onRecorded);
  const [seconds, setSeconds] = useState<number | null>(null);
  const [error, setError] = useState<string | null>(null);
  useEffect(() => {
    heard.current = onRecorded;
  });
  useEffect(() => () => recorder.current?.stop(), []);
  const isRunning = seconds !== null;
  useEffect(() => {
    if (!isRunning) return undefined;
    const timer = setInterval(() => setSeconds((before) => (before === null ? null : before + 1)), 1_000);
    return () => clearInterval(timer);
  }, [isRunning]);
  const stop = useCallback((): void => {
    wantsToStop.current = true;
    recorder.current?.stop();
  }, []);
  useEffect(() => {
    if (seconds !== null && seconds >= LONGEST_VOICE_SECONDS) stop();
  }, [seconds, stop]);
  const start = useCallback((): void => {
    if (recorder.current !== null) return;
    wantsToStop.current = false;
    setError(null);
    record(
      (made) => {
        recorder.current = made;
        setSeconds(0);
        // The thumb was lifted before the microphone was there.
        if (wantsToStop.current) made.stop();
      },
      (voice) => {
        recorder.current = null;
        setSeconds(null);
        if (voice === null) setError('Nothing was recorded. Hold it, or press it once and again to end.');
        else heard.current(voice);
      },
    ).catch((reason: unknown) => {
      recorder.current = null;
      setSeconds(null);
      const name = reason instanceof Error ? reason.name : '';
      setError(refused[name] ?? 'This browser cannot record sound here. Type it.');
    });
  }, []);
  if (typeof MediaRecorder === 'undefined' || !('mediaDevices' in navigator)) return null;
  return { seconds, error, start, stop };
}

async function record(
  onStarted: (recorder: MediaRecorder) => void,
  onEnded: (voice: Voice | null) => void,
): Promise<void> {
  const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
  const mimeType = soundTypes.find((type) => MediaRecorder.isTypeSupported(type));
  const recorder = new MediaRecorder(stream, {
    audioBitsPerSecond: BITS_PER_SECOND,
    ...(mimeType === undefined ? {} : { mimeType }),
  });
  const pieces: Blob[] = [];
  const startedAt = performance.now();
  recorder.addEventListener('dataavailable', ({ data }) => pieces.push(data));
  recorder.addEventListener('stop', () => {
    for (const track of stream.getTracks()) track.stop();
    const seconds = Math.min(LONGEST_VOICE_SECONDS, Math.round((performance.now() - startedAt) / 1_000));
    void new Blob(pieces).arrayBuffer().then((buffer) => {
      const content = new Uint8Array(buffer);
      const mediaType = soundTypes.find((type) => type === fileTypeOf(content));
      onEnded(mediaType === undefined || seconds < 1 ? null : { content, mediaType, seconds });
    });
  });
  recorder.start();
  onStarted(recorder);
}
