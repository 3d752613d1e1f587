import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import { now, useRow, useRows, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { WorkSums } from '../../recording/costs';
import { unusualWords } from './unusual-words';
import type { Waiting } from './use-reviews';

interface Props {
  readonly waiting: Waiting;
  /** It is the one that is open beside the list. */
  readonly isOpen: boolean;
  /** Whether it is among those that are chosen; null while none are. */
  readonly isChosen: boolean | null;
  readonly onPress: (workOrderId: string) => void;
}

/** One finished job: what it is, why it is worth a look, what it came to. */
export const ReviewRow = memo(function ReviewRow({ waiting, isOpen, isChosen, onPress }: Props): ReactElement | null {
  const palette = usePalette();
  const { work, unusual, cost } = waiting;
  const settings = useSettings(work.siteId);
  const asset = useRow('assets', work.assetId);
  const by = useRow('people', work.finishedBy);
  const entries = useRows('entries', 'workOrder', work.id);
  if (settings === undefined) return null;
  const strange = entries.filter(({ arrival }) => arrival !== undefined).length;
  const press = (): void => onPress(work.id);
  const look = {
    isHere: isOpen,
    style: [sheet.row, { borderColor: palette.line, backgroundColor: isOpen ? palette.chosen : 'transparent' }],
    testID: `desk-${work.number}`,
  };
  const said = (
    <>
      {isChosen === null ? null : (
        <View aria-hidden>
          <Checkbox status={isChosen ? 'checked' : 'unchecked'} />
        </View>
      )}
      <View style={sheet.words}>
        <AppText as="row" lines={2}>
          {work.number} {work.title}
        </AppText>
        <AppText as="small" soft>
          {asset?.name} · {by?.name ?? ''} · {sayMoment(waiting.finishedAt, now(), settings.zone, settings.language)}
        </AppText>
        {unusual.map((each, index) => (
          <AppText key={index} as="small">
            {unusualWords(each, settings)}
          </AppText>
        ))}
        {strange === 0 ? null : (
          <AppText as="small">
            {counted(strange, 'time', 'times')} to check: came in late, or by a clock that was off
          </AppText>
        )}
      </View>
      <WorkSums work={work} cost={cost} />
    </>
  );
  if (isChosen === null) {
    return (
      <LinkPress href={`/shift/${work.id}`} onGo={press} {...look}>
        {said}
      </LinkPress>
    );
  }
  return (
    <Press role="checkbox" checked={isChosen} onPress={press} {...look}>
      {said}
    </Press>
  );
});

const sheet = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    borderBottomWidth: 1,
    paddingVertical: 10,
    paddingHorizontal: 8,
  },
  words: { flex: 1, minWidth: 0, gap: 2 },
});
