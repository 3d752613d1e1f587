import { defineError } from '../../../kernel/errors/catalogue';

export const filesErrors = {
  file_too_large: defineError(413, (v) => `A file may hold at most ${v['limitMegabytes']} MB.`),
  file_piece_out_of_place: defineError(
    409,
    (v) => `The server has ${v['received']} bytes of this file. Go on from there.`,
  ),
  file_damaged: defineError(422, 'The file that arrived is not the one that was sent. Send it again from the start.'),
  file_type_unsupported: defineError(
    415,
    'Only pictures (JPEG, PNG, WebP), PDF, sound, text, tables and office files are taken.',
  ),
  picture_unsupported: defineError(415, 'Only pictures (JPEG, PNG, WebP) are taken here.'),
  too_many_unfinished_files: defineError(
    409,
    (v) => `${v['limit']} files of yours are on their way already. Let them arrive first.`,
  ),
  file_missing: defineError(409, 'The file of this record has not arrived yet.'),
};

type FilesErrors = typeof filesErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends FilesErrors {}
}
