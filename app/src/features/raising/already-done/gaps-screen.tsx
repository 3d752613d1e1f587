import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mustBeGiven, type Owed } from '@oilcan/core/finishing/lifecycle';
import { canChange, type WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useRow } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { useOnce } from '../../../ui/state/use-once';
import { AppText } from '../../../ui/theme/app-text';
import { whereOwed } from '../../../words/where-owed';
import { counted, owedWords } from '../../../words/work-words';
import { CodeFault } from '../../recording/faults';
import { noneWords } from '../../recording/none/words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { dockItems } from '../../frame/registry/views';
import { useOwed } from '../../../data/queries/use-owed';
import { PageTitle } from '../../frame/page/page-title';

/** What is still compulsory of work that was done: one question after the other, then it is finished like any other. */
export function GapsScreen({ workOrderId }: { readonly workOrderId: string }): ReactElement {
  const back = useBack('/shift');
  const work = useRow('workOrders', workOrderId);
  return (
    <View style={sheet.screen}>
      <TopBar
        title="Already done"
        isNamedBelow={work !== undefined}
        {...(work === undefined ? {} : { aside: work.number })}
        {...back}
      />
      <ScrollView role="main" contentContainerStyle={sheet.content}>
        {work === undefined ? <AppText live>This work order is not on this phone.</AppText> : <Gaps work={work} />}
      </ScrollView>
    </View>
  );
}

function Gaps({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const router = useRouter();
  const say = useNotice((state) => state.say);
  const standing = useOwed(work);
  const once = useOnce();
  if (standing === null) return null;
  const [next, ...later] = mustBeGiven(standing.owed);
  const finish = async (): Promise<boolean> => {
    if (work.state === 'ready' && !(await performOrSay('work.start', { workOrderId: work.id }))) return false;
    if (!(await performOrSay('work.finish', { workOrderId: work.id }))) return false;
    say(`${work.number} is finished.`);
    router.replace('/shift');
    return true;
  };
  const isOver = !canChange(work.state, 'finish') && work.state !== 'ready';
  return (
    <>
      <PageTitle>{work.title}</PageTitle>
      <AppText soft>
        Kept as {work.number}. Leave it when you like: it stands on your list until it is finished.
      </AppText>
      {isOver ? (
        <AppText>It is finished.</AppText>
      ) : next === undefined ? (
        <Button rank="primary" word="Finish it" onPress={() => once(finish)} />
      ) : (
        <Gap work={work} owed={next} left={later.length} />
      )}
      <Button word="Open the work order" onPress={() => router.navigate(`/shift/${work.id}`)} />
    </>
  );
}

function Gap({
  work,
  owed,
  left,
}: {
  readonly work: WorkOrder;
  readonly owed: Owed;
  readonly left: number;
}): ReactElement {
  const router = useRouter();
  const me = useMe();
  const [isOpen, setIsOpen] = useState(false);
  const where = whereOwed[owed.what];
  const { none } = where;
  const item = dockItems.find(({ name }) => name === where.sheet);
  const close = (): void => setIsOpen(false);
  const give = (): void => {
    if (item === undefined && owed.what !== 'codes') router.navigate(`/shift/${work.id}`);
    else setIsOpen(true);
  };
  const nameOf = (id: string): string => peekRow('people', id)?.name ?? 'a mate';
  return (
    <View role="group" aria-label="What is still needed" style={sheet.gap}>
      <AppText as="heading" level={2}>
        {owedWords(owed, me, nameOf)}
      </AppText>
      <View style={sheet.keys}>
        <Button rank="primary" word="Give it" onPress={give} />
        {none === null ? null : (
          <Button
            word={noneWords[none]}
            onPress={() => void performOrSay('none.say', { workOrderId: work.id, of: none })}
          />
        )}
      </View>
      <AppText soft>{left === 0 ? 'This is the last.' : `${counted(left, 'more after it', 'more after it')}.`}</AppText>
      {isOpen && item !== undefined ? (
        <item.Sheet work={work} about={owed.what === 'reading' ? owed.pointId : undefined} onClose={close} />
      ) : null}
      <CodeFault work={work} entryId={isOpen && owed.what === 'codes' ? owed.entryId : null} onClose={close} />
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 14, width: '100%', maxWidth: 720, alignItems: 'flex-start' },
  gap: { gap: 10 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
