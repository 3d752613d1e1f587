import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { asId, type FileId } from '@oilcan/core/kernel';

/** The SHA-256 of a content, by which its file is named. */
export function nameOf(content: Uint8Array): FileId {
  return asId<FileId>(bytesToHex(sha256(content)));
}
