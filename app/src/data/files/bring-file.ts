import { FILE_BYTES_LIMIT, fileTypeNamed, isForeignPicture, pictureTypeOf } from '@oilcan/core/plant/files';
import type { AssetId, WorkOrderId } from '@oilcan/core/kernel';
import { sentenceFor } from '@oilcan/core/registry';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { shrinkPicture } from '../browser/shrink-picture';
import { headOf, megabytes, whyUnreadable } from '../pictures/why-unreadable';
import { nameOf } from '../browser/name-of';
import { keepFile, keepPicture, perform } from '../store/store';

/** The job that a file is for, and the machine of it that it is about. */
export interface Job {
  readonly workOrderId: WorkOrderId;
  readonly assetId: AssetId;
}

/** A file for a job: a picture becomes a photo, made small; anything else that is taken is kept as it is. Gives why not, as a sentence. */
export async function bringFile(job: Job, file: File): Promise<string | null> {
  const head = await headOf(file);
  const isPicture = isForeignPicture(head) || pictureTypeOf(head) !== null;
  return isPicture ? bringPicture(job, file, head) : bringOther(job, file, head);
}

async function bringPicture(job: Job, file: File, head: Uint8Array): Promise<string | null> {
  const why = whyUnreadable(file, head);
  if (why !== null) return why;
  const picture = await shrinkPicture(file);
  if (picture === null) return `“${file.name}” is damaged: no picture can be read from it.`;
  const refusal = await keepPicture(picture);
  if (refusal !== null) return sentenceFor(refusal.code, refusal.values);
  const { id: fileId, mediaType, width, height } = picture;
  const caption = file.name.replace(/\.[^.]*$/, '').slice(0, 200);
  return said('photo.add', { ...job, fileId, mediaType, width, height, caption });
}

async function bringOther(job: Job, file: File, head: Uint8Array): Promise<string | null> {
  const mediaType = fileTypeNamed(file.name, head);
  if (mediaType === null)
    return `“${file.name}” is none of the files that are taken: pictures (JPEG, PNG, WebP), PDF, sound, text and tables, and what office programs write.`;
  if (file.size > FILE_BYTES_LIMIT)
    return `“${file.name}” has ${megabytes(file.size)}. A file may have at most ${megabytes(FILE_BYTES_LIMIT)}.`;
  const content = new Uint8Array(await file.arrayBuffer());
  const fileId = nameOf(content);
  const refusal = await keepFile(fileId, mediaType, content);
  if (refusal !== null) return sentenceFor(refusal.code, refusal.values);
  const name = file.name.trim().slice(0, 200) || 'File';
  return said('file.add', { ...job, fileId, mediaType, name, bytes: content.length });
}

async function said<N extends 'photo.add' | 'file.add'>(name: N, args: ArgsOf<N>): Promise<string | null> {
  const outcome = await perform(name, args);
  return outcome.ok ? null : sentenceFor(outcome.code, outcome.values);
}
