import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../../src/ui/loading/lazy-component';

const DocumentScreen = lazyComponent(() =>
  import('../../../../src/features/plant/documents/document-screen').then((module) => module.DocumentScreen),
);

export default function Document(): ReactElement {
  const { document } = useLocalSearchParams<{ document: string }>();
  return <DocumentScreen documentId={document} />;
}
