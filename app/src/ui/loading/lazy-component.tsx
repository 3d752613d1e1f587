import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from '../press/press';
import { withSharedCode } from './shared-code';
import { RULE } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

/** A component whose code is loaded when it is first shown, or before that when it is asked for. */
export interface LazyComponent<Props> {
  (props: Props): ReactNode;
  /** Rejects when there is no signal to load it and the phone does not keep it yet. */
  readonly load: () => Promise<void>;
}

/**
 * Loaded once, it is drawn at once ever after. On a phone that does not keep the application yet there may be no signal to
 * load it: then that is said in its place, and the rest of the screen goes on.
 *
 * Not `React.lazy`: what that waits for shows 300 ms after the wait was shown, however soon it came.
 *
 * @param meanwhile stands there while the piece is loaded
 * @example const NarrowSheet = lazyComponent(() => import('./narrow-sheet').then((module) => module.NarrowSheet));
 */
export function lazyComponent<Props extends object>(
  get: () => Promise<ComponentType<Props>>,
  meanwhile: ReactNode = null,
): LazyComponent<Props> {
  let loaded: ComponentType<Props> | null = null;
  const load = async (): Promise<void> => {
    loaded ??= await withSharedCode(get);
  };
  function LoadedPiece(props: Props): ReactNode {
    const [standing, setStanding] = useState<'waits' | 'here' | 'failed'>(loaded === null ? 'waits' : 'here');
    useEffect(() => {
      if (standing !== 'waits') return undefined;
      let isOver = false;
      const set = (next: 'here' | 'failed') => (): void => {
        if (!isOver) setStanding(next);
      };
      load().then(set('here'), set('failed'));
      return () => {
        isOver = true;
      };
    }, [standing]);
    const Loaded = loaded;
    if (Loaded !== null) return <Loaded {...props} />;
    return standing === 'failed' ? <NotLoaded onClose={closeOf(props)} /> : meanwhile;
  }
  return Object.assign(LoadedPiece, { load });
}

/** How a piece that opens over the rest is closed; undefined for one that stands in its place. */
function closeOf(props: object): (() => void) | undefined {
  return 'onClose' in props && typeof props.onClose === 'function' ? (props.onClose as () => void) : undefined;
}

/** Said where the piece would stand; of a sheet, which opens from anywhere, at the foot of the screen. */
function NotLoaded({ onClose }: { readonly onClose: (() => void) | undefined }): ReactNode {
  const palette = usePalette();
  const over = { backgroundColor: palette.paper, borderColor: palette.ink };
  return (
    <View role="alert" style={[sheet.failed, onClose !== undefined && [sheet.over, over]]}>
      <AppText>
        This part of Oilcan could not be loaded. What you recorded is kept. Load again when there is signal.
      </AppText>
      <Button word="Load again" onPress={() => window.location.reload()} />
      {onClose === undefined ? null : <Button word="Close" onPress={onClose} />}
    </View>
  );
}

const sheet = StyleSheet.create({
  failed: { padding: 16, gap: 10 },
  over: {
    // Of the window, not of where it was opened.
    position: 'fixed' as 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    zIndex: 1,
    borderTopWidth: RULE,
  },
});
