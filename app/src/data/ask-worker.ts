/**
 * Asks a worker of its own, so that the screen does not stand still, and ends it with its answer. Null for what it could not
 * do: its own null, or an error.
 *
 * @param name of the file in `/workers/`
 */
export function askWorker<Answer>(name: string, question: unknown): Promise<Answer | null> {
  return new Promise((resolve) => {
    const worker = new Worker(`/workers/${name}.js`);
    const end = (answer: Answer | null): void => {
      worker.terminate();
      resolve(answer);
    };
    worker.addEventListener('message', ({ data }: MessageEvent<Answer | null>) => end(data));
    worker.addEventListener('error', () => end(null));
    worker.postMessage(question);
  });
}
