import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatMoney, type BinId, type SiteId, type Thousandths } from '@oilcan/core/kernel';
import type { UsualPart } from '@oilcan/core/past/past';
import type { Installation } from '@oilcan/core/plant/plant';
import { partCost, type Part, type StockLevel } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { isShort, useBinName, useStockOf, useUnitPrices, type KitLine } from '../../../data/queries/stock';
import { useRow, useRows, useSettings } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { Button, Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { HAZARDS_FIRST } from './words';

/** A part whose amount is typed, with what is known of it. */
export interface Chosen {
  readonly part: Part;
  /** What such jobs took in the middle; left out where nothing is known. */
  readonly usual?: Thousandths | null;
  readonly first?: { readonly quantity: Thousandths; readonly binId: BinId };
}

interface RowProps {
  readonly work: WorkOrder;
  /** Whether the hazards were read, so that something may be taken. */
  readonly isPrepared: boolean;
  readonly onOther: (chosen: Chosen) => void;
  /** Asks the store for a part; null where nobody hands out. */
  readonly onAsk?: ((part: Part, quantity: Thousandths) => void) | null;
}

/** What one unit costs on a site, as ` · €12.40 per pcs`; nothing where it is not known. */
function usePriceWords(part: Part | undefined, siteId: SiteId): string {
  const settings = useSettings(siteId);
  const priceOf = useUnitPrices();
  const unitPrice = part === undefined ? undefined : priceOf(part, siteId);
  return part === undefined || settings === undefined || unitPrice === undefined
    ? ''
    : ` · ${formatMoney(partCost(1_000, unitPrice), settings.language)} per ${part.unit}`;
}

/** One that the job needs, from its own bin: needed, taken, on hand, and where else some of it lies. */
export function PlannedRow({
  line,
  onChange,
  ...row
}: RowProps & { readonly line: KitLine; readonly onChange: () => void }): ReactElement | null {
  const { partId, binId } = line.planned;
  const { siteId } = row.work;
  const part = useRow('parts', partId);
  const where = useBinName(binId, siteId);
  const isSeen = useRow('bins', binId) !== undefined;
  const elsewhere = useStockOf(partId, siteId).filter((level) => level.binId !== binId && level.onHand > 0);
  const [next] = elsewhere;
  const nextName = useBinName(next?.binId, siteId);
  if (part === undefined) return null;
  const more = elsewhere.length < 2 ? '' : ` and ${amountOf(sumOf(elsewhere.slice(1)), part)} in others`;
  const also = next === undefined ? '' : ` · also ${amountOf(next.onHand, part)} in ${nextName}${more}`;
  const facts = [
    // What is planned in a unit that does not convert to the part's own is for the person to count.
    `Needs ${amountOf(line.quantity, line)}`,
    line.used > 0 ? `${amountOf(line.used, part)} taken` : '',
    `${isShort(line) ? 'only ' : ''}${amountOf(line.onHand, part)} in ${where}`,
  ];
  // From a bin that the person does not see nothing can be taken; another bin may have some.
  return (
    <LikelyRow
      {...row}
      part={part}
      facts={`${facts.filter(Boolean).join(' · ')}${also}`}
      binId={isSeen ? binId : null}
      quantity={line.left ?? 0}
      onHand={line.onHand}
      usual={null}
      onChange={onChange}
    />
  );
}

/** One that such jobs also took, from its fullest bin. */
export function UsualRow({
  usual,
  of,
  ...row
}: RowProps & { readonly usual: UsualPart; readonly of: number }): ReactElement | null {
  const part = useRow('parts', usual.partId);
  const [fullest] = useStockOf(usual.partId, row.work.siteId);
  const binWords = useBinName(fullest?.binId, row.work.siteId);
  if (part === undefined) return null;
  const where = fullest === undefined ? 'in no bin' : `${amountOf(fullest.onHand, part)} in ${binWords}`;
  return (
    <LikelyRow
      {...row}
      part={part}
      facts={`Used ${usual.jobs} of ${of} times · ${where}`}
      binId={fullest?.binId ?? null}
      quantity={usual.quantity}
      onHand={fullest?.onHand ?? 0}
      usual={usual.quantity}
    />
  );
}

interface LikelyProps extends RowProps {
  readonly part: Part;
  readonly facts: string;
  /** Null when no bin holds it. */
  readonly binId: BinId | null;
  /** Zero when nothing of it is left to use. */
  readonly quantity: Thousandths;
  readonly onHand: Thousandths;
  readonly usual: Thousandths | null;
  /** Another amount is planned, or none; left out for what is not planned. */
  readonly onChange?: () => void;
}

/** A part that is used with one press, as much as is likely. */
function LikelyRow({
  work,
  isPrepared,
  part,
  facts,
  binId,
  quantity,
  onHand,
  usual,
  onOther,
  onAsk = null,
  onChange,
}: LikelyProps): ReactElement {
  const palette = usePalette();
  const price = usePriceWords(part, work.siteId);
  const { run, errorAt } = useOperation();
  const amount = amountOf(quantity, part);
  // Where one with a number sits, what comes out is asked, too.
  const sits = useRows('installations', 'asset', work.assetId).some(({ partId }) => partId === part.id);
  const isNumbered = part.isNumbered === true || sits;
  const use = async (from: BinId): Promise<void> => {
    // More than the bin holds is asked about first, and what has numbers has to say them.
    if (quantity > onHand || isNumbered) return onOther({ part, usual, first: { quantity, binId: from } });
    const args = { workOrderId: work.id, assetId: work.assetId, partId: part.id, binId: from, quantity };
    await run('part.use', args, `${amount} ${part.name} kept.`);
  };
  return (
    <View style={[sheet.likely, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <AppText>{part.name}</AppText>
        <AppText as="small" soft>
          {part.number}
          {price}
        </AppText>
        <AppText as="small" soft>
          {facts}
        </AppText>
        {errorAt('quantity') === null ? null : (
          <AppText as="small" color={palette.faulty} live>
            {errorAt('quantity')}
          </AppText>
        )}
      </View>
      <View style={sheet.buttons}>
        {quantity > 0 && binId !== null ? (
          <Button
            rank="primary"
            cannot={!isPrepared && HAZARDS_FIRST}
            word={`Use ${amount}`}
            label={`Use ${amount} ${part.name}`}
            onPress={() => void use(binId)}
          />
        ) : null}
        <Button word="Other amount" label={`Other amount of ${part.name}`} onPress={() => onOther({ part, usual })} />
        {onAsk === null || quantity <= 0 ? null : (
          <Button
            rank="quiet"
            word="Ask the store"
            label={`Ask the store for ${part.name}`}
            onPress={() => onAsk(part, quantity)}
          />
        )}
        {onChange === undefined ? null : (
          <Button rank="quiet" word="Change" label={`Change how much ${part.name} the job needs`} onPress={onChange} />
        )}
      </View>
    </View>
  );
}

interface FoundProps {
  readonly part: Part;
  readonly siteId: SiteId;
  readonly onChoose: () => void;
}

/** One that was found by number or name. */
export function FoundRow({ part, siteId, onChoose }: FoundProps): ReactElement {
  const palette = usePalette();
  const stock = useStockOf(part.id);
  const price = usePriceWords(part, siteId);
  return (
    <Press onPress={onChoose} style={[sheet.found, { borderColor: palette.line }]}>
      <AppText>{part.name}</AppText>
      <AppText as="small" soft>
        {part.number} · {amountOf(sumOf(stock), part)} on hand{price}
        {part.isObsolete ? ' · no longer bought' : ''}
      </AppText>
    </Press>
  );
}

/** A part with a number of its own that sits in the machine. */
export function InstalledRow({
  installation: { partId, serial },
  isPrepared,
  onTakeOut,
}: {
  readonly installation: Installation;
  readonly isPrepared: boolean;
  readonly onTakeOut: () => void;
}): ReactElement {
  const palette = usePalette();
  const part = useRow('parts', partId);
  return (
    <View style={[sheet.likely, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <AppText>{part?.name ?? 'A part'}</AppText>
        <AppText as="small" soft>
          {serial}
        </AppText>
      </View>
      <Button
        word="Take out"
        label={`Take out ${part?.name ?? 'a part'} ${serial}`}
        cannot={!isPrepared && HAZARDS_FIRST}
        onPress={onTakeOut}
      />
    </View>
  );
}

function sumOf(levels: readonly StockLevel[]): Thousandths {
  return levels.reduce((sum, { onHand }) => sum + onHand, 0);
}

const sheet = StyleSheet.create({
  likely: { borderBottomWidth: 1, paddingVertical: 8, gap: 6 },
  words: { minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  found: { borderBottomWidth: 1, paddingVertical: 8 },
});
