import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetDocument } from '@oilcan/core/plant/documents';
import type { AssetId } from '@oilcan/core/kernel';
import { useDocumentsOn } from '../../../data/queries/documents-on';
import { useRow } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { documentWords } from './document-words';
import { mdiChevronRight, mdiFileDocumentOutline } from '@mdi/js';
import { List } from '../../../ui/layout/list';

/** The documents of a machine and of what it is part of, each a press from being read; null when there is none. */
export function DocumentList({ assetId }: { readonly assetId: AssetId }): ReactElement | null {
  const documents = useDocumentsOn(assetId);
  if (documents.length === 0) return null;
  return (
    <List label="Documents">
      {documents.map((document) => (
        <DocumentLine key={document.id} document={document} isOwn={document.assetId === assetId} />
      ))}
    </List>
  );
}

function DocumentLine({
  document,
  isOwn,
}: {
  readonly document: AssetDocument;
  /** It is not of what the machine is part of. */
  readonly isOwn: boolean;
}): ReactElement {
  const of = useRow('assets', document.assetId);
  const palette = usePalette();
  return (
    <LinkPress href={`/plant/document/${document.id}`} style={[sheet.line, { borderColor: palette.line }]}>
      <Icon path={mdiFileDocumentOutline} />
      <View style={sheet.words}>
        <AppText>{document.name}</AppText>
        <AppText as="small" soft>
          {isOwn || of === undefined ? '' : `of ${of.name} · `}
          {documentWords(document)}
        </AppText>
      </View>
      <Icon path={mdiChevronRight} color={palette.inkSoft} />
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1, paddingVertical: 8 },
  words: { flex: 1, minWidth: 0 },
});
