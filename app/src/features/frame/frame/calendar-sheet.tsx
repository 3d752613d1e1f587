import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiContentCopy } from '@mdi/js';
import { httpLink } from '../../../data/server/http-link';
import { now, useSettings } from '../../../data/store/store';
import { sentenceOfFailure, useAnswer } from '../../../data/store/use-answer';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';

/** My due work in the calendar that I use anyway, under a link that I can withdraw. */
export function CalendarSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const settings = useSettings();
  const say = useNotice((state) => state.say);
  const [again, setAgain] = useState(0);
  const [path, setPath] = useState<string | null>(null);
  const answered = useAnswer(httpLink.calendar, again);
  const link = answered.is === 'there' ? answered.answer.link : null;
  const attempt = (task: Promise<void>): void => {
    task.then(
      () => setAgain(again + 1),
      (error: unknown) => say(sentenceOfFailure(error)),
    );
  };
  const make = async (): Promise<void> => setPath((await httpLink.makeCalendar()).path);
  const withdraw = async (): Promise<void> => {
    await httpLink.withdrawCalendar();
    setPath(null);
    say('The link leads nowhere any more.');
  };
  const address = path === null ? '' : `${window.location.origin}${path}`;
  const read =
    link === null || settings === undefined || link.readAt === null
      ? 'It was never read.'
      : `Last read ${sayMoment(link.readAt, now(), settings.zone, settings.language)}.`;
  return (
    <BottomSheet title="My calendar link" onClose={onClose}>
      <AppText>
        Your due work shows in any calendar program that is given this link. Whoever has it sees it too, so keep it to
        yourself.
      </AppText>
      {answered.is === 'looking' ? <AppText live>Looking …</AppText> : null}
      {answered.is === 'without signal' ? <AppText live>Your link can be made when there is signal.</AppText> : null}
      {path === null ? null : (
        <View style={sheet.link}>
          <Field label="The link" value={address} isReadOnly />
          <Button
            rank="primary"
            icon={mdiContentCopy}
            word="Copy the link"
            onPress={() => void navigator.clipboard.writeText(address).then(() => say('The link is copied.'))}
          />
          <AppText soft>It is shown only now. When it is lost, make another.</AppText>
        </View>
      )}
      {answered.is !== 'there' ? null : link === null ? (
        <Button rank="primary" word="Make a link" onPress={() => attempt(make())} />
      ) : (
        <>
          {path === null ? <AppText soft>There is a link. {read}</AppText> : null}
          <Button word="Withdraw it" onPress={() => attempt(withdraw())} />
          <Button word="Make another, which ends this one" onPress={() => attempt(make())} />
        </>
      )}
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({ link: { gap: 8 } });
