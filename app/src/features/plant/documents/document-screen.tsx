import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { documentTypeOf, OPENED_DOCUMENT_BYTES, type AssetDocument } from '@oilcan/core/plant/documents';
import { pictureTypeOf } from '@oilcan/core/plant/files';
import { saveFile } from '../../../data/browser/save-file';
import { readFile, useRow, type ReadFile } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { sizeWords, typeWord } from './document-words';
import { PictureView } from './picture-view';
import { lazyComponent } from '../../../ui/loading/lazy-component';

const PdfView = lazyComponent(() => import('./pdf-view').then((module) => module.PdfView));

type Opened = ReadFile | { readonly is: 'opening' } | { readonly is: 'too large' };

/** One document, read on the phone. */
export function DocumentScreen({ documentId }: { readonly documentId: string }): ReactElement {
  const document = useRow('documents', documentId);
  const back = useBack(document === undefined ? '/plant' : `/plant/${document.assetId}`);
  return (
    <View style={sheet.screen}>
      <TopBar title={document?.name ?? 'Document'} {...back} />
      {document === undefined ? (
        <Standing>
          <AppText>This document is not on this phone: it was taken away, or is on a site that you do not see.</AppText>
        </Standing>
      ) : (
        <Opened key={document.fileId} document={document} />
      )}
    </View>
  );
}

function Opened({ document }: { readonly document: AssetDocument }): ReactElement {
  const isTooLarge = document.bytes > OPENED_DOCUMENT_BYTES;
  const [opened, setOpened] = useState<Opened>({ is: isTooLarge ? 'too large' : 'opening' });
  const { fileId, mediaType } = document;
  useEffect(() => {
    if (isTooLarge) return undefined;
    let isOver = false;
    void readFile(fileId, mediaType).then((read) => {
      if (!isOver) setOpened(read);
    });
    return () => {
      isOver = true;
    };
  }, [fileId, mediaType, isTooLarge]);
  switch (opened.is) {
    case 'opening':
      return (
        <Standing>
          <AppText live>Opening {document.name} …</AppText>
        </Standing>
      );
    case 'too large':
      return (
        <Standing>
          <AppText>
            {document.name} has {sizeWords(document.bytes)}, which is too much to open on a phone. Save it where there
            is a cable or a strong signal.
          </AppText>
          <Button word="Save it" onPress={() => window.open(`/api/files/${fileId}`, '_blank', 'noopener')} />
        </Standing>
      );
    case 'without signal':
      return (
        <Standing>
          <AppText>{document.name} is not on this phone yet. Open it again when there is signal.</AppText>
        </Standing>
      );
    case 'missing':
      return (
        <Standing>
          <AppText>
            {document.name} is listed, but its file is not on the server. Tell your lead, who can add it again.
          </AppText>
        </Standing>
      );
    case 'here':
      return <Content document={document} content={opened.content} />;
  }
}

/** What the bytes are decides how they are shown, whatever the list says. */
function Content({
  document,
  content,
}: {
  readonly document: AssetDocument;
  readonly content: Uint8Array<ArrayBuffer>;
}): ReactElement {
  const type = documentTypeOf(content, pictureTypeOf(content));
  const save = (): void => saveFile(document.name, type ?? 'application/octet-stream', content);
  if (type === null) {
    return (
      <Standing>
        <AppText>
          {document.name} says that it is a {typeWord(document.mediaType)} and is not one, nor anything else that can be
          shown here. Save it, or ask your lead for the right one.
        </AppText>
        <Button word="Save it" onPress={save} />
      </Standing>
    );
  }
  const other =
    type === document.mediaType ? null : `Listed as a ${typeWord(document.mediaType)}; it is a ${typeWord(type)}.`;
  return (
    <View style={sheet.screen}>
      {other === null ? null : (
        <View style={sheet.note}>
          <AppText soft>{other}</AppText>
        </View>
      )}
      {type === 'application/pdf' ? (
        <PdfView name={document.name} content={content} onSave={save} />
      ) : (
        <PictureView name={document.name} type={type} content={content} onSave={save} />
      )}
    </View>
  );
}

function Standing({ children }: { readonly children: React.ReactNode }): ReactElement {
  return (
    <View role="main" style={sheet.standing}>
      {children}
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  standing: { padding: 16, gap: 12, maxWidth: 640 },
  note: { paddingHorizontal: 16, paddingTop: 8 },
});
