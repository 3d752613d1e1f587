import { useDeferredValue, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Surface } from 'react-native-paper';
import { mdiChevronRight } from '@mdi/js';
import { digestOf, type DigestLine } from '@oilcan/core/past/digest';
import type { Instant } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/orders/settings';
import { now, peekRow, peekRows, usePhone, useSettings, useTable } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { noteDigestRead, useAway } from './away';
import { digestWords } from './digest-words';

/** So many are shown at first: it is read before a shift, not studied. */
const FIRST_SHOWN = 6;

/** What changed while I was away, above the list, until I have read it. */
export function Digest(): ReactElement | null {
  const since = useAway(({ value }) => value.since);
  return since === null ? null : <Since since={since} />;
}

function Since({ since }: { readonly since: Instant }): ReactElement | null {
  const me = useMe();
  const settings = useSettings();
  const works = useDeferredValue(useTable('workOrders'));
  const crews = useTable('crews');
  const assets = useDeferredValue(useTable('assets'));
  const lines = useMemo(
    () =>
      digestOf({
        me,
        since,
        works,
        crews,
        assets,
        levelOf: (id) => peekRow('stock', id),
        entriesOn: (assetId) => peekRows('entries', 'asset', assetId),
      }),
    [me, since, works, crews, assets],
  );
  if (settings === undefined || lines.length === 0) return null;
  return <Lines lines={lines} since={since} settings={settings} />;
}

interface LinesProps {
  readonly lines: readonly DigestLine[];
  readonly since: Instant;
  readonly settings: Settings;
}

function Lines({ lines, since, settings }: LinesProps): ReactElement {
  const palette = usePalette();
  const heardAt = usePhone((state) => state.heardAt);
  const isHeard = usePhone((state) => state.contact === 'reached');
  const [isWhole, setIsWhole] = useState(false);
  const say = (at: Instant): string => sayMoment(at, now(), settings.zone, settings.language);
  const shown = isWhole ? lines : lines.slice(0, FIRST_SHOWN);
  return (
    <Surface
      mode="flat"
      elevation={0}
      role="region"
      aria-label="While you were away"
      style={[sheet.digest, { borderColor: palette.ink }]}
    >
      <AppText as="heading" level={3}>
        Since {say(since)}: {counted(lines.length, 'change', 'changes')}
      </AppText>
      {isHeard ? null : (
        <AppText as="small" soft>
          As far as this phone knows, up to {say(heardAt)}.
        </AppText>
      )}
      {shown.map((line, index) => (
        <Line key={index} line={line} at={say(line.at)} />
      ))}
      <View style={sheet.buttons}>
        <Button word="Read" label="Read: put this away" onPress={noteDigestRead} />
        {shown.length === lines.length ? null : (
          <Button word={`All ${lines.length}`} onPress={() => setIsWhole(true)} />
        )}
      </View>
    </Surface>
  );
}

function Line({ line, at }: { readonly line: DigestLine; readonly at: string }): ReactElement {
  const palette = usePalette();
  const { words, address } = digestWords(line);
  return (
    <LinkPress href={address} style={[sheet.line, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <AppText>{words}</AppText>
        <AppText as="small" soft>
          {at}
        </AppText>
      </View>
      <Icon path={mdiChevronRight} />
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  digest: { borderWidth: RULE, borderRadius: 4, padding: 12, gap: 4, marginTop: 12 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, borderBottomWidth: 1, paddingVertical: 6 },
  words: { flex: 1, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 8 },
});
