import { useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiCamera } from '@mdi/js';
import { picturesOf, type Incident } from '@oilcan/core/raising/incidents';
import { hasRole } from '@oilcan/core/operations';
import { useReportPhoto } from '../../../data/pictures/use-report-photo';
import { now, peekRow, usePhone, useRow, useSettings } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Drawn } from '../../../ui/drawn/drawn';
import { Button } from '../../../ui/press/press';
import { Row, Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { PlayVoice, useSaidAloud, VoiceToggle } from '../../recording/attachments';
import { useIsWindowWide } from '../../../ui/theme/theme';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { Picture } from '../../recording/photos';
import { causeWords, incidentKindWords } from './incident-words';
import { PageTitle } from '../../frame/page/page-title';

/** One incident, for those whom it concerns. */
export function IncidentScreen({ incidentId }: { readonly incidentId: string }): ReactElement {
  const back = useBack('/reports');
  const isBeside = useIsWindowWide();
  const incident = useRow('incidents', incidentId);
  return (
    <View style={sheet.screen}>
      <TopBar
        title={incident?.number ?? 'Incident'}
        isNamedBelow={incident !== undefined}
        {...(isBeside ? { isBeside } : back)}
      />
      <ScrollView role="main" contentContainerStyle={sheet.content}>
        {incident === undefined ? (
          <AppText live>This incident is not yours to see, or does not exist.</AppText>
        ) : (
          <Page incident={incident} />
        )}
      </ScrollView>
    </View>
  );
}

function Page({ incident }: { readonly incident: Incident }): ReactElement {
  const asset = useRow('assets', incident.assetId);
  const place = useRow('places', incident.placeId);
  const settings = useSettings(incident.siteId);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const [opened, setOpened] = useState<'add' | 'close' | null>(null);
  const say = (at: Incident['at']): string =>
    settings === undefined ? '' : sayMoment(at, now(), settings.zone, settings.language);
  const names = incident.presentIds.map((id) => peekRow('people', id)?.name ?? '');
  const present = [...names, incident.presentOthers].filter((name) => name !== '').join(', ');
  const reporter = peekRow('people', incident.by)?.name ?? '';
  return (
    <>
      <AppText as="label">
        {incidentKindWords[incident.kind]}
        {incident.closed === null ? '' : ' · closed'}
      </AppText>
      <PageTitle>{incident.words}</PageTitle>
      <AppText>
        {asset === undefined ? '' : `${asset.name}, `}
        {place?.name ?? ''}, {say(incident.happenedAt)}
      </AppText>
      <AppText soft>
        Reported by {reporter}, {say(incident.at)}
      </AppText>
      {incident.causes.length === 0 ? null : (
        <AppText>What led to it: {incident.causes.map((cause) => causeWords[cause]).join(', ')}</AppText>
      )}
      {present === '' ? null : <AppText>Who was there: {present}</AppText>}
      {incident.doneAtOnce === '' ? null : <AppText>Done at once: {incident.doneAtOnce}</AppText>}
      {picturesOf(incident).map((photo) => (
        <View key={photo.fileId} style={sheet.picture}>
          <Picture content={{ ...photo, caption: incident.number }} />
        </View>
      ))}
      {incident.signature === null ? null : (
        <View>
          <Drawn path={incident.signature.path} name={incident.signature.name} />
          <AppText as="small">{incident.signature.name}</AppText>
        </View>
      )}
      <Section title="What was added">
        {incident.notes.length === 0 ? <AppText soft>Nothing yet.</AppText> : null}
        {incident.notes.map((note) => (
          <Row key={note.id}>
            <View style={sheet.note}>
              <AppText as="small" soft>
                {peekRow('people', note.by)?.name ?? ''}, {say(note.at)}
              </AppText>
              {note.words === '' ? null : <AppText>{note.words}</AppText>}
              {note.voice === undefined ? null : <PlayVoice content={{ kind: 'voice', ...note.voice }} />}
            </View>
          </Row>
        ))}
      </Section>
      <View style={sheet.keys}>
        <Button word="Add something" onPress={() => setOpened('add')} />
        {isLead && incident.closed === null ? <Button word="Close it" onPress={() => setOpened('close')} /> : null}
      </View>
      {opened === null ? null : (
        <AddSheet incident={incident} closes={opened === 'close'} onClose={() => setOpened(null)} />
      )}
    </>
  );
}

function AddSheet({
  incident,
  closes,
  onClose,
}: {
  readonly incident: Incident;
  readonly closes: boolean;
  readonly onClose: () => void;
}): ReactElement {
  const { photo, trouble, take } = useReportPhoto();
  const { run, refusal: voiceRefusal, errorAt } = useOperation();
  const { voice, said, sendSaid } = useSaidAloud(
    (spoken) => run('incident.say-aloud', { incidentId: incident.id, voice: spoken }, 'Added.'),
    onClose,
  );
  const { form, submit, refusal } = useOperationForm({
    operation: 'incident.add',
    about: incident.id,
    defaultValues: { words: '' },
    read: ({ words }) => ({ args: { incidentId: incident.id, words, photo, closes } }),
    said: closes ? 'Closed.' : 'Added.',
    onDone: sendSaid,
  });
  const send = (): void => {
    const isVoiceAlone = said !== null && photo === null && form.getValues('words').trim() === '';
    if (isVoiceAlone) sendSaid();
    else submit();
  };
  const title = closes ? 'Close it' : 'Add something';
  return (
    <BottomSheet
      title={title}
      aside={incident.number}
      onClose={onClose}
      foot={
        <>
          <Button icon={mdiCamera} word={photo === null ? 'Photo' : 'Take it again'} onPress={() => void take()} />
          {closes ? null : <VoiceToggle voice={voice} isSaid={said !== null} />}
          <Button rank="primary" word={closes ? 'Close the incident' : 'Keep it'} onPress={send} />
        </>
      }
    >
      {incident.closed === null ? null : <AppText>It is closed. What you add opens it again.</AppText>}
      <FormField
        control={form.control}
        name="words"
        label={closes ? 'What was done so that it does not happen again' : 'What there is to add'}
        lines={4}
        autoFocus
      />
      {photo === null ? null : <Picture content={{ ...photo, caption: 'With it' }} isSmall />}
      {said === null ? null : <PlayVoice content={{ kind: 'voice', ...said }} />}
      <FormRefusal sentence={trouble ?? voice?.trouble ?? errorAt(voiceRefusal?.field ?? '') ?? refusal} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 8, width: '100%', maxWidth: 720 },
  picture: { maxWidth: 480 },
  note: { flexShrink: 1, minWidth: 0 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
