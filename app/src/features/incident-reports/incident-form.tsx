import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiCamera } from '@mdi/js';
import { asId, readMoment, type IncidentId, type PersonId, type SiteId } from '@oilcan/core/kernel';
import { MOST_PHOTOS } from '@oilcan/core/reports';
import { incidentCauses } from '@oilcan/core/incidents';
import { demandOf, incidentKinds, rulesOf, type IncidentKind, type ReportQuestion } from '@oilcan/core/raise-rules';
import { sentenceFor } from '@oilcan/core/registry';
import { useKeptVoice } from '../../data/files/use-kept-voice';
import { useCamera } from '../../data/pictures/use-report-photo';
import { now, peekRow, performMaking, usePhone, useRow, useSettings, useTable } from '../../data/store';
import { performOrSay } from '../../data/use-operation';
import { FormRefusal } from '../../forms/form-refusal';
import { MomentInput } from '../../forms/moment-field';
import { momentProblem } from '../../forms/typed-words';
import { Field } from '../../ui/field';
import { useNotice } from '../../ui/use-notice';
import { Choice, Choices } from '../../ui/choice';
import { Button } from '../../ui/press';
import { SignatureField, unsigned } from '../../forms/signature-field';
import { RULE } from '../../ui/theme';
import { toggled } from '../../ui/toggled';
import { useOnce } from '../../ui/use-once';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { VoiceToggle } from '../attachments';
import { TopBar } from '../page/top-bar';
import { useBack } from '../page/use-back';
import { TakenAlong, WhereField, type RaiseDraft, type RaisedAt } from '../raising';
import { causeWords, incidentKindWords } from './incident-words';
import { useIncidentDraft } from './use-incident-draft';

interface Props {
  /** What was said on the page that raises it, by any of its ways. */
  readonly draft: RaiseDraft;
  readonly at: RaisedAt;
  /** What else could become of it. */
  readonly ways: ReactElement;
}

/** Somebody was hurt, or nearly; something was damaged, or spilled or released. Only those whom it concerns will see it. */
export function IncidentForm({ draft, at: first, ways }: Props): ReactElement | null {
  const router = useRouter();
  const back = useBack('/shift');
  const onward = useBack('/shift', '/raise');
  const palette = usePalette();
  const tell = useNotice((state) => state.say);
  const person = usePhone((state) => state.person);
  const { change, forget, kind, time, causes, presentIds, presentOthers, doneAtOnce } = useIncidentDraft(draft.where);
  const { words, photos, voice } = draft;
  const [at, setAt] = useState<RaisedAt>(first);
  const { trouble, take } = useCamera((taken) => draft.change({ photos: [...photos, taken].slice(-MOST_PHOTOS) }));
  const microphone = useKeptVoice((spoken) => draft.change({ voice: spoken }));
  const [signed, setSigned] = useState(unsigned);
  const [refusal, setRefusal] = useState<string | null>(null);
  const once = useOnce();
  const asset = useRow('assets', at?.is === 'asset' ? at.id : undefined);
  const place = useRow('places', at?.is === 'place' ? at.id : undefined);
  const siteId = asset?.siteId ?? place?.siteId ?? person?.siteIds[0];
  const demand = useDemand(siteId, kind);
  const settings = useSettings(siteId);
  if (person === null || settings === undefined) return null;
  const told = (sentence: string): false => {
    setRefusal(sentence);
    return false;
  };
  const send = async (): Promise<boolean> => {
    const happened = time.trim() === '' ? null : readMoment(time, now(), settings.zone);
    if (happened !== null && happened.is !== 'at') return told(momentProblem(time, now(), settings.zone));
    const happenedAt = happened?.at ?? now();
    const [photo = null, ...others] = photos;
    const made = await performMaking('incident.make', {
      number: null,
      kind,
      assetId: at?.is === 'asset' ? at.id : null,
      placeId: at?.is === 'place' ? at.id : null,
      words,
      happenedAt,
      causes,
      presentIds,
      presentOthers,
      doneAtOnce,
      photo,
      signature: signed.path === '' && !signed.isByName ? null : { name: person.name, path: signed.path },
    });
    if (!made.ok) return told(sentenceFor(made.code, made.values));
    const incidentId = asId<IncidentId>(made.value);
    let isSaid = true;
    for (const other of others) {
      const more = { incidentId, words: '', photo: other, closes: false };
      isSaid = (await performOrSay('incident.add', more)) && isSaid;
    }
    if (voice !== null) isSaid = (await performOrSay('incident.say-aloud', { incidentId, voice })) && isSaid;
    forget();
    draft.forget();
    const number = peekRow('incidents', made.value)?.number ?? 'It';
    // Why something was not taken stays to be read.
    if (isSaid)
      tell(`${number} is reported. Only the leads and who was there see it.`, () =>
        router.navigate(`/reports/incident/${made.value}`),
      );
    onward.onBack();
    return true;
  };
  const label = (question: ReportQuestion, word: string): string =>
    demand(question) === 'must' ? word : `${word} (not needed)`;
  const isAsked = (question: ReportQuestion): boolean => demand(question) !== 'not';
  return (
    <View style={sheet.screen}>
      <TopBar title="Raise" aside="incident" {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        {ways}
        <Words soft>Only the leads of the site and those who were there see it.</Words>
        <Choices label="What kind of incident">
          {incidentKinds.map((each) => (
            <Choice
              key={each}
              word={incidentKindWords[each]}
              isChosen={each === kind}
              onPress={() => change({ kind: each })}
            />
          ))}
        </Choices>
        <WhereField at={at} onChoose={setAt} />
        <Field label="What happened" value={words} onChange={(text) => draft.change({ words: text })} lines={4} />
        {isAsked('since') ? (
          <MomentInput
            label="When"
            value={time}
            onChange={(text) => change({ time: text })}
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
                onPress={() => change({ causes: toggled(causes, cause) })}
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
              onChange={(ids) => change({ presentIds: ids })}
            />
            <Field label="Others, by name" value={presentOthers} onChange={(text) => change({ presentOthers: text })} />
          </>
        ) : null}
        {isAsked('doneAtOnce') ? (
          <Field
            label={label('doneAtOnce', 'What was done at once')}
            value={doneAtOnce}
            onChange={(text) => change({ doneAtOnce: text })}
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
            <Words as="label">{label('signature', `Signed by ${person.name}`)}</Words>
            <SignatureField signed={signed} onSign={setSigned} error={null} />
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
          onPress={() => once(send)}
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
      <Words as="label">{title}</Words>
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
  const people = useTable('people').filter(({ siteIds }) => siteIds.includes(siteId));
  return (
    <Group title={title}>
      {people.map(({ id, name }) => (
        <Choice key={id} isMany word={name} isChosen={ids.includes(id)} onPress={() => onChange(toggled(ids, id))} />
      ))}
    </Group>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 14, width: '100%', maxWidth: 720 },
  group: { gap: 6 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  foot: { padding: 8, borderTopWidth: RULE },
  key: { maxWidth: 420 },
});
