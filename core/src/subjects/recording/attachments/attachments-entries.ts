import type { FileId } from '../../../kernel/ids';
import type { FileType, SoundType } from '../../plant/files/files';
import { noCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** A voice note longer than this is a report: nobody listens to it in passing. */
export const LONGEST_VOICE_SECONDS = 600;

/** Somebody said it instead of typing. */
export interface VoiceContent {
  readonly kind: 'voice';
  readonly fileId: FileId;
  readonly mediaType: SoundType;
  /** Whole seconds. */
  readonly seconds: number;
}

/** A file that belongs to the job: a certificate, a drawing, a recording. */
export interface FileContent {
  readonly kind: 'file';
  readonly fileId: FileId;
  readonly mediaType: FileType;
  readonly name: string;
  readonly bytes: number;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    voice: VoiceContent;
    file: FileContent;
  }
}

export const attachmentsEntries: EntryKindsNamed<'voice' | 'file'> = {
  voice: {
    ...plainEntry,
    since: 11,
    cells: noCells,
    file: ({ fileId }) => fileId,
    withdraw: 'marks',
    notificationText: 'a voice note',
  },
  file: {
    ...plainEntry,
    since: 11,
    cells: ({ name }) => ({ text: name }),
    file: ({ fileId }) => fileId,
    withdraw: 'marks',
    notificationText: 'a file',
  },
};
