import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { PhotoActions } from './photo-actions';
import { Picture } from './picture';
import { takenWords } from './words';

const entries: EntryViewsNamed<'photo'> = {
  photo: {
    ...inWords,
    group: 'notes',
    dock: null,
    say: ({ content }) => ({
      headline: content.caption === '' ? 'Photo' : content.caption,
      detail: [
        content.taken === undefined ? 'Photo' : `Photo, ${takenWords[content.taken].toLowerCase()}`,
        content.originalFileId === undefined ? '' : 'drawn on',
      ]
        .filter((each) => each !== '')
        .join(', '),
    }),
    Picture,
    Actions: PhotoActions,
    amend: {
      label: 'Words instead',
      lines: 1,
      typed: ({ caption }) => caption,
      hint: 'Write what the photo shows.',
      operation: 'photo.amend',
      ask: (on, _content, caption) => ({ args: { ...on, caption }, said: 'Words of the photo amended.' }),
    },
  },
};

const operations: OperationViewsNamed<'photo.add' | 'photo.amend' | 'photo.draw'> = {
  'photo.add': {
    say: ({ caption }) => (caption === '' ? 'Photo' : `Photo: ${caption}`),
    fields: { caption: 'Words with the photo' },
  },
  'photo.amend': { say: ({ caption }) => `Words of a photo: ${caption}`, fields: { caption: 'Words with the photo' } },
  'photo.draw': { say: () => 'A mark on a photo', fields: {} },
};

export const photosViews = { entries, operations };
