/** How the bundler's runtime loads a file of code by its address. */
interface Runtime {
  readonly __loadBundleAsync?: (address: string) => Promise<void>;
}

let loaded = false;

/**
 * Gets code that is loaded when it is wanted. What several such pieces share stands in a file of its own, which the first screen
 * does not need and which comes before the first piece. The build names it in the page (`scripts/shared-code.mjs`); where it
 * does not, the page has loaded it itself.
 *
 * @example const { saveTable } = await withSharedCode(() => import('../../data/save-table'));
 */
export async function withSharedCode<Code>(get: () => Promise<Code>): Promise<Code> {
  if (!loaded) {
    const address = document.querySelector('meta[name=shared-code]')?.getAttribute('content');
    if (address !== null && address !== undefined) await (globalThis as Runtime).__loadBundleAsync?.(address);
    loaded = true;
  }
  return get();
}
