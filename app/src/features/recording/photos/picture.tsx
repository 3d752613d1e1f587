import { useState, type ReactElement } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import { mdiMagnifyPlusOutline } from '@mdi/js';
import type { PhotoContent } from '@oilcan/core/recording/photos';
import type { AssetPicture } from '@oilcan/core/plant/plant';
import { usePicture } from '../../../data/pictures/use-picture';
import { IconPress } from '../../../ui/press/press';
import { CORNER } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { lazyComponent } from '../../../ui/loading/lazy-component';

const PhotoViewer = lazyComponent(() => import('./photo-viewer').then((module) => module.PhotoViewer));

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
          <AppText soft>This photo is with the server. It shows when there is signal.</AppText>
        )}
      </View>
    );
  }
  const name = photo.caption === '' ? 'Photo' : `Photo: ${photo.caption}`;
  const picture = (
    <View role="img" aria-label={name} style={[sheet.frame, size, { borderColor: palette.line }]}>
      {/* Named once, by its frame: the picture itself is not read aloud again. A large one shows all of itself. */}
      <Image aria-hidden source={{ uri: state }} style={sheet.picture} resizeMode={isSmall ? 'cover' : 'contain'} />
    </View>
  );
  return isSmall ? picture : <Enlarged name={name} address={state} picture={picture} />;
}

interface EnlargedProps {
  readonly name: string;
  readonly address: string;
  readonly picture: ReactElement;
}

/** A large picture opens over everything with a press on it, or on its key. */
function Enlarged({ name, address, picture }: EnlargedProps): ReactElement {
  const palette = usePalette();
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <View {...{ onClick: () => setIsOpen(true) }}>
        {picture}
        <IconPress
          icon={mdiMagnifyPlusOutline}
          label={`Enlarge ${name.toLowerCase()}`}
          onPress={() => setIsOpen(true)}
          style={[sheet.enlarge, { backgroundColor: palette.card }]}
        />
      </View>
      {/* Beside it, so that what is pressed there is no press on the picture. */}
      {isOpen ? <PhotoViewer address={address} name={name} onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}

const sheet = StyleSheet.create({
  frame: { borderWidth: 1, borderRadius: CORNER, alignItems: 'center', justifyContent: 'center', overflow: 'hidden' },
  picture: { width: '100%', height: '100%' },
  small: { width: 64, height: 64 },
  large: { width: '100%', maxHeight: 560 },
  enlarge: { position: 'absolute', right: 4, bottom: 4 },
});
