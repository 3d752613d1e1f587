import type { FileId } from '../../../kernel/ids';

/** Pictures that every browser shows. */
export const pictureTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof pictureTypes)[number];

/** Sound as browsers record it. */
export const soundTypes = ['audio/webm', 'audio/ogg', 'audio/mp4'] as const;
export type SoundType = (typeof soundTypes)[number];

export function isSound(type: string): type is SoundType {
  return soundTypes.some((each) => each === type);
}

/**
 * What is kept and handed on as it is, and never opened here: text with all its tables, and what office programs write, which is a ZIP
 * (ISO/IEC 29500-2, ISO/IEC 26300-2) or, from older ones, a compound file.
 */
export const dataTypes = ['text/plain', 'application/zip', 'application/x-ole-storage'] as const;
export type DataType = (typeof dataTypes)[number];

/** Everything that may be brought as a file. */
export const fileTypes = [...pictureTypes, ...soundTypes, 'application/pdf', ...dataTypes] as const;
export type FileType = (typeof fileTypes)[number];

export function isData(type: string): type is DataType {
  return dataTypes.some((each) => each === type);
}

/** Bytes of the largest file that is taken. */
export const FILE_BYTES_LIMIT = 16 * 1024 * 1024;
/** So many bytes at its beginning say what a file is. */
export const FILE_HEAD_BYTES = 1024;

const SHA_256 = /^[0-9a-f]{64}$/;

/** Whether a text is the SHA-256 of a file, in lower-case hexadecimal: its name. */
export function isFileId(text: string): text is FileId {
  return SHA_256.test(text);
}

/** A picture that goes along with what somebody says. */
export interface SizedPicture {
  readonly fileId: FileId;
  readonly mediaType: PictureType;
  /** Size in pixels. */
  readonly width: number;
  readonly height: number;
}
