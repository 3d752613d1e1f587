/** The code of a worker could not be loaded: there is no signal, and the phone does not keep it yet. */
export class WorkerMissing extends Error {
  constructor(name: string) {
    super(`The worker “${name}” could not be loaded.`);
    this.name = 'WorkerMissing';
  }
}

/**
 * Asks a worker of its own, so that the screen does not stand still, and ends it with its answer. Null for what it could not
 * do: its own null, or an error. Rejects with `WorkerMissing` when its code cannot be loaded.
 *
 * @param name of the file in `/workers/`
 */
export function askWorker<Answer>(name: string, question: unknown): Promise<Answer | null> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(`/workers/${name}.js`);
    worker.addEventListener('message', ({ data }: MessageEvent<Answer | null>) => {
      worker.terminate();
      resolve(data);
    });
    worker.addEventListener('error', (event) => {
      worker.terminate();
      // What its code does wrong is told with words and a line; that there is no code, with neither.
      if (event instanceof ErrorEvent) resolve(null);
      else reject(new WorkerMissing(name));
    });
    worker.postMessage(question);
  });
}
