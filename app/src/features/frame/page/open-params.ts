/** The router's state, as far as it is looked into here. */
interface Views {
  readonly index?: number | undefined;
  readonly routes: readonly { readonly params?: object | undefined; readonly state?: Views | undefined }[];
}

const isNested = (params: object): params is { readonly screen: unknown; readonly params?: object } =>
  'screen' in params;

/** The parameters of the innermost view that is open, those in its path and those behind it. */
export function openParams(state: Views | undefined): Readonly<Record<string, string>> {
  let views = state;
  let params: object = {};
  while (views !== undefined) {
    const open = views.routes[views.index ?? views.routes.length - 1];
    params = open?.params ?? {};
    views = open?.state;
  }
  // What is not drawn yet stands in the parameters of what will draw it.
  while (isNested(params)) params = params.params ?? {};
  return Object.fromEntries(Object.entries(params).filter(([, value]) => typeof value === 'string'));
}
