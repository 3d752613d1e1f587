/** So long after the same was done, its second press may still be on its way. */
const ECHO_MILLISECONDS = 350;

/**
 * Does the same but once, however often it is asked for while it is under way and just after: everybody who asks gets what came of
 * the first. What failed may be tried again at once.
 *
 * @param now a clock that no setting moves, in milliseconds
 */
export class Once<Done> {
  readonly #underway = new Map<string, { readonly done: Promise<Done>; endedAt: number | null }>();
  readonly #now: () => number;

  constructor(now: () => number) {
    this.#now = now;
  }

  do(what: string, act: () => Promise<Done>, isTaken: (done: Done) => boolean): Promise<Done> {
    // Something else in between makes the same another time: ticked, taken back, and ticked again.
    for (const [key, { endedAt }] of this.#underway)
      if (endedAt !== null && (key !== what || this.#now() - endedAt >= ECHO_MILLISECONDS)) this.#underway.delete(key);
    const same = this.#underway.get(what);
    if (same !== undefined) return same.done;
    const done = act();
    const entry = { done, endedAt: null as number | null };
    this.#underway.set(what, entry);
    done.then(
      (made) => {
        if (isTaken(made)) entry.endedAt = this.#now();
        else this.#underway.delete(what);
      },
      () => this.#underway.delete(what),
    );
    return done;
  }
}
