import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { money, parseMoney, typedMoney, type SiteId } from '@oilcan/core/kernel';
import {
  demandOf,
  dueWithinOf,
  questionsOf,
  reportKinds,
  rulesOf,
  type RaiseRules,
  type ReportKind,
  type ReportQuestion,
} from '@oilcan/core/orders/raise-rules';
import { demands, urgencies, workKinds, type Urgency } from '@oilcan/core/orders/work';
import { usePhone, useRow, useSettings, useTable } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { Segments } from '../../../ui/fields/segments';
import { toggled } from '../../../ui/state/toggled';
import { AppText } from '../../../ui/theme/app-text';
import { kindWords, urgencyWords } from '../../../words/work-words';

const kindOfReportWords: Readonly<Record<ReportKind, string>> = {
  problem: 'Problem',
  injury: 'Injury',
  nearMiss: 'Near miss',
  damage: 'Damage',
  environment: 'Environment',
};

const questionTitles: Readonly<Record<ReportQuestion, string>> = {
  condition: 'Does it run',
  danger: 'Is somebody in danger',
  since: 'Since when',
  photo: 'Photo',
  reach: 'How to be reached',
  causes: 'What led to it',
  present: 'Who was there',
  doneAtOnce: 'What was done at once',
  signature: 'Signature',
};

const demandChoices = demands.map(
  (demand) => [demand, { must: 'Needed', asked: 'Asked', not: 'Not asked' }[demand]] as const,
);

/** A lead says how a site takes reports and raised work. */
export function RulesSheet({ onClose }: { readonly onClose: () => void }): ReactElement | null {
  const person = usePhone((state) => state.person);
  const sites = useTable('sites').filter(({ id }) => person?.siteIds.includes(id) === true);
  const [siteId, setSiteId] = useState<SiteId | undefined>(person?.siteIds[0]);
  if (siteId === undefined) return null;
  return (
    <SiteRules
      key={siteId}
      siteId={siteId}
      onClose={onClose}
      head={
        sites.length < 2 ? null : (
          <Choices label="Site">
            {sites.map(({ id, name }) => (
              <Choice key={id} word={name} isChosen={id === siteId} onPress={() => setSiteId(id)} />
            ))}
          </Choices>
        )
      }
    />
  );
}

interface SiteRulesProps {
  readonly siteId: SiteId;
  readonly head: ReactElement | null;
  readonly onClose: () => void;
}

function SiteRules({ siteId, head, onClose }: SiteRulesProps): ReactElement | null {
  const kept = useRow('raiseRules', siteId);
  const settings = useSettings(siteId);
  const currency = settings?.currency ?? 'EUR';
  const amount = (minor: number | null): string => (minor === null ? '' : typedMoney(money(minor, currency)));
  const [rules] = useState(() => rulesOf(siteId, kept));
  const { form, submit, refusal } = useOperationForm({
    operation: 'raise-rules.set',
    about: siteId,
    defaultValues: {
      kinds: [...rules.goAhead.kinds],
      above: amount(rules.goAhead.aboveMinor),
      perHour: amount(rules.goAhead.minorPerHour === 0 ? null : rules.goAhead.minorPerHour),
      ...hoursTyped(dueWithinOf(rules)),
      technicianTakesUp: rules.technicianTakesUp,
      takesGuests: rules.takesGuests,
      publicKnowledge: rules.publicKnowledge,
      asked: rules.asked,
    },
    fieldOf: (argument) => (argument === 'goAhead' ? 'above' : (argument as 'asked')),
    read: ({ kinds, above, perHour, technicianTakesUp, takesGuests, publicKnowledge, asked, ...hours }) => {
      const hint = `Write an amount in ${currency}, such as 500.`;
      const [aboveMinor, minorPerHour] = [minorOf(above, currency), minorOf(perHour, currency)];
      if (aboveMinor === 'wrong') return { unreadable: 'above', hint };
      if (minorPerHour === 'wrong') return { unreadable: 'perHour', hint };
      const wrong = urgencies.find((urgency) => hoursOf(hours[urgency]) === 'wrong');
      if (wrong !== undefined) return { unreadable: wrong, hint: 'Write whole hours, such as 12.' };
      const { id: _, ...others } = rules;
      const goAhead = { ...rules.goAhead, kinds, aboveMinor, minorPerHour: minorPerHour ?? 0 };
      const dueWithin = mapUrgencies((urgency) => hoursOf(hours[urgency]) as number | null);
      return {
        args: { ...others, goAhead, dueWithin, technicianTakesUp, takesGuests, publicKnowledge, asked },
      };
    },
    said: 'Kept.',
    onDone: onClose,
  });
  if (settings === undefined) return null;
  const { control, setValue } = form;
  const chosen = form.watch();
  return (
    <BottomSheet
      title="Reports and go-ahead"
      onClose={onClose}
      foot={<Button rank="primary" word="Keep" onPress={submit} />}
    >
      {head}
      <AppText as="heading" level={3}>
        Go-ahead
      </AppText>
      <AppText soft>
        Work that somebody raises waits for a lead if it is of these kinds, or costs more. Urgent now never waits.
      </AppText>
      <View style={sheet.choices}>
        {workKinds.map((kind) => (
          <Choice
            key={kind}
            isMany
            word={kindWords[kind]}
            isChosen={chosen.kinds.includes(kind)}
            onPress={() => setValue('kinds', [...toggled(chosen.kinds, kind)])}
          />
        ))}
      </View>
      <FormField
        control={control}
        name="above"
        label={`Expected to cost more than (${currency})`}
        keyboard="decimal-pad"
        hint="Empty: cost does not matter."
      />
      <FormField
        control={control}
        name="perHour"
        label={`An hour is taken to cost (${currency})`}
        keyboard="decimal-pad"
      />
      <AppText as="heading" level={3}>
        Due
      </AppText>
      <AppText soft>
        What is raised is due so many hours later, by how soon it must be done. Whoever raises it may say otherwise.
      </AppText>
      {urgencies.map((urgency) => (
        <FormField
          key={urgency}
          control={control}
          name={urgency}
          label={`${urgencyWords[urgency]}: hours until it is due`}
          keyboard="decimal-pad"
          hint="Empty: at no time by itself."
        />
      ))}
      <AppText as="heading" level={3}>
        Reports
      </AppText>
      <Choice
        isMany
        word="Technicians may take up reports"
        isChosen={chosen.technicianTakesUp}
        onPress={() => setValue('technicianTakesUp', !chosen.technicianTakesUp)}
      />
      <Choice
        isMany
        word="Everybody may report by the label on a machine"
        isChosen={chosen.takesGuests}
        onPress={() => setValue('takesGuests', !chosen.takesGuests)}
      />
      <Choice
        isMany
        word="Show them what open work on the machine is called"
        isChosen={chosen.publicKnowledge === 'titles'}
        onPress={() => setValue('publicKnowledge', chosen.publicKnowledge === 'titles' ? 'nothing' : 'titles')}
      />
      <Questions rules={{ ...rules, asked: chosen.asked }} onChange={(asked) => setValue('asked', asked)} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

/** What is asked of a reporter, for each kind; what is not asked is not shown at all. */
function Questions({
  rules,
  onChange,
}: {
  readonly rules: RaiseRules;
  readonly onChange: (asked: RaiseRules['asked']) => void;
}): ReactElement {
  const [kind, setKind] = useState<ReportKind>('problem');
  return (
    <>
      <AppText as="heading" level={3}>
        What a reporter is asked
      </AppText>
      <Choices label="Kind of report">
        {reportKinds.map((each) => (
          <Choice key={each} word={kindOfReportWords[each]} isChosen={each === kind} onPress={() => setKind(each)} />
        ))}
      </Choices>
      {questionsOf[kind].map((question) => (
        <View key={question} style={sheet.question}>
          <AppText as="label">{questionTitles[question]}</AppText>
          <Segments
            label={questionTitles[question]}
            value={demandOf(rules, kind, question)}
            choices={demandChoices}
            onChoose={(demand) => onChange({ ...rules.asked, [kind]: { ...rules.asked[kind], [question]: demand } })}
          />
        </View>
      ))}
    </>
  );
}

/** Hours as they are typed. */
function hoursTyped(hours: Readonly<Record<Urgency, number | null>>): Record<Urgency, string> {
  return mapUrgencies((urgency) => String(hours[urgency] ?? ''));
}

/** Something for each urgency. */
function mapUrgencies<T>(of: (urgency: Urgency) => T): Record<Urgency, T> {
  return Object.fromEntries(urgencies.map((urgency) => [urgency, of(urgency)])) as Record<Urgency, T>;
}

/** Hours as they were typed; null for nothing typed. */
function hoursOf(typed: string): number | null | 'wrong' {
  if (typed.trim() === '') return null;
  return /^\d{1,4}$/.test(typed.trim()) && Number(typed) > 0 ? Number(typed) : 'wrong';
}

/** The smallest coins of a typed amount; null for nothing typed. */
function minorOf(typed: string, currency: string): number | null | 'wrong' {
  if (typed.trim() === '') return null;
  const read = parseMoney(typed, currency);
  return read === undefined ? 'wrong' : read.minor;
}

const sheet = StyleSheet.create({
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  question: { gap: 4 },
});
