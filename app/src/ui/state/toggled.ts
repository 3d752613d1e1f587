/** A list with one thing taken in, or out where it was in. */
export function toggled<T>(list: readonly T[], item: T): readonly T[] {
  return list.includes(item) ? list.filter((each) => each !== item) : [...list, item];
}
