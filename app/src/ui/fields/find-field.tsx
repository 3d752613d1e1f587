import { View } from 'react-native';
import type { FindInputProps } from './find-input';
import { lazyComponent } from '../loading/lazy-component';

/** As high as the field that comes in its place, so that nothing moves. */
const PLACE_HEIGHT = 62;

/** A field to look for something with, loaded after the first screen: a list is there before anybody searches it. */
export const FindField = lazyComponent<FindInputProps>(
  () => import('./find-input').then((module) => module.FindInput),
  <View style={{ height: PLACE_HEIGHT }} />,
);
