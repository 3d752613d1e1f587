/** The one file inside Paper that ours stands in the place of; Paper has its types only at its front. */
declare module 'react-native-paper/lib/module/components/TouchableRipple/TouchableRipple' {
  import type { ComponentType, Ref } from 'react';
  import type { PressableProps, StyleProp, View, ViewStyle } from 'react-native';

  interface State {
    readonly pressed: boolean;
    readonly hovered?: boolean;
  }
  type Styled = StyleProp<ViewStyle> | ((state: State) => StyleProp<ViewStyle>);
  const Ripple: ComponentType<
    Omit<PressableProps, 'style'> & { readonly style?: Styled; readonly borderless?: boolean; readonly ref?: Ref<View> }
  >;
  export default Ripple;
}
