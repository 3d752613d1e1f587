import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { definitionOf, isOperationName, OilcanError, parseInstant, sentenceFor } from '@oilcan/core';
import { counted } from '../../words/work-words';
import { sayMoment } from '../../words/dates';
import { dropRejected, now, signIn, usePhone, useRow, useSettings } from '../../data/store';
import type { KeptOperation } from '../../data/kept-operation';
import { Unreachable } from '../../data/server-link';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Icon } from '../../ui/icon';
import type { IconName } from '../../ui/icon-paths';
import { Button, Press } from '../../ui/press';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';

interface Standing {
  readonly icon: IconName;
  readonly words: string;
}

/** How things stand between this phone and the server, in words. */
function useStanding(): Standing {
  const rejected = usePhone((state) => state.kept.filter((each) => each.where === 'rejected').length);
  const pending = usePhone((state) => state.kept.filter((each) => each.where === 'pending').length);
  const contact = usePhone((state) => state.contact);
  if (rejected > 0) return { icon: 'needsYou', words: counted(rejected, 'needs you', 'need you') };
  if (contact === 'signed-out') return { icon: 'needsYou', words: 'Sign in to send' };
  if (pending > 0) return { icon: contact === 'no-signal' ? 'noSignal' : 'phone', words: `${pending} on this phone` };
  if (contact === 'no-signal') return { icon: 'noSignal', words: 'No signal' };
  return { icon: 'sent', words: 'All sent' };
}

/** In the top bar: says how things stand, and opens the list of what is not sent. */
export function SentMark(): ReactElement {
  const standing = useStanding();
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <Press onPress={() => setIsOpen(true)} style={sheet.mark} testID="sent-mark">
        <Icon name={standing.icon} size={18} />
        <Words as="mark" live>
          {standing.words}
        </Words>
      </Press>
      {isOpen ? <KeptSheet onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}

function KeptSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const kept = usePhone((state) => state.kept);
  const contact = usePhone((state) => state.contact);
  const unsent = kept.filter((each) => each.where !== 'sent');
  return (
    <BottomSheet title="Not sent yet" onClose={onClose}>
      {contact === 'signed-out' ? <SignInAgain onDone={onClose} /> : null}
      {unsent.length === 0 ? (
        <Words>Everything recorded on this phone is with the server.</Words>
      ) : (
        unsent.map((each) => <KeptRow key={each.operation.id} kept={each} />)
      )}
    </BottomSheet>
  );
}

/** The session has ended; what is on this phone goes out once its person has signed in again. */
function SignInAgain({ onDone }: { readonly onDone: () => void }): ReactElement {
  const person = usePhone((state) => state.person);
  const [password, setPassword] = useState('');
  const [failure, setFailure] = useState<string | null>(null);
  const enter = async (): Promise<void> => {
    try {
      await signIn(person?.name ?? '', password);
      onDone();
    } catch (error) {
      if (!(error instanceof OilcanError) && !(error instanceof Unreachable)) throw error;
      setFailure(error.message);
    }
  };
  return (
    <View style={sheet.again}>
      <Words>Your session has ended. Nothing is lost; it goes out when you have signed in again.</Words>
      <Field
        label="Password"
        value={password}
        onChange={setPassword}
        isSecret
        autoComplete="current-password"
        error={failure}
        onEnter={() => void enter()}
      />
      <Button main word="Sign in and send" onPress={() => void enter()} />
    </View>
  );
}

function KeptRow({ kept }: { readonly kept: KeptOperation }): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const work = useRow('workOrders', workOrderIdOf(kept));
  const { operation } = kept;
  const label = isOperationName(operation.name) ? definitionOf(operation.name).label : operation.name;
  const madeAt =
    settings === undefined ? '' : sayMoment(parseInstant(operation.at), now(), settings.zone, settings.language);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]}>
      <Words as="label">
        {work?.number ?? ''} {label}
      </Words>
      {kept.where === 'rejected' ? (
        <>
          <Words as="text">Not taken: {sentenceFor(kept.refusal.code, kept.refusal.values)}</Words>
          <Button word="Drop it" icon="close" onPress={() => void dropRejected(operation.id)} />
        </>
      ) : (
        <Words as="small" soft>
          On this phone since {madeAt}. It goes out when there is signal.
        </Words>
      )}
    </View>
  );
}

function workOrderIdOf({ operation }: KeptOperation): string | null {
  const { args } = operation;
  if (typeof args !== 'object' || args === null || !('workOrderId' in args)) return null;
  return typeof args.workOrderId === 'string' ? args.workOrderId : null;
}

const sheet = StyleSheet.create({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 6, paddingHorizontal: 8 },
  again: { gap: 8, paddingBottom: 12 },
  row: { borderBottomWidth: 1, paddingVertical: 10, gap: 6 },
});
