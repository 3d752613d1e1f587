import { type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiCamera } from '@mdi/js';
import { type PersonId, type SiteId } from '@oilcan/core/kernel';
import { MOST_PHOTOS } from '@oilcan/core/raising/reports';
import { incidentCauses } from '@oilcan/core/raising/incidents';
import {
  demandOf,
  incidentKinds,
  rulesOf,
  type IncidentKind,
  type ReportQuestion,
} from '@oilcan/core/orders/raise-rules';
import { now, usePhone, useRow } from '../../../data/store/store';
import { PeopleChoice } from '../../../forms/people-choice';
import { usePeopleOf } from '../../../data/queries/use-people-of';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { MomentField } from '../../../forms/moment-field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { SignatureFormField } from '../../../forms/signature-field';
import { RULE } from '../../../ui/theme/theme';
import { toggled } from '../../../ui/state/toggled';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { VoiceToggle } from '../../recording/attachments';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { TakenAlong, WhereField, type RaiseDraft, type RaisedAt } from '../raise';
import { causeWords, incidentKindWords } from './incident-words';
import { useIncidentForm } from './use-incident-form';

interface Props {
  /** What was said on the page that raises it, by any of its ways. */
  readonly draft: RaiseDraft;
  readonly at: RaisedAt;
  /** What else could become of it. */
  readonly ways: ReactElement;
}

/** Somebody was hurt, or nearly; something was damaged, or spilled or released. Only those whom it concerns will see it. */
export function IncidentForm({ draft, at: first, ways }: Props): ReactElement | null {
  const back = useBack('/shift');
  const palette = usePalette();
  const person = usePhone((state) => state.person);
  const { words, photos, voice } = draft;
  const { form, submit, refusal, at, setAt, siteId, settings, trouble, take, microphone } = useIncidentForm(
    draft,
    first,
  );
  const { control, setValue } = form;
  const { kind, causes, presentIds } = form.watch();
  const demand = useDemand(siteId, kind);
  if (person === null || settings === undefined) return null;
  const label = (question: ReportQuestion, word: string): string =>
    demand(question) === 'must' ? word : `${word} (not needed)`;
  const isAsked = (question: ReportQuestion): boolean => demand(question) !== 'not';
  return (
    <View style={sheet.screen}>
      <TopBar title="Raise" aside="incident" {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        {ways}
        <AppText soft>Only the leads of the site and those who were there see it.</AppText>
        <Choices label="What kind of incident">
          {incidentKinds.map((each) => (
            <Choice
              key={each}
              word={incidentKindWords[each]}
              isChosen={each === kind}
              onPress={() => setValue('kind', each)}
            />
          ))}
        </Choices>
        <WhereField at={at} onChoose={setAt} />
        <FormField control={draft.control} name="words" label="What happened" lines={4} />
        {isAsked('since') ? (
          <MomentField
            control={control}
            name="time"
            label="When"
            hint="A time of day, such as 14:20 or yesterday 14:20. Empty for just now."
            present={now()}
            zone={settings.zone}
            language={settings.language}
          />
        ) : null}
        {isAsked('causes') ? (
          <Group title={label('causes', 'What led to it')}>
            {incidentCauses.map((cause) => (
              <Choice
                key={cause}
                isMany
                word={causeWords[cause]}
                isChosen={causes.includes(cause)}
                onPress={() => setValue('causes', [...toggled(causes, cause)])}
              />
            ))}
          </Group>
        ) : null}
        {isAsked('present') && siteId !== undefined ? (
          <>
            <Present
              title={label('present', 'Who was there')}
              siteId={siteId}
              ids={presentIds}
              onChange={(ids) => setValue('presentIds', [...ids])}
            />
            <FormField control={control} name="presentOthers" label="Others, by name" />
          </>
        ) : null}
        {isAsked('doneAtOnce') ? (
          <FormField
            control={control}
            name="doneAtOnce"
            label={label('doneAtOnce', 'What was done at once')}
            lines={3}
          />
        ) : null}
        <View style={sheet.choices}>
          {isAsked('photo') ? (
            <Button
              word={photos.length === 0 ? label('photo', 'Photo') : 'Another photo'}
              cannot={photos.length >= MOST_PHOTOS && `At most ${MOST_PHOTOS} photos.`}
              icon={mdiCamera}
              onPress={() => void take()}
            />
          ) : null}
          <VoiceToggle voice={microphone} isSaid={voice !== null} />
        </View>
        <TakenAlong photos={photos} voice={voice} onChange={draft.change} />
        {isAsked('signature') ? (
          <View>
            <AppText as="label">{label('signature', `Signed by ${person.name}`)}</AppText>
            <SignatureFormField control={control} />
          </View>
        ) : null}
        <FormRefusal sentence={refusal ?? trouble ?? microphone?.trouble ?? null} />
      </ScrollView>
      <View style={[sheet.foot, { borderColor: palette.ink, backgroundColor: palette.paper }]}>
        <Button
          rank="primary"
          word="Report the incident"
          style={sheet.key}
          cannot={at === null ? 'Say first where it was.' : words.trim() === '' && 'Say first what happened.'}
          onPress={submit}
        />
      </View>
    </View>
  );
}

function useDemand(
  siteId: SiteId | undefined,
  kind: IncidentKind,
): (question: ReportQuestion) => ReturnType<typeof demandOf> {
  const chosen = useRow('raiseRules', siteId);
  return (question) => (siteId === undefined ? 'not' : demandOf(rulesOf(siteId, chosen), kind, question));
}

function Group({ title, children }: { readonly title: string; readonly children: ReactElement[] }): ReactElement {
  return (
    <View role="group" aria-label={title} style={sheet.group}>
      <AppText as="label">{title}</AppText>
      <View style={sheet.choices}>{children}</View>
    </View>
  );
}

function Present({
  title,
  siteId,
  ids,
  onChange,
}: {
  readonly title: string;
  readonly siteId: SiteId;
  readonly ids: readonly PersonId[];
  readonly onChange: (ids: readonly PersonId[]) => void;
}): ReactElement {
  const people = usePeopleOf(siteId);
  return <PeopleChoice label={title} {...people} chosen={ids} onPress={(id) => onChange(toggled(ids, id))} />;
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 14, width: '100%', maxWidth: 720 },
  group: { gap: 6 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  foot: { padding: 8, borderTopWidth: RULE },
  key: { maxWidth: 420 },
});
