/** A step again and again, until there is nothing left to do. */
export async function* whileAny(step: () => Promise<number>): AsyncGenerator<number> {
  for (let count = await step(); count > 0; count = await step()) yield count;
}
