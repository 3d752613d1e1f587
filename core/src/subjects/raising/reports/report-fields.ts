import * as yup from 'yup';
import { argsSchema, choiceField, listField, LONGEST_TEXT, textField, wholeField } from '../../../kernel/schema/fields';
import { LONGEST_VOICE_SECONDS } from '../../recording/attachments/attachments-entries';
import { fileField } from '../../plant/files/file-field';
import { soundTypes } from '../../plant/files/files';
import { photoField } from '../../plant/files/photo-field';
import type { AssetCondition } from '../../plant/plant/plant';
import type { ReportVoice } from './report';

/** What is wrong, in the reporter's words. */
export const wordsField = () => textField(LONGEST_TEXT);

/** So many pictures go along with one report. */
export const MOST_PHOTOS = 6;

/** Pictures, in the order in which they were taken. */
export const photosField = () => listField(photoField(), MOST_PHOTOS);

const voiceShape = {
  fileId: fileField(),
  mediaType: choiceField(soundTypes),
  seconds: wholeField()
    .min(1, 'Nothing was recorded.')
    .max(LONGEST_VOICE_SECONDS, 'A voice note holds at most ten minutes.'),
};

export const voiceField = () => argsSchema(voiceShape) as unknown as yup.Schema<ReportVoice>;

/** A voice note, or null for none. */
export const optionalVoiceField = () =>
  yup.object(voiceShape).noUnknown().strict().nullable().defined() as unknown as yup.Schema<ReportVoice | null>;

const conditions: readonly AssetCondition[] = ['running', 'reduced', 'stopped'];

/** Whether the machine runs; null where that is not said. */
export const optionalConditionField = () =>
  yup
    .string()
    .strict()
    .nullable()
    .defined()
    .oneOf(
      [...conditions, null],
      `Choose one of: ${conditions.join(', ')}.`,
    ) as unknown as yup.Schema<AssetCondition | null>;

/** Yes, no, or null where that is not said. */
export const optionalFlagField = () =>
  yup.boolean().strict().nullable().defined() as unknown as yup.Schema<boolean | null>;
