import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiClose } from '@mdi/js';
import { addMinutes, minutesBetween, type Instant } from '@oilcan/core/kernel';
import { sentenceFor } from '@oilcan/core/registry';
import {
  completionsOf,
  fromSpoken,
  meaningsOf,
  parseShorthand,
  printShorthand,
  withPhrase,
  type Meaning,
} from '@oilcan/core/recording/shorthand';
import type { Settings } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useDictation } from '../../../data/browser/dictation';
import { useDraft } from '../../../data/store/drafts';
import { now, perform, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { useNotice } from '../../../ui/state/use-notice';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button, IconPress } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { OverlapLines } from '../labor';
import { noteReading } from '../../steps/readings';
import { meaningSaid, problemSaid } from './meaning-words';
import { endsOfTimes, operationOf } from './to-operation';
import { useShorthandContext } from './use-context';
import { DictateKey } from '../../../forms/dictate-key';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** Several things written or said in one line; what it means stands below before it is kept, and each is corrected by a press. */
export function ShorthandSheet({ work, onClose }: Props): ReactElement | null {
  const me = useMe();
  const settings = useSettings(work.siteId);
  const say = useNotice((state) => state.say);
  const draft = useDraft(`shorthand ${work.id}`);
  const { context, likely } = useShorthandContext(work);
  const [line, setLine] = useState(draft.first);
  /** Why something of the line was refused when it was kept, by what it says. */
  const [refused, setRefused] = useState<ReadonlyMap<string, string>>(new Map());
  const write = (text: string): void => {
    setLine(text);
    draft.keep(text);
  };
  const dictation = useDictation((spoken) => write(`${line} ${fromSpoken(spoken)}`.trim()));
  const meanings = useMemo(() => meaningsOf(parseShorthand(line), context), [line, context]);
  const completions = useMemo(() => completionsOf(line, context, likely), [line, context, likely]);
  const [opened] = useState(now);
  const ends = useMemo(() => endsOfTimes(meanings, opened), [meanings, opened]);
  if (settings === undefined) return null;
  const problems = meanings.filter((meaning) => problemSaid(meaning) !== null).length;

  const keep = async (): Promise<void> => {
    if (meanings.length === 0 || problems > 0) return;
    const present = now();
    const ends = endsOfTimes(meanings, present);
    const left: Meaning[] = [];
    const why = new Map<string, string>();
    for (const meaning of meanings) {
      const meant = operationOf(meaning, { work, me, settings, present, end: ends.get(meaning) });
      if (meant === null || typeof meant === 'string') {
        left.push(meaning);
        why.set(keyOf(meaning), meant ?? '');
        continue;
      }
      const outcome = await perform(meant.name, meant.args);
      if (outcome.ok) {
        if (meaning.is === 'point' && meaning.placed.phrase.is === 'reading')
          noteReading(work.id, meaning.pointId, meaning.placed.phrase.value);
        continue;
      }
      left.push(meaning);
      why.set(keyOf(meaning), sentenceFor(outcome.code, outcome.values));
    }
    const kept = meanings.length - left.length;
    if (kept > 0) say(`${counted(kept, 'entry', 'entries')} kept.`);
    setRefused(why);
    write(printShorthand(left.map(({ placed }) => placed.phrase)));
    if (left.length === 0) onClose();
  };
  return (
    <BottomSheet
      title="In one line"
      aside={work.number}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          cannot={
            meanings.length === 0
              ? 'Write first what was done.'
              : problems > 0 && 'Correct first what is not understood.'
          }
          word={meanings.length === 0 ? 'Keep' : `Keep ${counted(meanings.length, 'entry', 'entries')}`}
          onPress={() => void keep()}
        />
      }
    >
      <View style={sheet.write}>
        <View style={sheet.field}>
          <Field
            label="What was done"
            hint="1.5h 2x seal-70 fault leak note grease was black"
            value={line}
            onChange={write}
            autoFocus
            onEnter={() => void keep()}
          />
        </View>
        <DictateKey of={dictation} />
      </View>
      {dictation?.error === undefined || dictation.error === null ? null : <AppText live>{dictation.error}</AppText>}
      {completions.length === 0 ? null : (
        <Choices label="It may go on with">
          {completions.map((completion) => (
            <Choice
              key={completion.line}
              word={completion.label}
              isChosen={false}
              onPress={() => write(completion.line)}
            />
          ))}
        </Choices>
      )}
      <View role="list" aria-label="What it means">
        {meanings.map((meaning, index) => (
          <MeaningRow
            key={`${index} ${keyOf(meaning)}`}
            meaning={meaning}
            refusal={refused.get(keyOf(meaning)) ?? null}
            end={ends.get(meaning)}
            settings={settings}
            onChange={(instead) => write(withPhrase(line, index, instead))}
          />
        ))}
      </View>
    </BottomSheet>
  );
}

const keyOf = ({ placed }: Meaning): string => printShorthand([placed.phrase]);

interface RowProps {
  readonly meaning: Meaning;
  readonly refusal: string | null;
  /** When the time that it says ended. */
  readonly end: Instant | undefined;
  readonly settings: Settings;
  /** Puts another in its place; null leaves it out. */
  readonly onChange: (instead: Meaning['placed']['phrase'] | null) => void;
}

function MeaningRow({ meaning, refusal, end, settings, onChange }: RowProps): ReactElement {
  const palette = usePalette();
  const me = useMe();
  const { phrase } = meaning.placed;
  const problem = problemSaid(meaning) ?? refusal;
  const choices = meaning.is === 'several' ? meaning.choices : meaning.is === 'fault' ? meaning.others : [];
  const said = meaningSaid(meaning);
  return (
    <View role="listitem">
      <Row>
        <View style={sheet.words}>
          {problemSaid(meaning) === null ? <AppText>{said}</AppText> : null}
          {problem === null ? null : (
            <AppText color={palette.faulty} live>
              {problem}
            </AppText>
          )}
          {end === undefined || phrase.is !== 'time' ? null : (
            <OverlapLines
              personId={me}
              from={addMinutes(end, -phrase.minutes)}
              to={end}
              present={end}
              zone={settings.zone}
              // A line says how long, up to where the next time begins.
              mayCut={({ to }) => to === end}
              onCut={(from, to) => onChange({ ...phrase, minutes: minutesBetween(from, to) })}
            />
          )}
          {choices.length === 0 ? null : (
            <Choices label={meaning.is === 'several' ? 'Which one' : 'Or'}>
              {choices.map(({ label, phrase }) => (
                <Choice key={label} word={label} isChosen={false} onPress={() => onChange(phrase)} />
              ))}
            </Choices>
          )}
          {meaning.is === 'unread' && meaning.because === 'unknown' && meaning.placed.phrase.is === 'unread' ? (
            <UnreadAsNote text={meaning.placed.phrase.text} onChange={onChange} />
          ) : null}
        </View>
        <IconPress icon={mdiClose} label={`Leave out: ${said}`} onPress={() => onChange(null)} />
      </Row>
    </View>
  );
}

function UnreadAsNote({ text, onChange }: { readonly text: string } & Pick<RowProps, 'onChange'>): ReactElement {
  return <Button word="Keep it as a note" onPress={() => onChange({ is: 'note', text })} />;
}

const sheet = StyleSheet.create({
  write: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'flex-start' },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
  words: { flex: 1, minWidth: 0, gap: 6 },
});
