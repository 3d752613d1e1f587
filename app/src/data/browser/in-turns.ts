/** Does a task for each of a list, so many at once; the results in the order of the list. */
export async function inTurns<Item, Result>(
  items: readonly Item[],
  atOnce: number,
  task: (item: Item) => Result | Promise<Result>,
): Promise<Result[]> {
  const results: Result[] = [];
  let next = 0;
  const work = async (): Promise<void> => {
    for (let index = next++; index < items.length; index = next++) results[index] = await task(items[index] as Item);
  };
  await Promise.all(Array.from({ length: Math.min(atOnce, items.length) }, work));
  return results;
}
