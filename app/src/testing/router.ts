/** In place of the router, for tests: notes where somebody wanted to go. */
export const visited: string[] = [];

export const router = {
  navigate: (path: string): void => void visited.push(path),
  push: (path: string): void => void visited.push(path),
  replace: (path: string): void => void visited.push(path),
  back: (): void => void visited.push('back'),
  setParams: (params: object): void => void visited.push(`?${JSON.stringify(params)}`),
  canGoBack: (): boolean => true,
};

export const useRouter = (): typeof router => router;
export const useGlobalSearchParams = (): Readonly<Record<string, string>> => ({});
export const useRootNavigationState = (): undefined => undefined;
export const useSegments = (): readonly string[] => [];
export const usePathname = (): string => visited.at(-1) ?? '/shift';
