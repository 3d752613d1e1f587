import { useMemo, useState, type ReactElement } from 'react';
import { View } from 'react-native';
import { addMinutes, parseDuration, type AssetId, type Instant } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useRow, useSettings } from '../../../data/store/store';
import { DurationField } from '../../../forms/duration-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { durationProblem, momentProblem } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { HowStopped, type How } from './how-stopped';
import { OutNow } from './out-now';
import { clockTime, readWhen, WhenField, type Likely, type When } from './when-field';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** A machine that stands still: since when, and whether it still does. One that does already only has to run again. */
export function StoppageSheet({ work, onClose }: Props): ReactElement {
  const [isAnother, setIsAnother] = useState(false);
  const asset = useRow('assets', work.assetId);
  if (asset !== undefined && (asset.openStoppages ?? []).length > 0 && !isAnother) {
    return <OutNow asset={asset} onAnother={() => setIsAnother(true)} onClose={onClose} />;
  }
  return <NewStoppage key={work.assetId} work={work} onClose={onClose} />;
}

interface Typed {
  readonly assetId: AssetId;
  readonly since: When;
  readonly until: When;
  /** How long it stood, where that is what somebody knows. */
  readonly length: string;
  readonly how: How;
  readonly isPlanned: boolean;
}

const LASTS = 'lasts';
const UNTIL_NOW = 'now';
const FOR = 'for';

function NewStoppage({ work, onClose }: Props): ReactElement {
  const settings = useSettings(work.siteId);
  const zone = settings?.zone ?? 'utc';
  const [present] = useState(now);
  const likely = useMemo(() => likelySince(work, present, zone), [work, present, zone]);
  const ends: readonly Likely[] = [
    { key: LASTS, word: 'It still does', at: null },
    { key: UNTIL_NOW, word: 'Until now', at: present },
    { key: FOR, word: 'For so long', at: null },
  ];
  const { form, submit, refusal } = useOperationForm({
    operation: 'stoppage.add',
    about: work.id,
    defaultValues: {
      assetId: work.assetId,
      since: { chosen: likely[0]?.key ?? null, text: '' },
      until: { chosen: LASTS, text: '' },
      length: '',
      how: { extent: 'full', lostPercent: null },
      isPlanned: work.kind === 'preventive',
    },
    fieldOf: (argument) => fieldOf[argument] ?? 'how',
    read: ({ assetId, since, until, length, how, isPlanned }: Typed) => {
      const ended = readWhen(until, ends, { present, zone });
      if (ended === 'unreadable') return { unreadable: 'until', hint: momentProblem(until.text, present, zone) };
      const from = readWhen(since, likely, { present, before: ended, zone });
      if (from === 'unreadable' || from === null)
        return { unreadable: 'since', hint: momentProblem(since.text, present, zone) };
      const minutes = until.chosen === FOR ? parseDuration(length) : null;
      if (minutes === undefined) return { unreadable: 'length', hint: durationProblem(length) };
      const to = minutes === null ? ended : addMinutes(from, minutes);
      return { args: { workOrderId: work.id, assetId, from, to, ...how, isPlanned } };
    },
    said: ({ to }) => (to === null ? 'Kept. The machine is marked as out until it runs again.' : 'Stoppage kept.'),
    onDone: onClose,
  });
  const [assetId, since, until, how, isPlanned] = form.watch(['assetId', 'since', 'until', 'how', 'isPlanned']);
  const by = { present, zone, language: settings?.language ?? 'en' };
  const ended = readWhen(until, ends, by);
  const { errors } = form.formState;
  const machines = machinesOf(work);
  return (
    <BottomSheet
      title="Stoppage"
      onClose={onClose}
      foot={<Button rank="primary" word="Keep the stoppage" onPress={submit} />}
    >
      {machines.length < 2 ? null : (
        <Choices label="Machine">
          {machines.map(({ id, name }) => (
            <Choice key={id} word={name} isChosen={id === assetId} onPress={() => form.setValue('assetId', id)} />
          ))}
        </Choices>
      )}
      <HowStopped how={how} onChange={(next) => form.setValue('how', next)} />
      <WhenField
        {...by}
        label="Since"
        likely={likely}
        before={ended === 'unreadable' ? null : ended}
        value={since}
        onChange={(next) => form.setValue('since', next)}
        error={errors.since?.message ?? null}
      />
      <WhenField
        {...by}
        label="Until"
        isByClock={until.chosen !== FOR}
        likely={ends}
        value={until}
        onChange={(next) => form.setValue('until', next)}
        error={errors.until?.message ?? null}
      />
      {until.chosen === FOR ? (
        <DurationField
          control={form.control}
          name="length"
          label="How long it stood"
          hint="such as 0:40 or 40m"
          autoFocus
        />
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Choice
          isMany
          word="It was planned"
          isChosen={isPlanned}
          onPress={() => form.setValue('isPlanned', !isPlanned)}
        />
      </View>
      <FormRefusal sentence={errors.assetId?.message ?? errors.how?.message ?? refusal} />
      <AppText as="small" soft>
        Time worked and standstill are two things: your clock is not touched.
      </AppText>
    </BottomSheet>
  );
}

const fieldOf: Readonly<Record<string, keyof Typed>> = { assetId: 'assetId', from: 'since', to: 'until' };

/** When it probably began: when the work was reported, when it was begun, a while ago, now. */
function likelySince(work: WorkOrder, present: Instant, zone: string): Likely[] {
  const recent = addMinutes(present, -24 * 60);
  const moments: readonly (readonly [key: string, word: string, at: Instant | null])[] = [
    ['reported', 'Reported', work.kind === 'corrective' ? work.createdAt : null],
    ['begun', 'Work begun', work.startedAt],
  ];
  const known = moments.flatMap(([key, word, at]): Likely[] =>
    at === null || at < recent ? [] : [{ key, word: `${word} ${clockTime(at, zone)}`, at }],
  );
  return [
    ...known,
    { key: 'half', word: 'Half an hour ago', at: addMinutes(present, -30) },
    { key: 'now', word: 'Now', at: present },
  ];
}

/** The machine of the job, and what it is part of: a gearbox that fails stops the lift. */
function machinesOf(work: WorkOrder): Asset[] {
  const machines: Asset[] = [];
  let id: string | null = work.assetId;
  while (id !== null) {
    const asset: Asset | undefined = peekRow('assets', id);
    if (asset === undefined || machines.includes(asset)) break;
    machines.push(asset);
    id = asset.parentId;
  }
  return machines;
}
