import { useRouter } from 'expo-router';
import { useState } from 'react';
import { asId, type ReportId } from '@oilcan/core/kernel';
import type { Refusal } from '@oilcan/core/operations';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Person } from '@oilcan/core/plant/people';
import { sentenceFor } from '@oilcan/core/registry';
import type { Procedure } from '@oilcan/core/steps/procedures';
import { peekRow, performMaking } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { useNotice } from '../../../ui/state/use-notice';
import { useBack } from '../../frame/page/use-back';
import { doNow } from './do-now';
import type { RaiseDraft } from './use-raise-draft';
import type { RaisedAt } from './where-field';

/** What stands in lists for what was spoken and not written. */
const SPOKEN = 'Spoken: listen to the voice note';

/** What was said, in words. */
export const writtenOf = ({ words, voice }: Pick<RaiseDraft, 'words' | 'voice'>): string =>
  words.trim() === '' && voice !== null ? SPOKEN : words.trim();

interface Said {
  readonly draft: RaiseDraft;
  readonly at: RaisedAt;
  readonly asset: Asset | undefined;
  readonly procedure: Procedure | null;
  /** The job of which it is further work; none where it stands for itself. */
  readonly cameFrom: WorkOrder | undefined;
}

/** What can be done with what was said: reported, or begun at once. */
export function useRaise({ draft, at, asset, procedure, cameFrom }: Said) {
  const back = useBack('/shift');
  const router = useRouter();
  const say = useNotice((state) => state.say);
  const [refusal, setRefusal] = useState<string | null>(null);
  const { how, photos, voice, forget } = draft;
  const written = writtenOf(draft);
  const refused = (why: Refusal): false => {
    setRefusal(draft.refused(why));
    return false;
  };
  const leave = (sentence: string | null, open?: string): void => {
    forget();
    if (sentence !== null) say(sentence, open === undefined ? undefined : () => router.navigate(open));
    back.onBack();
  };
  const report = async (): Promise<boolean> => {
    const where = { assetId: at?.is === 'asset' ? at.id : null, placeId: at?.is === 'place' ? at.id : null };
    const [photo = null, ...others] = photos;
    const made = await performMaking('report.make', { number: null, ...where, words: written, ...how, photo });
    if (!made.ok) return refused(made);
    const reportId = asId<ReportId>(made.value);
    let isSaid = true;
    for (const other of others)
      isSaid = (await performOrSay('report.say', { reportId, words: '', photo: other })) && isSaid;
    if (voice !== null) isSaid = (await performOrSay('report.say-aloud', { reportId, voice })) && isSaid;
    const number = peekRow('reports', made.value)?.number ?? 'Reported';
    // Why something was not taken stays to be read.
    leave(
      isSaid ? `${number}: a lead is told. What becomes of it stands under your work.` : null,
      `/reports/${made.value}`,
    );
    return true;
  };
  const start = async (me: Person): Promise<boolean> => {
    if (asset === undefined) return false;
    const steps = procedure?.steps ?? [];
    const toDo = { assetId: asset.id, words: written, steps, how, photos, voice, cameFrom: cameFrom?.id ?? null };
    const begun = await doNow({ ...toDo, me: me.id });
    if (!begun.ok) return refused(begun);
    const { workOrderId, trouble: left } = begun.value;
    if (left !== null) say(sentenceFor(left.code, left.values));
    forget();
    router.replace(`/shift/${workOrderId}`);
    return true;
  };
  return { refusal, leave, report, start };
}
