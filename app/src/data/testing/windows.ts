import type { OtherWindows, Told } from '../database/other-windows';

/** Windows of one browser in a test; `isDeaf` while what they tell one another is lost. */
export class Windows {
  isDeaf = false;
  readonly #listeners: ((told: Told) => void)[] = [];
  #turn: Promise<unknown> = Promise.resolve();

  open(): OtherWindows {
    let own: ((told: Told) => void) | undefined;
    return {
      tell: (told) => {
        if (!this.isDeaf) for (const listener of this.#listeners) if (listener !== own) listener(told);
      },
      onTold: (listener) => {
        own = listener;
        this.#listeners.push(listener);
      },
      alone: async (task) => {
        const run = this.#turn.then(task);
        this.#turn = run.catch(() => undefined);
        await run;
      },
    };
  }
}
