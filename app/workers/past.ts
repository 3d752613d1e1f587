import { readAnswer } from '../src/data/past/read-answer';
import type { PastQuestion } from '../src/data/past/read-past';

addEventListener('message', ({ data }: MessageEvent<PastQuestion>) => {
  try {
    const { jobs, modes, ...said } = readAnswer(data);
    postMessage(said);
    postMessage({ jobs, modes });
  } catch {
    postMessage(null);
  }
});
