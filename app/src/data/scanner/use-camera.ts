import { useEffect, useRef, useState, type RefObject } from 'react';
import { camera, ScannerFailed, type ScannerTrouble } from './scanner';

interface Camera {
  /** Where its picture is shown. */
  readonly video: RefObject<HTMLVideoElement | null>;
  /** Why nothing is seen; null while all is well. */
  readonly trouble: ScannerTrouble | null;
}

/** Tells what code is held before the camera, as long as it is wanted and its picture is shown. */
export function useCamera(onRead: (text: string) => void, isWanted = true): Camera {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState<ScannerTrouble | null>(null);
  const latest = useRef(onRead);
  useEffect(() => {
    latest.current = onRead;
  });
  useEffect(() => {
    const target = video.current;
    if (!isWanted || target === null) return undefined;
    let stop: (() => void) | undefined;
    let isOver = false;
    camera
      .start(target, (text) => latest.current(text))
      .then(
        (end) => {
          stop = end;
          if (isOver) end();
        },
        (error: unknown) => {
          if (!isOver) setTrouble(error instanceof ScannerFailed ? error.trouble : 'absent');
        },
      );
    return () => {
      isOver = true;
      stop?.();
    };
  }, [isWanted]);
  return { video, trouble };
}
