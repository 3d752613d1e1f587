import { Component, Suspense, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from './press';
import { Words } from './words';

interface Props {
  /** Stands there while the piece is loaded. */
  readonly fallback?: ReactNode;
  readonly children: ReactNode;
}

const reload = (): void => window.location.reload();

/**
 * Around what is loaded when it is first shown. On a phone that does not keep the application yet there may be no signal to
 * load it: then that is said in its place, and the rest of the screen goes on.
 */
export class Piece extends Component<Props, { readonly hasFailed: boolean }> {
  override state = { hasFailed: false };

  static getDerivedStateFromError(): { readonly hasFailed: boolean } {
    return { hasFailed: true };
  }

  override render(): ReactNode {
    if (!this.state.hasFailed) return <Suspense fallback={this.props.fallback ?? null}>{this.props.children}</Suspense>;
    return (
      <View role="alert" style={sheet.failed}>
        <Words>
          This part of Oilcan could not be loaded. What you recorded is kept. Load again when there is signal.
        </Words>
        <Button word="Load again" onPress={reload} />
      </View>
    );
  }
}

const sheet = StyleSheet.create({ failed: { padding: 16, gap: 10 } });
