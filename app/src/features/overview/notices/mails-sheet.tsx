import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { OilcanError } from '@oilcan/core/kernel';
import type { SentMail } from '../../../data/server/answers';
import { httpLink } from '../../../data/server/http-link';
import { Unreachable } from '../../../data/server/server-link';
import { now, useSettings } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';

/** A mail may be on its way while somebody looks. */
const LOOK_MILLISECONDS = 3_000;

export const MY_MAILS = 'My mails';

/** The mails that went out to me, as a sheet. */
export function MailsSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  return (
    <BottomSheet title={MY_MAILS} onClose={onClose}>
      <MyMails />
    </BottomSheet>
  );
}

/** In the place of a mailbox: the mails that went out to me. */
export function MyMails(): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const [mails, setMails] = useState<readonly SentMail[] | 'looking' | 'without signal'>('looking');
  useEffect(() => {
    const look = (): void => {
      httpLink.mails().then(
        (answer) => setMails(answer.mails),
        (error: unknown) => {
          if (!(error instanceof OilcanError) && !(error instanceof Unreachable)) throw error;
          setMails((before) => (typeof before === 'string' ? 'without signal' : before));
        },
      );
    };
    look();
    const timer = setInterval(look, LOOK_MILLISECONDS);
    return () => clearInterval(timer);
  }, []);
  return (
    <>
      {mails === 'looking' ? <AppText live>Looking …</AppText> : null}
      {mails === 'without signal' ? <AppText live>Mails show when there is signal.</AppText> : null}
      {typeof mails === 'string' ? null : mails.length === 0 ? (
        <AppText>No mail went out to you. Choose “By mail” for what you want to hear of so.</AppText>
      ) : (
        mails.map(({ id, subject, text, sentAt }) => (
          <View key={id} style={[sheet.mail, { borderColor: palette.line }]}>
            <AppText as="label">{subject}</AppText>
            <AppText as="small" soft>
              {settings === undefined ? '' : sayMoment(sentAt, now(), settings.zone, settings.language)}
            </AppText>
            <AppText as="small">{text.trim()}</AppText>
          </View>
        ))
      )}
    </>
  );
}

const sheet = StyleSheet.create({ mail: { borderBottomWidth: 1, paddingBottom: 8, gap: 2 } });
