import { inWords, type EntryViewsNamed } from '../views/entry-view';
import type { OperationViewsNamed } from '../views/operation-view';
import { Picture } from './picture';

const entries: EntryViewsNamed<'photo'> = {
  photo: {
    ...inWords,
    group: 'notes',
    say: ({ content }) => ({ headline: content.caption === '' ? 'Photo' : content.caption, detail: 'Photo' }),
    Picture,
  },
};

const operations: OperationViewsNamed<'photo.add'> = {
  'photo.add': {
    say: ({ caption }) => (caption === '' ? 'Photo' : `Photo: ${caption}`),
    fields: { caption: 'Words with the photo' },
  },
};

export const photosViews = { entries, operations };
