import { tradesOfWork } from '@oilcan/core/orders/settings';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isLocalDay, type AssetId, type EntryId, type PersonId } from '@oilcan/core/kernel';
import {
  currentEntries,
  urgencies,
  workKinds,
  type Entry,
  type Urgency,
  type WorkKind,
  type WorkOrder,
} from '@oilcan/core/orders/work';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { useUsual } from '../../../data/queries/usual-of';
import { useRow, useRows, useSettings } from '../../../data/store/store';
import { WhoDoesIt } from '../../../forms/who-does-it';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { More } from '../../../ui/press/more';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { kindWords, urgencyWords } from '../../../words/work-words';
import { useMadeWork } from '../../orders/work';
import { UsualKitChoice, useUsualKit } from '../../stores/kit-list';
import { OnDay, OneOf, WhereField } from '../../raising/raise';

/** Of a long record the newest notes and photos are offered. */
const MOST_OFFERED = 12;

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** A new work order out of this one: machine, place and link are filled in, notes and photos go along if they are chosen. */
export function FurtherSheet({ work, onClose }: Props): ReactElement {
  const settings = useSettings(work.siteId);
  const { form, submit, refusal, title, setUsualOf, assetId, setChosenId, kind, setKind, usualKit } = useFurther(
    work,
    onClose,
  );
  const [urgency, tradeId, carried, plannedOn, personIds] = form.watch([
    'urgency',
    'tradeId',
    'carried',
    'plannedOn',
    'personIds',
  ]);
  const asset = useRow('assets', assetId);
  return (
    <BottomSheet
      title="Further work"
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="primary" word="Raise this work order" onPress={submit} />}
    >
      <View onBlur={() => setUsualOf({ title: form.getValues('title'), tradeId })}>
        <FormField control={form.control} name="title" label="What is to be done" autoFocus onEnter={submit} />
      </View>
      <AppText as="label">How soon</AppText>
      <Choices label="How soon">
        {urgencies.map((each) => (
          <Choice
            key={each}
            word={urgencyWords[each]}
            isChosen={each === urgency}
            onPress={() => form.setValue('urgency', each)}
          />
        ))}
      </Choices>
      {settings === undefined ? null : (
        <>
          <AppText as="label">Trade</AppText>
          <Choices label="Trade">
            {tradesOfWork(settings).map(({ id, name }) => (
              <Choice
                key={id}
                word={name}
                isChosen={id === tradeId}
                onPress={() => {
                  form.setValue('tradeId', id);
                  setUsualOf({ title, tradeId: id });
                }}
              />
            ))}
          </Choices>
        </>
      )}
      <More word="Kind, day, person, machine" label="further work">
        <View style={sheet.questions}>
          <OneOf
            label="Kind of work"
            of={workKinds}
            words={kindWords}
            chosen={kind}
            onChoose={(next) => {
              form.setValue('kind', next);
              setKind(next);
            }}
          />
          {settings === undefined ? null : (
            <OnDay settings={settings} day={plannedOn} onChoose={(day) => form.setValue('plannedOn', day)} />
          )}
          {asset === undefined ? null : (
            <WhoDoesIt
              siteId={asset.siteId}
              personIds={personIds}
              onPeople={(ids) => form.setValue('personIds', [...ids])}
            />
          )}
          <WhereField
            at={{ is: 'asset', id: assetId }}
            onChoose={(at) => setChosenId(at?.is === 'asset' ? at.id : null)}
            isMachineOnly
          />
        </View>
      </More>
      <UsualKitChoice of={usualKit} />
      <FormField control={form.control} name="reason" label="Why (not needed)" />
      <AlongChoice work={work} carried={carried} onChange={(ids) => form.setValue('carried', ids)} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

/** The new work order while it is being typed. */
function useFurther(work: WorkOrder, onClose: () => void) {
  const makes = useMadeWork();
  const [{ title, tradeId: usualTradeId }, setUsualOf] = useState({ title: '', tradeId: work.tradeId });
  const [chosenId, setChosenId] = useState<AssetId | null>(null);
  const assetId = chosenId ?? work.assetId;
  const [kind, setKind] = useState<WorkKind>('corrective');
  const usual = useUsual({ assetId, kind, tradeId: usualTradeId, title });
  const usualKit = useUsualKit(usual, work.siteId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.raise',
    about: work.id,
    defaultValues: {
      title: '',
      reason: '',
      urgency: 'week' as Urgency,
      tradeId: work.tradeId,
      carried: [] as readonly EntryId[],
      kind: 'corrective' as WorkKind,
      plannedOn: '' as string,
      personIds: [] as PersonId[],
    },
    read: (typed) => {
      const raised = furtherWorkOrder({
        assetId,
        title: typed.title.trim(),
        reason: typed.reason.trim() === '' ? `Noticed on ${work.number}, ${work.title}.` : typed.reason.trim(),
        urgency: typed.urgency,
        tradeId: typed.tradeId,
        cameFrom: work.id,
        carried: [...typed.carried],
      });
      return {
        args: {
          ...raised,
          kind: typed.kind,
          kit: [...usualKit.kit],
          estimateMinutes: usual?.minutes?.median ?? 0,
          personIds: typed.personIds,
          ...(isLocalDay(typed.plannedOn) ? { plannedOn: typed.plannedOn } : {}),
        },
      };
    },
    said: (_, __, made) => makes.said(made, 'raised'),
    opens: makes.opens,
    onDone: onClose,
  });
  return { form, submit, refusal, title, setUsualOf, assetId, setChosenId, kind, setKind, usualKit };
}

interface AlongProps {
  readonly work: WorkOrder;
  readonly carried: readonly EntryId[];
  readonly onChange: (ids: readonly EntryId[]) => void;
}

/** Notes and photos of this job that go along to the next. */
function AlongChoice({ work, carried, onChange }: AlongProps): ReactElement | null {
  const entries = useRows('entries', 'workOrder', work.id);
  const offered = currentEntries(entries)
    .filter(({ content }) => content.kind === 'note' || content.kind === 'photo')
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .slice(0, MOST_OFFERED);
  const toggle = (id: EntryId): void => {
    const without = carried.filter((each) => each !== id);
    onChange(without.length < carried.length ? without : [...carried, id]);
  };
  if (offered.length === 0) return null;
  return (
    <View role="group" aria-label="Goes along" style={sheet.along}>
      <AppText as="label">Goes along</AppText>
      {offered.map((entry) => (
        <Choice
          key={entry.id}
          isMany
          word={alongWords(entry)}
          isChosen={carried.includes(entry.id)}
          onPress={() => toggle(entry.id)}
        />
      ))}
    </View>
  );
}

const LONGEST_WORDS = 60;

function alongWords({ content }: Entry): string {
  if (content.kind === 'photo') return content.caption === '' ? 'Photo' : `Photo: ${content.caption}`;
  const text = content.kind === 'note' ? content.text : '';
  return text.length <= LONGEST_WORDS ? text : `${text.slice(0, LONGEST_WORDS - 1)}…`;
}

const sheet = StyleSheet.create({ questions: { width: '100%', gap: 14 }, along: { gap: 8, alignItems: 'flex-start' } });
