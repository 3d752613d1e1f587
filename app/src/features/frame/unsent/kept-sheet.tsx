import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { correctedTime, type Operation } from '@oilcan/core/operations';
import { sentenceFor } from '@oilcan/core/registry';
import { takeUpdate } from '../../../data/browser/application-update';
import { dropRejected, now, synchronize, usePhone, useRow, useSettings } from '../../../data/store/store';
import type { KeptOperation } from '../../../data/database/kept-operation';
import { LinkPress } from '../../../ui/press/link-press';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { phoneNames } from '../views/names';
import { sayClockAhead } from './clock-words';
import { CorrectSheet } from './correct-sheet';
import { operationWords } from './operation-words';
import { SignInAgain } from './sign-in-again';
import { explain } from './status';
import { useFacts } from './use-facts';
import { mdiClose } from '@mdi/js';

/** What this phone answers for: what needs its person first, then what is on its way or waits. */
export function KeptSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const kept = usePhone((state) => state.kept);
  const clockAhead = usePhone((state) => state.clockAhead);
  const facts = useFacts();
  const [mending, setMending] = useState<Operation | null>(null);
  const rejected = kept.filter(({ where }) => where === 'rejected');
  const pending = kept.filter(({ where }) => where === 'pending');
  const clockWords = sayClockAhead(clockAhead);
  if (mending !== null) return <CorrectSheet operation={mending} onClose={() => setMending(null)} />;
  return (
    <BottomSheet title="Not sent yet" onClose={onClose}>
      <AppText>{explain(facts)}</AppText>
      {facts.contact === 'signed-out' ? <SignInAgain onDone={onClose} /> : null}
      {facts.contact === 'older' ? <Button rank="primary" word="Update now" onPress={() => void takeUpdate()} /> : null}
      {facts.contact === 'no-signal' || facts.contact === 'server-trouble' ? (
        <Button word="Try now" onPress={() => void synchronize()} />
      ) : null}
      {clockWords === null ? null : <AppText>{clockWords}</AppText>}
      {rejected.length === 0 ? null : (
        <AppText as="heading" level={3}>
          Needs you
        </AppText>
      )}
      {rejected.map((each) => (
        <KeptRow key={each.operation.id} kept={each} onCorrect={setMending} onClose={onClose} />
      ))}
      {pending.length === 0 ? null : (
        <AppText as="heading" level={3}>
          On this phone
        </AppText>
      )}
      {pending.map((each) => (
        <KeptRow key={each.operation.id} kept={each} onCorrect={setMending} onClose={onClose} />
      ))}
    </BottomSheet>
  );
}

interface RowProps {
  readonly kept: KeptOperation;
  readonly onCorrect: (operation: Operation) => void;
  readonly onClose: () => void;
}

function KeptRow({ kept, onCorrect, onClose }: RowProps): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const { operation } = kept;
  const work = useRow('workOrders', workOrderIdOf(operation));
  const isOnItsWay = usePhone((state) => state.sending.has(operation.id));
  const what = operationWords(operation, phoneNames);
  const madeAt =
    settings === undefined
      ? ''
      : sayMoment(correctedTime(operation.at, operation.ahead, now()), now(), settings.zone, settings.language);
  const said = (
    <>
      <AppText as="label" lines={3}>
        {what}
      </AppText>
      <AppText as="small" soft>
        {work === undefined ? 'Work order not on this phone' : `${work.number} ${work.title}`}
        {' · '}
        {kept.where === 'rejected' ? `recorded ${madeAt}` : isOnItsWay ? 'being sent' : `waits since ${madeAt}`}
      </AppText>
    </>
  );
  return (
    <View style={[sheet.row, { borderColor: palette.line }]}>
      {work === undefined ? (
        said
      ) : (
        <LinkPress href={`/shift/${work.id}`} onPress={onClose}>
          {said}
        </LinkPress>
      )}
      {kept.where === 'rejected' ? (
        <>
          <AppText>Not taken. {sentenceFor(kept.refusal.code, kept.refusal.values)}</AppText>
          <RejectedButtons operation={operation} onCorrect={onCorrect} />
        </>
      ) : null}
    </View>
  );
}

function RejectedButtons({
  operation,
  onCorrect,
}: Pick<RowProps, 'onCorrect'> & { readonly operation: Operation }): ReactElement {
  const [isAsking, setIsAsking] = useState(false);
  if (!isAsking) {
    return (
      <View style={sheet.buttons}>
        <Button rank="primary" word="Mend and send" onPress={() => onCorrect(operation)} />
        <Button word="Drop it" icon={mdiClose} onPress={() => setIsAsking(true)} />
      </View>
    );
  }
  return (
    <>
      <AppText>Drop it for good? It is on this phone only, and in no record of the job.</AppText>
      <View style={sheet.buttons}>
        <Button rank="primary" word="Keep it" onPress={() => setIsAsking(false)} />
        <Button word="Drop it for good" onPress={() => void dropRejected(operation.id)} />
      </View>
    </>
  );
}

function workOrderIdOf({ args }: Operation): string | null {
  if (typeof args !== 'object' || args === null || !('workOrderId' in args)) return null;
  return typeof args.workOrderId === 'string' ? args.workOrderId : null;
}

const sheet = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingBottom: 10, gap: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
