import { memo, useDeferredValue, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiPackageVariant } from '@mdi/js';
import type { SiteId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { isShort, useKitLines, type KitLine } from '../../../data/queries/stock';
import { useRow } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { List } from '../../../ui/layout/list';
import { Button } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf, binName } from '../../../words/amounts';
import { counted } from '../../../words/work-words';

/** Follows what is taken by itself, so that an entry does not draw all of Prepare again. */
export function Kit({
  work,
  onParts,
}: {
  readonly work: WorkOrder;
  readonly onParts: (() => void) | null;
}): ReactElement {
  const kit = useDeferredValue(useKitLines(work));
  return (
    <>
      {kit.length === 0 ? null : <KitLines kit={kit} siteId={work.siteId} />}
      {onParts === null ? null : (
        <Button
          rank="quiet"
          word={kit.length === 0 ? 'Parts that it needs' : 'Add or change parts'}
          icon={mdiPackageVariant}
          style={sheet.parts}
          onPress={onParts}
        />
      )}
    </>
  );
}

interface KitLinesProps {
  readonly kit: readonly KitLine[];
  readonly siteId: SiteId;
}

const KitLines = memo(function KitLines({ kit, siteId }: KitLinesProps): ReactElement {
  return (
    <>
      <View style={sheet.kitHead}>
        <AppText as="label" level={3}>
          Kit, {counted(kit.length, 'part', 'parts')}
        </AppText>
      </View>
      <List label="Kit">
        {kit.map((line, index) => (
          <KitRow key={index} line={line} siteId={siteId} />
        ))}
      </List>
    </>
  );
});

function KitRow({ line, siteId }: { readonly line: KitLine; readonly siteId: SiteId }): ReactElement {
  const palette = usePalette();
  const part = useRow('parts', line.planned.partId);
  const bin = useRow('bins', line.planned.binId);
  const store = useRow('stores', bin?.storeId);
  const isTooLittle = isShort(line);
  const site = useRow('sites', bin?.siteId);
  const far = bin === undefined || bin.siteId === siteId ? '' : ` (${site?.name ?? 'another site'})`;
  const where = bin === undefined ? binName(bin) : `${store?.name ?? ''}, ${binName(bin)}${far}`;
  return (
    <Row>
      <Icon path={mdiPackageVariant} />
      <View style={sheet.words}>
        <AppText>
          {amountOf(line.quantity, line)} {part?.name ?? ''}
        </AppText>
        <AppText as="small" {...(isTooLittle ? { color: palette.faulty } : { soft: true })}>
          {line.left === 0
            ? `Used: ${amountOf(line.used, part)}`
            : isTooLittle
              ? `Short: ${amountOf(line.onHand, part)} in ${where}`
              : `${amountOf(line.onHand, part)} in ${where}`}
        </AppText>
      </View>
    </Row>
  );
}

const sheet = StyleSheet.create({
  words: { flex: 1, minWidth: 0 },
  kitHead: { paddingTop: 14 },
  parts: { alignSelf: 'flex-start' },
});
