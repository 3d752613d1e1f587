import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { DocumentScreen } from '../../../../src/features/documents/document-screen';

export default function Document(): ReactElement {
  const { document, from } = useLocalSearchParams<{ document: string; from?: string }>();
  // Only a place within the application is gone back to.
  return <DocumentScreen documentId={document} from={from !== undefined && /^\/\w/.test(from) ? from : undefined} />;
}
