import { useEffect, useRef } from 'react';
import { useForm, type Control } from 'react-hook-form';
import type { InferType } from 'yup';
import { argsSchema, optionalInstantField, type Instant } from '@oilcan/core/kernel';
import {
  optionalConditionField,
  optionalFlagField,
  optionalVoiceField,
  photosField,
  type ReportPhoto,
  type ReportVoice,
} from '@oilcan/core/raising/reports';
import type { Refusal } from '@oilcan/core/operations';
import { sentenceFor } from '@oilcan/core/registry';
import { otherDrafts, useDraft } from '../../../data/store/drafts';
import { draftText, isTakenLately, readFields } from '../../../data/store/fields-draft';
import { now } from '../../../data/store/store';
import { notSaid, type HowBad } from './how-bad';

/** What the names of these drafts begin with. */
const RAISE = 'raise';

const draft = argsSchema({
  words: draftText(),
  way: draftText(),
  at: draftText(),
  condition: optionalConditionField(),
  danger: optionalFlagField(),
  since: optionalInstantField(),
  photos: photosField(),
  voice: optionalVoiceField(),
  takenAt: optionalInstantField(),
});
type Fields = InferType<typeof draft>;
const nothing: Fields = { words: '', way: '', at: '', ...notSaid, photos: [], voice: null, takenAt: null };

interface Raised {
  readonly words: string;
  /** What becomes of it, by a name of `ways.tsx`; empty where that was not chosen. */
  readonly way: string;
  /** Where it is, as `asset gearbox` or `place hall`; empty where that was not chosen. */
  readonly at: string;
  readonly how: HowBad;
  readonly photos: readonly ReportPhoto[];
  readonly voice: ReportVoice | null;
}

/** By these names an operation knows what was said in words. */
const saidIn: readonly string[] = ['words', 'title', 'reason'];

export interface RaiseDraft extends Raised {
  readonly control: Control<Fields>;
  /** What was refused: said at the words where it is about them, else given back to be said below. */
  readonly refused: (refusal: Refusal) => string | null;
  /** What is wrong with the words; null where nothing is. */
  readonly wrongWords: string | null;
  /** When the latest photo or voice note was taken. */
  readonly takenAt: Instant | null;
  readonly change: (some: Partial<Omit<Raised, 'how'>> | HowBad) => void;
  readonly forget: () => void;
  /** The name under which it is kept. */
  readonly where: string;
}

/**
 * What is being raised and not kept yet: a reload in the middle loses nothing of it.
 *
 * @param on the machine or place at which it began; each has its own
 * @param given what it is, where a link says so and nothing was said here yet
 */
export function useRaiseDraft(on: string, given: string): RaiseDraft {
  const where = `${RAISE} ${on}`;
  const { first, keep, forget } = useDraft(where);
  const form = useForm<Fields>({ defaultValues: readFields(first, draft) ?? { ...nothing, words: given } });
  const keepTyped = useRef(keep);
  useEffect(() => {
    keepTyped.current = keep;
  });
  useEffect(() => {
    const { unsubscribe } = form.watch((_, { name }) => {
      if (name === 'words') form.clearErrors('words');
      keepTyped.current(JSON.stringify(form.getValues()));
    });
    return unsubscribe;
  }, [form]);
  const change = (some: Partial<Fields>): void => {
    for (const [name, value] of Object.entries(some)) form.setValue(name as keyof Fields, value);
  };
  const fields = form.watch();
  const { words, way, at, condition, danger, since, takenAt } = fields;
  const isThere = isTakenLately(takenAt);
  return {
    words,
    way,
    at,
    how: { condition, danger, since },
    photos: isThere ? fields.photos : [],
    voice: isThere ? fields.voice : null,
    takenAt,
    change: (some) => change('photos' in some || 'voice' in some ? { ...some, takenAt: now() } : some),
    forget,
    where,
    control: form.control,
    wrongWords: form.formState.errors.words?.message ?? null,
    refused: ({ code, values, field }) => {
      const message = sentenceFor(code, values);
      if (field === null || !saidIn.includes(field)) return message;
      form.setError('words', { message }, { shouldFocus: true });
      return null;
    },
  };
}

/** What was half-said elsewhere and was to become this. */
export function otherRaised(where: string, way: string): { readonly where: string; readonly words: string }[] {
  return otherDrafts(RAISE, where).flatMap((other) => {
    const kept = readFields(other.text, draft);
    return kept === null || kept.way !== way || kept.words.trim() === ''
      ? []
      : [{ where: other.where, words: kept.words }];
  });
}
