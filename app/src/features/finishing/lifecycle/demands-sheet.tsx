import { useCallback, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { demandsOf } from '@oilcan/core/finishing/lifecycle';
import { demands, owedThings, workKinds, type Demands, type OwedThing, type WorkKind } from '@oilcan/core/orders/work';
import { httpLink } from '../../../data/server/http-link';
import { useSettings } from '../../../data/store/store';
import { useAnswer } from '../../../data/store/use-answer';
import { useOperation } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { Segments } from '../../../ui/fields/segments';
import { AppText } from '../../../ui/theme/app-text';
import { counted, kindWords } from '../../../words/work-words';
import { demandWords, owedThingWords } from './demand-words';

const choices = demands.map((demand) => [demand, demandWords[demand]] as const);

/** A lead says what finishing waits for and what is asked for, and sees what last month's jobs would have owed by it. */
export function DemandsSheet({ onClose }: { readonly onClose: () => void }): ReactElement | null {
  const settings = useSettings();
  const { run, errorAt } = useOperation();
  const [kind, setKind] = useState<WorkKind>('corrective');
  const [changed, setChanged] = useState<Partial<Record<WorkKind, Demands>>>({});
  if (settings === undefined) return null;
  const wanted = changed[kind] ?? demandsOf(settings, { kind });
  const keep = async (): Promise<void> => {
    for (const [each, chosen] of Object.entries(changed) as [WorkKind, Demands][])
      if (!(await run('owed.set', { kind: each, demands: chosen }))) return;
    onClose();
  };
  return (
    <BottomSheet
      title="What must be recorded"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word="Keep"
          cannot={Object.keys(changed).length === 0 && 'Nothing is changed.'}
          onPress={() => void keep()}
        />
      }
    >
      <AppText>
        A job is finished only when what must be given is there. What is asked for is shown, and can be left out.
      </AppText>
      <Choices label="Kind of work">
        {workKinds.map((each) => (
          <Choice key={each} word={kindWords[each]} isChosen={each === kind} onPress={() => setKind(each)} />
        ))}
      </Choices>
      <Preview key={kind} kind={kind} wanted={wanted} />
      {owedThings.map((thing) => (
        <View key={thing} style={sheet.thing}>
          <AppText as="label">{owedThingWords[thing]}</AppText>
          <Segments
            label={owedThingWords[thing]}
            value={wanted[thing]}
            choices={choices}
            onChoose={(demand) => setChanged({ ...changed, [kind]: { ...wanted, [thing]: demand } })}
          />
        </View>
      ))}
      <FormRefusal sentence={errorAt('')} />
    </BottomSheet>
  );
}

/** What the jobs of the last thirty days would have owed, by what is chosen now. */
function Preview({ kind, wanted }: { readonly kind: WorkKind; readonly wanted: Demands }): ReactElement {
  const ask = useCallback(() => httpLink.missingOfMonth(kind), [kind]);
  const answered = useAnswer(ask);
  if (answered.is === 'looking') return <AppText soft>Looking at last month’s jobs …</AppText>;
  if (answered.is === 'without signal')
    return <AppText soft>What last month’s jobs would have owed is seen with signal.</AppText>;
  const { jobs } = answered.answer;
  if (jobs.length === 0) return <AppText soft>No such job was finished in the last thirty days.</AppText>;
  const isOwed = (thing: OwedThing): boolean => wanted[thing] === 'must';
  const held = jobs.filter((missing) => missing.some(isOwed)).length;
  const most = owedThings
    .filter(isOwed)
    .map((thing) => ({ thing, count: jobs.filter((missing) => missing.includes(thing)).length }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
  return (
    <View role="status">
      <AppText>
        Of {counted(jobs.length, 'job', 'jobs')} in the last thirty days, {held === 0 ? 'none' : held} would have been
        held up.
      </AppText>
      {most.map(({ thing, count }) => (
        <AppText key={thing} as="small" soft>
          {owedThingWords[thing]}: {count}
        </AppText>
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({ thing: { gap: 4 } });
