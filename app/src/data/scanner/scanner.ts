/** Why no picture comes. */
export type ScannerTrouble = 'refused' | 'absent' | 'busy';

export class ScannerFailed extends Error {
  readonly trouble: ScannerTrouble;

  constructor(trouble: ScannerTrouble) {
    super(`The scanner is ${trouble}.`);
    this.name = 'ScannerFailed';
    this.trouble = trouble;
  }
}

/** Something that reads codes: the camera, a handheld reader, or a stand-in. */
export interface Scanner {
  /**
   * Begins to read, and tells every text that it reads, the same one again and again. Rejects with `ScannerFailed`.
   *
   * @param video shows what it sees, if it sees
   * @returns ends it
   */
  start(video: HTMLVideoElement, onText: (text: string) => void): Promise<() => void>;
}

/** Pixels along the longer side of what is looked at: a label fills enough of them, and a slow phone keeps up. */
const LONGER_SIDE = 900;
const PAUSE_MILLISECONDS = 60;

/** The camera at the back of the phone, looked through by a worker. */
export const camera: Scanner = {
  start: async (video, onText) => {
    const stream = await openCamera();
    const worker = new Worker('/workers/scan.js');
    let isOver = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const canvas = document.createElement('canvas');
    const context = canvas.getContext('2d', { willReadFrequently: true });
    const look = (): void => {
      if (isOver) return;
      if (context === null || video.videoWidth === 0) {
        timer = setTimeout(look, PAUSE_MILLISECONDS);
        return;
      }
      const scale = Math.min(1, LONGER_SIDE / Math.max(video.videoWidth, video.videoHeight));
      canvas.width = Math.round(video.videoWidth * scale);
      canvas.height = Math.round(video.videoHeight * scale);
      context.drawImage(video, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
      worker.postMessage({ pixels: data, width, height }, [data.buffer]);
    };
    worker.addEventListener('message', ({ data }: MessageEvent<string | null>) => {
      if (isOver) return;
      if (data !== null) onText(data);
      timer = setTimeout(look, PAUSE_MILLISECONDS);
    });
    const stop = (): void => {
      isOver = true;
      clearTimeout(timer);
      worker.terminate();
      for (const track of stream.getTracks()) track.stop();
      video.srcObject = null;
    };
    video.srcObject = stream;
    await video.play().catch(() => undefined);
    look();
    return stop;
  },
};

async function openCamera(): Promise<MediaStream> {
  // Browsers give no camera to pages that did not come over a safe line.
  if (typeof navigator.mediaDevices?.getUserMedia !== 'function') throw new ScannerFailed('absent');
  try {
    return await navigator.mediaDevices.getUserMedia({
      audio: false,
      video: { facingMode: 'environment', width: { ideal: 1280 } },
    });
  } catch (error) {
    const name = error instanceof Error ? error.name : '';
    if (name === 'NotAllowedError' || name === 'SecurityError') throw new ScannerFailed('refused');
    throw new ScannerFailed(name === 'NotReadableError' || name === 'AbortError' ? 'busy' : 'absent');
  }
}
