import { useRouter } from 'expo-router';
import { useState } from 'react';
import { asId, readMoment, type IncidentId, type OperationId, type PersonId } from '@oilcan/core/kernel';
import type { IncidentKind } from '@oilcan/core/orders/raise-rules';
import type { IncidentCause } from '@oilcan/core/raising/incidents';
import { MOST_PHOTOS } from '@oilcan/core/raising/reports';
import { useKeptVoice } from '../../../data/files/use-kept-voice';
import { useCamera } from '../../../data/pictures/use-report-photo';
import { now, peekRow, usePhone, useRow, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { unsigned } from '../../../forms/signature-field';
import { momentProblem } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { useBack } from '../../frame/page/use-back';
import type { RaiseDraft, RaisedAt } from '../raise';

/** What is said of an incident beside its words and pictures, which any way of raising it has. */
const nothingSaid = {
  kind: 'nearMiss' as IncidentKind,
  time: '',
  causes: [] as IncidentCause[],
  presentIds: [] as PersonId[],
  presentOthers: '',
  doneAtOnce: '',
  ...unsigned,
};

/** An incident while it is being said: its form, where it was, and what takes its pictures and its sound. */
export function useIncidentForm(draft: RaiseDraft, first: RaisedAt) {
  const router = useRouter();
  const onward = useBack('/shift', '/raise');
  const person = usePhone((state) => state.person);
  const { words, photos, voice } = draft;
  const [at, setAt] = useState<RaisedAt>(first);
  const { trouble, take } = useCamera((taken) => draft.change({ photos: [...photos, taken].slice(-MOST_PHOTOS) }));
  const microphone = useKeptVoice((spoken) => draft.change({ voice: spoken }));
  const asset = useRow('assets', at?.is === 'asset' ? at.id : undefined);
  const place = useRow('places', at?.is === 'place' ? at.id : undefined);
  const siteId = asset?.siteId ?? place?.siteId ?? person?.siteIds[0];
  const settings = useSettings(siteId);
  const zone = settings?.zone ?? 'utc';
  const { form, submit, refusal } = useOperationForm({
    operation: 'incident.make',
    about: draft.where,
    defaultValues: nothingSaid,
    neverKept: ['path', 'isByName'],
    fieldOf: (argument) =>
      argument === 'happenedAt' ? 'time' : argument === 'signature' ? 'path' : (argument as 'time'),
    read: ({ time, path, isByName, ...said }) => {
      const happened = time.trim() === '' ? null : readMoment(time, now(), zone);
      if (happened !== null && happened.is !== 'at')
        return { unreadable: 'time', hint: momentProblem(time, now(), zone) };
      return {
        args: {
          ...said,
          number: null,
          assetId: at?.is === 'asset' ? at.id : null,
          placeId: at?.is === 'place' ? at.id : null,
          words,
          happenedAt: happened?.at ?? now(),
          photo: photos[0] ?? null,
          signature: path === '' && !isByName ? null : { name: person?.name ?? '', path },
        },
      };
    },
    said: (_args, _typed, made) =>
      `${peekRow('incidents', made)?.number ?? 'It'} is reported. Only the leads and who was there see it.`,
    opens: (made) => () => router.navigate(`/reports/incident/${made}`),
    onDone: (made) => void addTheRest(made),
  });
  const addTheRest = async (made: OperationId): Promise<void> => {
    const incidentId = asId<IncidentId>(made);
    // Why something was not taken is said in place of the rest.
    for (const photo of photos.slice(1))
      await performOrSay('incident.add', { incidentId, words: '', photo, closes: false });
    if (voice !== null) await performOrSay('incident.say-aloud', { incidentId, voice });
    draft.forget();
    onward.onBack();
  };
  return { form, submit, refusal, at, setAt, siteId, settings, trouble, take, microphone };
}
