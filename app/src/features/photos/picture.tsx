import type { ReactElement } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import type { PhotoContent } from '@oilcan/core/photos';
import type { AssetPicture } from '@oilcan/core/plant';
import { usePicture } from '../../data/pictures/use-picture';
import { CORNER } from '../../ui/theme';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';

/** A photo of the record: a small square in a list, or as large as there is room. */
export function Picture({
  content: photo,
  isSmall = false,
}: {
  readonly content: AssetPicture & Pick<PhotoContent, 'caption'>;
  readonly isSmall?: boolean;
}): ReactElement {
  const palette = usePalette();
  const state = usePicture(photo.fileId, photo.mediaType);
  const size = isSmall ? sheet.small : [sheet.large, { aspectRatio: photo.width / photo.height }];
  if (state === 'looking' || state === 'not-here') {
    return (
      <View style={[sheet.frame, size, { borderColor: palette.line, backgroundColor: palette.card }]}>
        {isSmall || state === 'looking' ? null : (
          <Words soft>This photo is with the server. It shows when there is signal.</Words>
        )}
      </View>
    );
  }
  return (
    <View
      role="img"
      aria-label={photo.caption === '' ? 'Photo' : `Photo: ${photo.caption}`}
      style={[sheet.frame, size, { borderColor: palette.line }]}
    >
      {/* Named once, by its frame: the picture itself is not read aloud again. */}
      <Image aria-hidden source={{ uri: state }} style={sheet.picture} resizeMode="cover" />
    </View>
  );
}

const sheet = StyleSheet.create({
  frame: { borderWidth: 1, borderRadius: CORNER, alignItems: 'center', justifyContent: 'center', overflow: 'hidden' },
  picture: { width: '100%', height: '100%' },
  small: { width: 64, height: 64 },
  large: { width: '100%', maxHeight: 560 },
});
