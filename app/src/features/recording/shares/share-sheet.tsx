import { mdiAccountArrowRightOutline, mdiClose, mdiPencilOutline } from '@mdi/js';
import { PeopleChoice } from '../../../forms/people-choice';
import { usePeopleOf, workers } from '../../../data/queries/use-people-of';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { addMinutes, formatDuration, formatSums } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { costOfShares } from '@oilcan/core/registry';
import { isShareDone, progressOfShares, sharesOfSteps, type Share } from '@oilcan/core/recording/shares';
import { placed, type Step } from '@oilcan/core/steps/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, usePhone, useRows, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { phoneNames } from '../../frame/views/names';
import { ShareForm } from './share-form';
import { aboutWords, standingWords, whoseWords } from './share-words';

interface Props {
  readonly work: WorkOrder;
  readonly share: Share;
  readonly steps: readonly Step[];
  readonly onClose: () => void;
}

/** One share: its steps, what was recorded in it, and passing it on. */
export function ShareSheet({ work, share, steps, onClose }: Props): ReactElement {
  const me = useMe();
  const person = usePhone((state) => state.person);
  const settings = useSettings(work.siteId);
  const shares = useRows('shares', 'workOrder', work.id);
  const entries = useRows('entries', 'workOrder', work.id);
  const people = usePeopleOf(work.siteId, { roles: workers });
  const [doing, setDoing] = useState<'nothing' | 'passingOn' | 'changing' | 'dissolving'>('nothing');
  const cost = useMemo(
    () => costOfShares(shares, steps, entries).shares.get(share.id),
    [shares, steps, entries, share],
  );
  const progress = progressOfShares(shares, steps).get(share.id) ?? { done: 0, of: 0 };
  const inShare = sharesOfSteps(shares, steps);
  const own = placed(steps).filter(({ step, isInForce }) => isInForce && inShare.get(step.id)?.id === share.id);
  const mayArrange = isOpen(work.state) && person !== null && (share.personId === me || hasRole(person, ['lead']));
  const onShare = { workOrderId: work.id, shareId: share.id };
  const passOn = async (personId: Share['personId']): Promise<void> => {
    if (await performOrSay('share.pass-on', { ...onShare, personId })) onClose();
  };
  const dissolve = async (): Promise<void> => {
    if (await performOrSay('share.dissolve', onShare)) onClose();
  };
  // My share is done, has a planned time, and none of its time is recorded yet: one press says that it took as long as planned.
  const mayConfirm =
    isOpen(work.state) &&
    share.personId === me &&
    share.plannedMinutes > 0 &&
    isShareDone(progress) &&
    (cost?.laborMinutes ?? 0) === 0;
  const confirm = async (): Promise<void> => {
    const minutes = share.plannedMinutes;
    const step = own[0]?.step.id;
    const time = { startedAt: addMinutes(now(), -minutes), minutes, timeType: 'regular' as const };
    const onStep = step === undefined ? {} : { stepId: step };
    if (await performOrSay('labor.add', { workOrderId: work.id, personId: me, ...time, ...onStep })) onClose();
  };
  if (doing === 'changing') return <ShareForm work={work} steps={steps} share={share} onClose={onClose} />;
  return (
    <BottomSheet title={whoseWords(share, me)} aside={work.number} onClose={onClose}>
      <AppText>{aboutWords(share, work, settings)}</AppText>
      <AppText as="heading">{standingWords(progress, cost?.laborMinutes ?? 0, share.plannedMinutes)}</AppText>
      {cost === undefined || cost.total.length === 0 || settings === undefined ? null : (
        <AppText soft>
          It cost {formatSums(cost.total, settings.currency, settings.language)} so far
          {cost.groups.time === null ? ', without time' : ''}.
        </AppText>
      )}
      {mayConfirm ? (
        <Button word={`It took ${formatDuration(share.plannedMinutes)}, as planned`} onPress={() => void confirm()} />
      ) : null}
      {mayArrange ? (
        <View style={sheet.keys}>
          <Button word="Pass on" icon={mdiAccountArrowRightOutline} onPress={() => setDoing('passingOn')} />
          <Button word="Change" icon={mdiPencilOutline} onPress={() => setDoing('changing')} />
          <Button word="Dissolve" icon={mdiClose} onPress={() => setDoing('dissolving')} />
        </View>
      ) : null}
      {doing === 'passingOn' ? (
        <PeopleChoice
          label="Pass on to"
          isOne
          likely={people.likely.filter(({ id }) => id !== share.personId)}
          others={people.others.filter(({ id }) => id !== share.personId)}
          chosen={[]}
          onPress={(id) => void passOn(id)}
        />
      ) : null}
      {doing === 'dissolving' ? (
        <>
          <AppText>Its steps are nobody’s own then. What was answered and recorded stays.</AppText>
          <Button rank="primary" word="Yes, dissolve it" onPress={() => void dissolve()} />
        </>
      ) : null}
      <View style={sheet.steps}>
        {own.map(({ step, number }) => (
          <View key={step.id} style={sheet.step}>
            <AppText as="label" soft style={sheet.number}>
              {number}
            </AppText>
            <View style={sheet.words}>
              <AppText>{step.text}</AppText>
              <AppText as="small" soft>
                {step.stopId === null ? '' : `${phoneNames.stop(step.stopId)?.name ?? 'A stop'}: `}
                {doneWords(step)}
              </AppText>
            </View>
          </View>
        ))}
      </View>
    </BottomSheet>
  );
}

function doneWords({ answer }: Step): string {
  if (answer === null) return 'open';
  const name = phoneNames.person(answer.by)?.name ?? 'somebody';
  return answer.value.type === 'skipped' ? `skipped by ${name}: ${answer.value.reason}` : `done by ${name}`;
}

const sheet = StyleSheet.create({
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  people: { gap: 8 },
  steps: { gap: 8 },
  step: { flexDirection: 'row', gap: 10 },
  number: { minWidth: 28 },
  words: { flex: 1, minWidth: 0 },
});
