import { useState, type ReactElement } from 'react';
import { FlatList, ScrollView, StyleSheet, View } from 'react-native';
import type { Notice } from '@oilcan/core/overview/notices';
import { noticeHeadline } from '@oilcan/core/registry';
import { now, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { LinkPress } from '../../../ui/press/link-press';
import { Button } from '../../../ui/press/press';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { ChooseNoticesSheet, NoticeKinds, WHAT_I_HEAR_OF } from './choose-notices-sheet';
import { MailsSheet, MY_MAILS, MyMails } from './mails-sheet';
import { pathOfNotice } from './notice-words';
import { useNotices } from './use-notices';
import { asList } from '../../../ui/layout/list';

const asRows = asList('Notices');

const see = (notices: readonly Notice[]): void => {
  const noticeIds = notices.filter(({ seenAt }) => seenAt === null).map(({ id }) => id);
  if (noticeIds.length > 0) void performOrSay('notices.see', { noticeIds: noticeIds.slice(0, 500) });
};

/** What I was told, the newest first. */
export function NoticesScreen(): ReactElement {
  const back = useBack('/shift');
  const notices = useNotices();
  const isWide = useIsWide();
  const palette = usePalette();
  const [asking, setAsking] = useState<'choice' | 'mails' | null>(null);
  const unseen = notices.filter(({ seenAt }) => seenAt === null).length;
  return (
    <View style={sheet.screen}>
      <TopBar title="Notices" {...back} />
      <View style={sheet.columns}>
        <FlatList
          role="main"
          style={sheet.column}
          {...asRows}
          data={notices}
          keyExtractor={({ id }) => id}
          initialNumToRender={12}
          contentContainerStyle={sheet.list}
          ListHeaderComponent={
            <View style={sheet.head}>
              <AppText as="title" level={2}>
                {unseen === 0 ? 'Nothing new' : counted(unseen, 'new notice', 'new notices')}
              </AppText>
              <View style={sheet.buttons}>
                {unseen === 0 ? null : <Button word="All seen" onPress={() => see(notices)} />}
                {isWide ? null : (
                  <>
                    <Button word="Choose what I hear of" onPress={() => setAsking('choice')} />
                    <Button word={MY_MAILS} onPress={() => setAsking('mails')} />
                  </>
                )}
              </View>
            </View>
          }
          ListEmptyComponent={
            <AppText style={sheet.head}>
              Nothing has concerned you yet. You are told when work is given to you, late or handed back, and of what
              you follow.
            </AppText>
          }
          renderItem={({ item }) => <NoticeRow notice={item} />}
        />
        {isWide ? (
          <ScrollView style={[sheet.beside, { borderColor: palette.line }]} contentContainerStyle={sheet.besideContent}>
            <AppText as="heading" level={2}>
              {WHAT_I_HEAR_OF}
            </AppText>
            <NoticeKinds />
            <AppText as="heading" level={2}>
              {MY_MAILS}
            </AppText>
            <MyMails />
          </ScrollView>
        ) : null}
      </View>
      {asking === 'choice' ? <ChooseNoticesSheet onClose={() => setAsking(null)} /> : null}
      {asking === 'mails' ? <MailsSheet onClose={() => setAsking(null)} /> : null}
    </View>
  );
}

function NoticeRow({ notice }: { readonly notice: Notice }): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const isNew = notice.seenAt === null;
  return (
    <LinkPress
      href={pathOfNotice(notice)}
      onPress={() => see([notice])}
      style={[
        sheet.row,
        { borderColor: palette.line, backgroundColor: isNew ? palette.card : 'transparent' },
        { borderLeftColor: isNew ? palette.ink : 'transparent' },
      ]}
    >
      <View style={sheet.line}>
        {isNew ? <AppText as="label">New</AppText> : null}
        <AppText as="mark" soft>
          {settings === undefined ? '' : sayMoment(notice.at, now(), settings.zone, settings.language)}
        </AppText>
        <AppText as="mark" soft>
          {notice.number}
        </AppText>
      </View>
      <AppText as={isNew ? 'row' : 'text'}>{noticeHeadline(notice, settings?.zone ?? 'UTC')}</AppText>
      <AppText soft>{notice.title}</AppText>
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  columns: { flex: 1, minHeight: 0, flexDirection: 'row' },
  column: { flex: 1, minWidth: 0 },
  beside: { flex: 1, minWidth: 0, maxWidth: 640, borderLeftWidth: RULE },
  besideContent: { padding: 16, gap: 14 },
  list: { width: '100%', maxWidth: 720, paddingBottom: 24 },
  head: { padding: 16, gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  row: { borderBottomWidth: 1, borderLeftWidth: 6, paddingHorizontal: 12, paddingVertical: 10, gap: 2 },
  line: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 12 },
});
