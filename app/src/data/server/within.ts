/**
 * What `ask` gives. Where it takes longer than so many milliseconds it is broken off and this throws, also where whoever was asked does
 * not hear that it was: some runtimes forget a signal while the body of an answer is still being read.
 */
export async function within<T>(milliseconds: number, ask: (signal: AbortSignal) => Promise<T>): Promise<T> {
  const bound = new AbortController();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      bound.abort();
      reject(new Error('Nobody answered in time.'));
    }, milliseconds);
  });
  try {
    return await Promise.race([ask(bound.signal), late]);
  } finally {
    clearTimeout(timer);
  }
}
