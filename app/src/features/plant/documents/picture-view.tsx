import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DocumentType } from '@oilcan/core/plant/documents';
import { AppText } from '../../../ui/theme/app-text';
import { useZoom } from '../../../ui/focus/use-zoom';
import { ViewerFoot } from './viewer-foot';

interface Props {
  readonly name: string;
  readonly type: DocumentType;
  readonly content: Uint8Array<ArrayBuffer>;
  readonly onSave: () => void;
}

/** A picture or a drawing. As an image it cannot run anything that stands in it. */
export function PictureView({ name, type, content, onSave }: Props): ReactElement {
  const [address, setAddress] = useState<string | null>(null);
  const { scale, setScale, onFrame } = useZoom();
  const [isDamaged, setIsDamaged] = useState(false);
  useEffect(() => {
    const made = URL.createObjectURL(new Blob([content], { type }));
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [content, type]);
  return (
    <View style={sheet.screen}>
      <div
        ref={onFrame}
        role="main"
        tabIndex={0}
        aria-label={name}
        style={{ flex: 1, minHeight: 0, overflow: 'auto', touchAction: 'pan-x pan-y' }}
      >
        {isDamaged ? (
          <AppText style={sheet.words}>{name} is damaged and cannot be shown. Ask your lead for a whole one.</AppText>
        ) : address === null ? null : (
          <img
            src={address}
            alt={name}
            onError={() => setIsDamaged(true)}
            style={{ width: `${scale * 100}%`, height: 'auto', display: 'block' }}
          />
        )}
      </div>
      <ViewerFoot scale={scale} onScale={setScale} onSave={onSave} />
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  words: { padding: 16 },
});
