import type { ReactElement } from 'react';
import { mdiDownload } from '@mdi/js';
import type { FileContent } from '@oilcan/core/recording/attachments';
import { readFile } from '../../../data/store/store';
import { saveFile } from '../../../data/browser/save-file';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';

/** A file of the job, to be saved or opened by the device. */
export function OpenFile({ content }: { readonly content: FileContent }): ReactElement {
  const say = useNotice((state) => state.say);
  const open = async (): Promise<void> => {
    const file = await readFile(content.fileId, content.mediaType);
    if (file.is === 'here') saveFile(content.name, content.mediaType, file.content);
    else say('This file is with the server. It opens when there is signal.');
  };
  return <Button icon={mdiDownload} word="Save the file" onPress={() => void open()} />;
}
