import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiCalendar } from '@mdi/js';
import { addDays, beginOfDay, inZone, isLocalDay, localDate, type Instant, type LocalDay } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/settings';
import { urgencies, type WorkOrder } from '@oilcan/core/work';
import { useKeptText } from '../../data/drafts';
import { now, useSettings } from '../../data/store';
import { useOperation } from '../../data/use-operation';
import { FormRefusal } from '../../forms/form-refusal';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { piece } from '../../ui/piece';
import { Choice, Choices } from '../../ui/choice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { sayLocalDay, sayMoment } from '../../words/dates';
import { timeOn, USUAL_DUE_TIME } from './due-on';
import { urgencyWords } from '../../words/work-words';

const WhenPicker = piece(() => import('../../forms/when-picker').then((module) => module.WhenPicker));

/** What of when it is done is changed. */
export type Aspect = 'urgency' | 'due' | 'putOff' | 'planned';

const aspectWords: Readonly<Record<Aspect, string>> = {
  urgency: 'How urgent',
  due: 'Due',
  putOff: 'Put off',
  planned: 'Planned for',
};

/** The likeliest first: it stands there from the beginning. */
const usualReasons: Readonly<Record<Exclude<Aspect, 'planned'>, readonly string[]>> = {
  urgency: ['As found at the machine', 'Operation asks for it', 'Weather'],
  due: ['Agreed with operation', 'Waits for a part', 'As found at the machine'],
  putOff: ['Something more urgent first', 'Waits for a part', 'No access', 'Weather'],
};

/** So many days are offered as buttons. */
const DAYS_OFFERED = 4;

interface Props {
  readonly work: WorkOrder;
  readonly first: Aspect;
  readonly onClose: () => void;
}

/** How urgent it is, when it is due, for which day it is planned, or that it is put off: one press on what it becomes. */
export function WhenSheet({ work, first, onClose }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const [aspect, setAspect] = useState<Aspect>(first);
  if (settings === undefined) return null;
  const props = { work, settings, onClose };
  return (
    <BottomSheet title={aspectWords[aspect]} aside={work.number} onClose={onClose}>
      <Choices label="What is changed">
        {(Object.keys(aspectWords) as Aspect[]).map((each) => (
          <Choice key={each} word={aspectWords[each]} isChosen={aspect === each} onPress={() => setAspect(each)} />
        ))}
      </Choices>
      {aspect === 'urgency' ? <Urgency {...props} /> : null}
      {aspect === 'due' ? <Due {...props} /> : null}
      {aspect === 'putOff' ? <PutOffTo {...props} /> : null}
      {aspect === 'planned' ? <Planned {...props} /> : null}
    </BottomSheet>
  );
}

interface AspectProps extends Pick<Props, 'work' | 'onClose'> {
  readonly settings: Settings;
}

function Urgency({ work, onClose }: AspectProps): ReactElement {
  const [reason, setReason, forget] = useKeptText(`why ${work.id} urgency`, usualReasons.urgency[0] ?? '');
  const { run, refusal, errorAt } = useOperation();
  return (
    <>
      <Why
        aspect="urgency"
        reason={reason}
        onChange={setReason}
        error={refusal?.field === 'reason' ? errorAt('reason') : null}
      />
      <View style={sheet.buttons}>
        {urgencies
          .filter((urgency) => urgency !== work.urgency)
          .map((urgency) => (
            <Button
              key={urgency}
              word={urgencyWords[urgency]}
              label={`Urgency: ${urgencyWords[urgency]}`}
              style={sheet.grow}
              onPress={() =>
                void run(
                  'work.set-urgency',
                  { workOrderId: work.id, urgency, reason },
                  `${work.number}: ${urgencyWords[urgency]}.`,
                ).then((isDone) => {
                  if (!isDone) return;
                  forget();
                  onClose();
                })
              }
            />
          ))}
      </View>
      <FormRefusal sentence={refusal?.field === 'reason' ? null : errorAt(refusal?.field ?? '')} />
    </>
  );
}

function Due({ work, settings, onClose }: AspectProps): ReactElement {
  const { zone, language } = settings;
  const [reason, setReason, forget] = useKeptText(`why ${work.id} due`, usualReasons.due[0] ?? '');
  const [time, setTime] = useState(work.dueAt === null ? USUAL_DUE_TIME : inZone(work.dueAt, zone).toFormat('HH:mm'));
  const [timeError, setTimeError] = useState<string | null>(null);
  const { run, refusal, errorAt } = useOperation();
  const set = async (dueAt: Instant | null): Promise<void> => {
    const said = dueAt === null ? 'Due at no time.' : `Due ${sayMoment(dueAt, now(), zone, language)}.`;
    if (await run('work.set-due', { workOrderId: work.id, dueAt, reason }, said)) {
      forget();
      onClose();
    }
  };
  const onDay = (day: LocalDay): void => {
    const at = timeOn(day, time, zone);
    setTimeError(at === null ? 'Write the time as 14:20.' : null);
    if (at !== null) void set(at);
  };
  return (
    <>
      <Why
        aspect="due"
        reason={reason}
        onChange={setReason}
        error={refusal?.field === 'reason' ? errorAt('reason') : null}
      />
      <Field label="By what time of the day" value={time} onChange={setTime} error={timeError} />
      <Days settings={settings} firstDay={0} verb="Due" onDay={onDay} />
      {work.dueAt === null ? null : <Button word="At no time" onPress={() => void set(null)} />}
      <FormRefusal sentence={refusal?.field === 'reason' ? null : errorAt(refusal?.field ?? '')} />
    </>
  );
}

function PutOffTo({ work, settings, onClose }: AspectProps): ReactElement {
  const usual = usualReasons.putOff;
  const likely = (work.held?.reason === 'part' ? usual[1] : usual[0]) ?? '';
  const [reason, setReason, forget] = useKeptText(`why ${work.id} putOff`, likely);
  const { run, refusal, errorAt } = useOperation();
  const putOff = async (until: LocalDay): Promise<void> => {
    const day = sayLocalDay(until, now(), settings.zone, settings.language);
    const args = { workOrderId: work.id, until, reason };
    if (await run('work.put-off', args, `${work.number} comes back ${day}.`)) {
      forget();
      onClose();
    }
  };
  const due = work.dueAt === null ? null : localDate(work.dueAt, settings.zone);
  return (
    <>
      <Why
        aspect="putOff"
        reason={reason}
        onChange={setReason}
        error={refusal?.field === 'reason' ? errorAt('reason') : null}
      />
      <Days settings={settings} firstDay={1} verb="Put off to" onDay={(day) => void putOff(day)} />
      <Words as="small" soft>
        It leaves the lists and comes back by itself on the morning of that day.
        {due === null
          ? ''
          : ` It ${(work.dueAt ?? '') < now() ? 'was' : 'is'} due ${sayMoment(work.dueAt ?? now(), now(), settings.zone, settings.language)}.`}{' '}
        If your clock runs here, it stops and its time is kept.
      </Words>
      <FormRefusal sentence={refusal?.field === 'reason' ? null : errorAt(refusal?.field ?? '')} />
    </>
  );
}

function Planned({ work, settings, onClose }: AspectProps): ReactElement {
  const { run, refusal, errorAt } = useOperation();
  const plan = async (day: LocalDay | null): Promise<void> => {
    const said =
      day === null
        ? 'Planned for no day.'
        : `Planned for ${sayLocalDay(day, now(), settings.zone, settings.language)}.`;
    if (await run('work.plan', { workOrderId: work.id, day }, said)) onClose();
  };
  return (
    <>
      <Days settings={settings} firstDay={0} verb="Planned for" onDay={(day) => void plan(day)} />
      {(work.plannedOn ?? null) === null ? null : <Button word="For no day" onPress={() => void plan(null)} />}
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
    </>
  );
}

interface WhyProps {
  readonly aspect: keyof typeof usualReasons;
  readonly reason: string;
  readonly onChange: (reason: string) => void;
  readonly error: string | null;
}

function Why({ aspect, reason, onChange, error }: WhyProps): ReactElement {
  const usual = usualReasons[aspect];
  return (
    <>
      <Choices label="Why">
        {usual.map((each) => (
          <Choice key={each} word={each} isChosen={reason === each} onPress={() => onChange(each)} />
        ))}
      </Choices>
      <Field
        label="Another reason"
        value={usual.includes(reason) ? '' : reason}
        onChange={(text) => onChange(text === '' ? (usual[0] ?? '') : text)}
        error={error}
      />
    </>
  );
}

interface DaysProps {
  readonly settings: Settings;
  /** So many days from today the first is that can be chosen. */
  readonly firstDay: 0 | 1;
  readonly verb: string;
  readonly onDay: (day: LocalDay) => void;
}

/** The next days, a press each, and any other from the calendar. */
function Days({ settings: { zone, language }, firstDay, verb, onDay }: DaysProps): ReactElement {
  const [isPicking, setIsPicking] = useState(false);
  const present = now();
  const today = localDate(present, zone);
  const days = Array.from({ length: DAYS_OFFERED }, (_, index) => addDays(today, firstDay + index));
  return (
    <View style={sheet.buttons}>
      {days.map((day) => {
        const word = sayLocalDay(day, present, zone, language);
        return (
          <Button
            key={day}
            word={word.slice(0, 1).toUpperCase() + word.slice(1)}
            label={`${verb} ${word}`}
            style={sheet.grow}
            onPress={() => onDay(day)}
          />
        );
      })}
      <Button icon={mdiCalendar} word="Another day" style={sheet.grow} onPress={() => setIsPicking(true)} />
      {isPicking ? (
        <WhenPicker
          what="day"
          label={verb}
          at={beginOfDay(addDays(today, firstDay), zone)}
          notBefore={beginOfDay(addDays(today, firstDay), zone)}
          zone={zone}
          onPicked={(text) => {
            setIsPicking(false);
            if (isLocalDay(text)) onDay(text);
          }}
          onClose={() => setIsPicking(false)}
        />
      ) : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  grow: { flexGrow: 1 },
});
