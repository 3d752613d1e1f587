/**
 * A shorter list that still fails: leaves out ever smaller pieces for as long as that works
 * (Zeller and Hildebrandt, “Simplifying and Isolating Failure-Inducing Input”, 2002).
 */
export async function shrink<T>(
  list: readonly T[],
  fails: (shorter: readonly T[]) => Promise<boolean>,
): Promise<readonly T[]> {
  let shortest = list;
  let size = Math.ceil(list.length / 2);
  while (size >= 1) {
    let isShorter = false;
    for (let start = 0; start < shortest.length; start += size) {
      const candidate = [...shortest.slice(0, start), ...shortest.slice(start + size)];
      if (candidate.length === shortest.length || !(await fails(candidate))) continue;
      shortest = candidate;
      isShorter = true;
      start -= size;
    }
    if (!isShorter) size = size === 1 ? 0 : Math.ceil(size / 2);
  }
  return shortest;
}
