import { View } from 'react-native';
import type { FindInputProps } from './find-input';
import { piece } from '../loading/piece';

/** As high as the field that comes in its place, so that nothing moves. */
const PLACE_HEIGHT = 62;

/** A field to look for something with, loaded after the first screen: a list is there before anybody searches it. */
export const FindField = piece<FindInputProps>(
  () => import('./find-input').then((module) => module.FindInput),
  <View style={{ height: PLACE_HEIGHT }} />,
);
