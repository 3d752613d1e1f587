import { memo, useDeferredValue, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiPackageVariant, mdiStorefrontOutline } from '@mdi/js';
import type { PartId, SiteId, Thousandths } from '@oilcan/core/kernel';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { openAmount } from '@oilcan/core/stores/requests';
import type { Part } from '@oilcan/core/stores/stock';
import { isShort, useKitLines, type KitLine } from '../../../data/queries/stock';
import { useRow, useRows, useTable } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { List } from '../../../ui/layout/list';
import { Button } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf, binName } from '../../../words/amounts';
import { counted } from '../../../words/work-words';
import { AskSheet, JobRequests } from '../../stores/requests';

/** Follows what is taken by itself, so that an entry does not draw all of Prepare again. */
export function Kit({
  work,
  onParts,
}: {
  readonly work: WorkOrder;
  readonly onParts: (() => void) | null;
}): ReactElement {
  const kit = useDeferredValue(useKitLines(work));
  const [asking, setAsking] = useState<Asking | null>(null);
  const isAttended = useTable('stores').some((store) => store.isAttended === true);
  const requests = useRows('requests', 'work', work.id);
  const asked = useMemo(
    () => new Set(requests.filter((request) => openAmount(request) > 0).map(({ partId }) => partId)),
    [requests],
  );
  const asks = isAttended && isOpen(work.state);
  return (
    <>
      {kit.length === 0 ? null : (
        <KitLines kit={kit} siteId={work.siteId} asked={asked} onAsk={asks ? setAsking : null} />
      )}
      <JobRequests work={work} />
      {asks ? (
        <Button
          rank="quiet"
          word="Ask the store"
          icon={mdiStorefrontOutline}
          style={sheet.parts}
          onPress={() => setAsking({})}
        />
      ) : null}
      {asking === null ? null : <AskSheet work={work} {...asking} onClose={() => setAsking(null)} />}
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

/** What the store is asked for; nothing where that is still to be said. */
interface Asking {
  readonly part?: Part | undefined;
  readonly quantity?: Thousandths;
}

interface KitLinesProps {
  readonly kit: readonly KitLine[];
  readonly siteId: SiteId;
  /** What the store was asked for and has still to give. */
  readonly asked: ReadonlySet<PartId | null>;
  /** Asks the store for what is short; null where nobody can be asked. */
  readonly onAsk: ((asking: Asking) => void) | null;
}

const KitLines = memo(function KitLines({ kit, siteId, asked, onAsk }: KitLinesProps): ReactElement {
  return (
    <>
      <View style={sheet.kitHead}>
        <AppText as="label" level={3}>
          Kit, {counted(kit.length, 'part', 'parts')}
        </AppText>
      </View>
      <List label="Kit">
        {kit.map((line, index) => (
          <KitRow key={index} line={line} siteId={siteId} isAsked={asked.has(line.planned.partId)} onAsk={onAsk} />
        ))}
      </List>
    </>
  );
});

interface KitRowProps extends Pick<KitLinesProps, 'siteId' | 'onAsk'> {
  readonly line: KitLine;
  /** Whether the store was asked for it already. */
  readonly isAsked: boolean;
}

function KitRow({ line, siteId, isAsked, onAsk }: KitRowProps): ReactElement {
  const palette = usePalette();
  const part = useRow('parts', line.planned.partId);
  const bin = useRow('bins', line.planned.binId);
  const store = useRow('stores', bin?.storeId);
  const isTooLittle = isShort(line);
  const site = useRow('sites', bin?.siteId);
  const far = bin === undefined || bin.siteId === siteId ? '' : ` (${site?.name ?? 'another site'})`;
  const where = bin === undefined ? binName(bin) : `${store?.name ?? ''}, ${binName(bin)}${far}`;
  return (
    <Row wraps>
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
      {onAsk === null || !isTooLittle || isAsked || part === undefined ? null : (
        <Button
          word="Ask the store"
          label={`Ask the store for ${part.name}`}
          onPress={() => onAsk({ part, quantity: line.left ?? line.quantity })}
        />
      )}
    </Row>
  );
}

const sheet = StyleSheet.create({
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 160, minWidth: 0 },
  kitHead: { paddingTop: 14 },
  parts: { alignSelf: 'flex-start' },
});
