import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { noticeChoiceOf, noticeKinds, type NoticeChoice, type NoticeKind } from '@oilcan/core/overview/notices';
import { usePhone, useRow } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { askForPush, pushStanding } from './push';
import { noticeKindWords } from './notice-words';

export const WHAT_I_HEAR_OF = 'What I hear of';

/** Of what I hear, and how, as a sheet. */
export function ChooseNoticesSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  return (
    <BottomSheet
      title={WHAT_I_HEAR_OF}
      onClose={onClose}
      foot={<Button rank="primary" word="Done" onPress={onClose} />}
    >
      <NoticeKinds />
    </BottomSheet>
  );
}

/** Of what I hear, and how. Each press counts at once. */
export function NoticeKinds(): ReactElement | null {
  const me = usePhone((state) => state.person?.id);
  const chosen = useRow('noticeChoices', me);
  const [push, setPush] = useState(pushStanding);
  if (me === undefined) return null;
  const choice = noticeChoiceOf(me, chosen);
  return (
    <>
      {noticeKinds.map((kind) => (
        <KindChoice key={kind} kind={kind} choice={choice} />
      ))}
      {push === 'asked for' ? (
        <Button word="Let this phone show notifications" onPress={() => void askForPush().then(setPush)} />
      ) : (
        <AppText soft>
          {push === 'allowed'
            ? 'This phone shows notifications while Oilcan is open.'
            : 'This browser does not let Oilcan show notifications. They stand in the list.'}
        </AppText>
      )}
    </>
  );
}

function KindChoice({ kind, choice }: { readonly kind: NoticeKind; readonly choice: NoticeChoice }): ReactElement {
  const isWanted = !choice.silent.includes(kind);
  const byMail = choice.mail.includes(kind);
  const byPush = choice.push.includes(kind);
  const choose = (given: { isWanted?: boolean; byMail?: boolean; byPush?: boolean }): void =>
    void performOrSay('notices.choose', { kind, isWanted, byMail, byPush, ...given });
  return (
    <View role="group" aria-label={noticeKindWords[kind]} style={sheet.kind}>
      <AppText as="label">{noticeKindWords[kind]}</AppText>
      <View style={sheet.ways}>
        <Choice isMany word="In the list" isChosen={isWanted} onPress={() => choose({ isWanted: !isWanted })} />
        {isWanted ? (
          <>
            <Choice isMany word="On this phone" isChosen={byPush} onPress={() => choose({ byPush: !byPush })} />
            <Choice isMany word="By mail" isChosen={byMail} onPress={() => choose({ byMail: !byMail })} />
          </>
        ) : null}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  kind: { gap: 6 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
