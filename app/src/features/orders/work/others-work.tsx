import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { assigneesOf, fullyReplicatedFor, isOpen, isWholeFor, type WorkOrder } from '@oilcan/core/orders/work';
import { mayTakeOn } from '@oilcan/core/recording/go-ahead';
import { lookUpWork, usePhone, useRow, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

/** Whether the work order is the person's to work on: theirs, their crew's, or any for a lead. */
export function useIsOurs(work: WorkOrder): boolean {
  const person = usePhone((state) => state.person);
  const crews = useTable('crews');
  return person !== null && isWholeFor(work, fullyReplicatedFor(person, crews));
}

/** In the dock's place on work of others: whose it is, and what is missing of it here. */
export function OthersWork({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const palette = usePalette();
  const person = usePhone((state) => state.person);
  const rules = useRow('raiseRules', work.siteId);
  const people = useTable('people');
  const crews = useTable('crews');
  const heardAt = usePhone((state) => state.heardAt);
  const [isHere, setIsHere] = useState(true);
  useEffect(() => {
    // Again with everything that was heard since, for as long as somebody looks at it.
    void lookUpWork(work.id).then(setIsHere);
  }, [work.id, heardAt]);
  if (!isOpen(work.state) && isHere) return null;
  const mayBegin = person !== null && mayTakeOn(work, person, rules);
  const names = assigneesOf(work).map((id) => [...people, ...crews].find((each) => each.id === id)?.name ?? '');
  return (
    <View style={[sheet.foot, { borderColor: palette.line, backgroundColor: palette.card }]}>
      {isOpen(work.state) ? (
        <AppText>
          {names.length === 0 ? 'This job is nobody’s yet.' : `This job is with ${names.join(', ')}.`}
          {mayBegin ? '' : ' To record on it, ask the lead to add you.'}
        </AppText>
      ) : null}
      {mayBegin ? (
        <Button
          rank="primary"
          word="Take it on"
          onPress={() => void performOrSay('work.take-on', { workOrderId: work.id })}
        />
      ) : null}
      {isHere ? null : <AppText soft>Its steps and its record show when there is signal.</AppText>}
    </View>
  );
}

const sheet = StyleSheet.create({
  foot: { borderTopWidth: RULE, padding: 16, gap: 4 },
});
