import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BinId, Thousandths } from '@oilcan/core/kernel';
import type { UsualPart } from '@oilcan/core/past';
import type { Part } from '@oilcan/core/stock';
import { standingOf, type WorkOrder } from '@oilcan/core/work';
import { useOperation } from '../../data/use-operation';
import { useRow, useRows, useTable } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { piece } from '../../ui/piece';
import { Button, Press } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { findParts } from './find-parts';
import { AmountSheet } from './amount-sheet';
import { useBinName, useKitLines, useStockOf, type KitLine } from '../../data/stock';
import { amountOf } from '../../words/amounts';

const SHOWN_RESULTS = 8;
const SHOWN_USUAL = 4;

const UsualOf = piece(() => import('../../data/past/usual-of').then((module) => module.UsualOf));

/** Planned parts and those that such jobs also took, one press each; any other by number or name. */
export function PartSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const kit = useKitLines(work);
  const parts = useTable('parts');
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<Part | null>(null);
  const found = useMemo(() => findParts(parts, find).slice(0, SHOWN_RESULTS), [parts, find]);
  const entries = useRows('entries', 'workOrder', work.id);
  const row = { work, onOther: setChosen, onClose };
  const isThere = (partId: string): boolean =>
    work.kit.some((planned) => planned.partId === partId) ||
    standingOf(entries, 'part').some(({ content }) => content.partId === partId);
  if (chosen !== null)
    return <AmountSheet work={work} part={chosen} onBack={() => setChosen(null)} onClose={onClose} />;
  return (
    <BottomSheet title="Part" onClose={onClose}>
      {kit.map((line, index) => (
        <PlannedRow key={index} line={line} {...row} />
      ))}
      <UsualOf work={work}>
        {({ parts: usual, jobs }) => {
          const likely = usual.filter(({ partId }) => !isThere(partId)).slice(0, SHOWN_USUAL);
          return likely.length === 0 ? null : (
            <View>
              <Words as="label">What such jobs also took</Words>
              {likely.map((each) => (
                <UsualRow key={each.partId} usual={each} of={jobs.length} {...row} />
              ))}
            </View>
          );
        }}
      </UsualOf>
      <Field
        label={kit.length === 0 ? 'Find a part: number or name' : 'Another part: number or name'}
        value={find}
        onChange={setFind}
        autoFocus={kit.length === 0}
      />
      {found.map((part) => (
        <FoundRow key={part.id} part={part} onChoose={() => setChosen(part)} />
      ))}
      {find !== '' && found.length === 0 ? <Words>No part fits “{find}”.</Words> : null}
    </BottomSheet>
  );
}

interface RowProps {
  readonly work: WorkOrder;
  readonly onOther: (part: Part) => void;
  readonly onClose: () => void;
}

/** One that is planned, from its own bin. */
function PlannedRow({ line, ...row }: RowProps & { readonly line: KitLine }): ReactElement | null {
  const { partId, binId } = line.planned;
  const part = useRow('parts', partId);
  const where = useBinName(binId, row.work.siteId);
  const isSeen = useRow('bins', binId) !== undefined;
  if (part === undefined) return null;
  const used = line.used > 0 ? ` · ${amountOf(line.used, part)} used` : '';
  // What is planned in a unit that does not convert to the part's own is for the person to count.
  const planned = line.left === null ? ` · planned: ${amountOf(line.quantity, line)}` : '';
  const facts = `${part.number} · ${amountOf(line.onHand, part)} in ${where}${used}${planned}`;
  // From a bin that the person does not see nothing can be taken; another bin may have some.
  return <LikelyRow {...row} part={part} facts={facts} binId={isSeen ? binId : null} quantity={line.left ?? 0} />;
}

/** One that such jobs also took, from its fullest bin. */
function UsualRow({
  usual,
  of,
  ...row
}: RowProps & { readonly usual: UsualPart; readonly of: number }): ReactElement | null {
  const part = useRow('parts', usual.partId);
  const [fullest] = useStockOf(usual.partId, row.work.siteId);
  const binWords = useBinName(fullest?.binId, row.work.siteId);
  if (part === undefined) return null;
  const where = fullest === undefined ? 'in no bin' : `${amountOf(fullest.onHand, part)} in ${binWords}`;
  const facts = `Used ${usual.jobs} of ${of} times · ${part.number} · ${where}`;
  return <LikelyRow {...row} part={part} facts={facts} binId={fullest?.binId ?? null} quantity={usual.quantity} />;
}

interface LikelyProps extends RowProps {
  readonly part: Part;
  readonly facts: string;
  /** Null when no bin holds it. */
  readonly binId: BinId | null;
  /** Zero when nothing of it is left to use. */
  readonly quantity: Thousandths;
}

/** A part that is used with one press, as much as is likely. */
function LikelyRow({ work, part, facts, binId, quantity, onOther, onClose }: LikelyProps): ReactElement {
  const palette = usePalette();
  const { run, errorAt } = useOperation();
  const amount = amountOf(quantity, part);
  const use = async (from: BinId): Promise<void> => {
    const args = { workOrderId: work.id, partId: part.id, binId: from, quantity };
    if (await run('part.use', args, `${amount} ${part.name} kept.`)) onClose();
  };
  return (
    <View style={[sheet.likely, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <Words>{part.name}</Words>
        <Words as="small" soft>
          {facts}
        </Words>
        {errorAt('quantity') === null ? null : (
          <Words as="small" color={palette.faulty} live>
            {errorAt('quantity')}
          </Words>
        )}
      </View>
      <View style={sheet.buttons}>
        {quantity > 0 && binId !== null ? (
          <Button main word={`Use ${amount}`} label={`Use ${amount} ${part.name}`} onPress={() => void use(binId)} />
        ) : null}
        <Button word="Other" label={`Other amount of ${part.name}`} onPress={() => onOther(part)} />
      </View>
    </View>
  );
}

function FoundRow({ part, onChoose }: { readonly part: Part; readonly onChoose: () => void }): ReactElement {
  const palette = usePalette();
  const stock = useStockOf(part.id);
  const total = stock.reduce((sum, { onHand }) => sum + onHand, 0);
  return (
    <Press onPress={onChoose} style={[sheet.found, { borderColor: palette.line }]}>
      <Words>{part.name}</Words>
      <Words as="small" soft>
        {part.number} · {amountOf(total, part)} on hand{part.isObsolete ? ' · no longer bought' : ''}
      </Words>
    </Press>
  );
}

const sheet = StyleSheet.create({
  likely: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    paddingVertical: 8,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 140, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  found: { borderBottomWidth: 1, paddingVertical: 8 },
});
