import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiChevronDown, mdiChevronRight, mdiChevronUp } from '@mdi/js';
import { sentenceFor } from '@oilcan/core/registry';
import type { LoggedOperation, LoggedRow } from '@oilcan/core/sync';
import type { Settings } from '@oilcan/core/orders/settings';
import { now } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayExactly, sayMoment } from '../../../words/dates';
import { didWords, plainName, rowWords, valueWords, whoseWords, workOf } from './log-words';

interface Props {
  readonly operation: LoggedOperation;
  readonly settings: Settings;
  readonly isOpen: boolean;
  /** Whether what it changed stands beside the list, and not below the row. */
  readonly isBeside: boolean;
  readonly onPress: (id: string) => void;
}

/** One thing that somebody did; a press says what was before and after. */
export const LogRow = memo(function LogRow({ operation, settings, isOpen, isBeside, onPress }: Props): ReactElement {
  const palette = usePalette();
  const { id, by, deviceWords, receivedAt } = operation;
  const work = workOf(operation);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]}>
      <Press
        role="button"
        onPress={() => onPress(id)}
        style={[sheet.head, isBeside && isOpen ? { backgroundColor: palette.chosen } : null]}
        aria-expanded={isOpen}
      >
        <View style={sheet.words}>
          <AppText as="mark" soft>
            {sayMoment(receivedAt, now(), settings.zone, settings.language)} · {whoseWords(by)}
            {deviceWords === null ? '' : ` · ${deviceWords}`}
          </AppText>
          <AppText>{didWords(operation)}</AppText>
          {work === null ? null : (
            <AppText as="small" soft>
              {work}
            </AppText>
          )}
        </View>
        <Icon path={isBeside ? mdiChevronRight : isOpen ? mdiChevronUp : mdiChevronDown} />
      </Press>
      {isOpen && !isBeside ? <LogDetail operation={operation} settings={settings} /> : null}
    </View>
  );
});

/** What it changed, field by field, and when and where exactly. */
export function LogDetail({ operation, settings }: Pick<Props, 'operation' | 'settings'>): ReactElement {
  const { device, at, receivedAt, outcome, changed } = operation;
  return (
    <View style={sheet.more}>
      {outcome.ok ? null : <AppText>{sentenceFor(outcome.code, outcome.values)}</AppText>}
      {changed?.map((row) => (
        <ChangedRow key={`${row.table} ${row.id}`} row={row} />
      ))}
      {changed === null ? <AppText soft>What it changed was not noted yet then.</AppText> : null}
      <AppText as="small" soft>
        Done {at}, known {sayExactly(receivedAt, settings.zone, settings.language)}
        {device === '' ? '' : `, device ${device}`}.
      </AppText>
    </View>
  );
}

function ChangedRow({ row }: { readonly row: LoggedRow }): ReactElement {
  const did = row.did === 'made' ? 'made' : row.did === 'removed' ? 'taken away' : 'changed';
  return (
    <View>
      <AppText as="label">
        {rowWords(row)}, {did}
      </AppText>
      {Object.entries(row.fields).map(([field, { before, after }]) => (
        <AppText key={field} as="small">
          {plainName(field)}: {valueWords(before)} → {valueWords(after)}
        </AppText>
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({
  row: { borderBottomWidth: 1 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingVertical: 10, paddingHorizontal: 8 },
  words: { flex: 1, minWidth: 0, gap: 2 },
  more: { gap: 8, padding: 12 },
});
