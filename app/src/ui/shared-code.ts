/** How the bundler's runtime loads a file of code by its address. */
interface Runtime {
  __loadBundleAsync?: (address: string) => Promise<void>;
}

/**
 * What several pieces share stands in a file of its own, of which the first screen needs nothing: it comes with the first
 * piece. The build names it in the page (`scripts/shared-code.mjs`); where it does not, the page has loaded it itself.
 */
export function loadSharedCodeWithPieces(): void {
  const address = document.querySelector('meta[name=shared-code]')?.getAttribute('content');
  const runtime: Runtime = globalThis;
  const load = runtime.__loadBundleAsync;
  if (address === null || address === undefined || load === undefined) return;
  runtime.__loadBundleAsync = async (wanted) => {
    await Promise.all([load(address), load(wanted)]);
  };
}
