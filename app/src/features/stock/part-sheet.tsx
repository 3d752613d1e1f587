import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BinId, Thousandths } from '@oilcan/core/kernel';
import type { UsualPart } from '@oilcan/core/past';
import type { Installation } from '@oilcan/core/plant';
import type { Part, StockLevel } from '@oilcan/core/stock';
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
import { TakeOutSheet } from './take-out-sheet';
import { ReturnSheet, takenParts, TakenRow, type TakenPart } from './taken-parts';
import { isShort, useBinName, useKitLines, useStockOf, type KitLine } from '../../data/stock';
import { amountOf } from '../../words/amounts';

const SHOWN_RESULTS = 8;
const SHOWN_USUAL = 4;

const UsualOf = piece(() => import('../../data/past/usual-of').then((module) => module.UsualOf));

/** Planned parts and those that such jobs also took, one press each; any other by number or name. */
export function PartSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const kit = useKitLines(work);
  const parts = useTable('parts');
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [goesBack, setGoesBack] = useState<TakenPart | null>(null);
  const [comesOut, setComesOut] = useState<Installation | null>(null);
  const found = useMemo(() => findParts(parts, find).slice(0, SHOWN_RESULTS), [parts, find]);
  const entries = useRows('entries', 'workOrder', work.id);
  const taken = useMemo(() => takenParts(entries), [entries]);
  const installed = useRows('installations', 'asset', work.assetId);
  const row = { work, onOther: setChosen, onClose };
  const isThere = (partId: string): boolean =>
    work.kit.some((planned) => planned.partId === partId) ||
    standingOf(entries, 'part').some(({ content }) => content.partId === partId);
  if (chosen !== null) {
    const { part, usual = null, first } = chosen;
    return (
      <AmountSheet
        key={part.id}
        work={work}
        part={part}
        usual={usual}
        {...(first === undefined ? {} : { first })}
        onOther={(other) => setChosen({ part: other })}
        onBack={() => setChosen(null)}
        onClose={onClose}
      />
    );
  }
  const back = goesBack === null ? undefined : parts.find(({ id }) => id === goesBack.partId);
  if (goesBack !== null && back !== undefined)
    return <ReturnSheet work={work} taken={goesBack} part={back} onClose={onClose} />;
  const out = comesOut === null ? undefined : parts.find(({ id }) => id === comesOut.partId);
  if (comesOut !== null && out !== undefined)
    return <TakeOutSheet work={work} part={out} installationId={comesOut.id} onClose={onClose} />;
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
        isFind
        value={find}
        onChange={setFind}
        autoFocus={kit.length === 0}
      />
      {found.map((part) => (
        <FoundRow key={part.id} part={part} onChoose={() => setChosen({ part })} />
      ))}
      {find !== '' && found.length === 0 ? <Words>No part fits “{find}”.</Words> : null}
      {find === '' && taken.length > 0 ? (
        <View>
          <Words as="label">Taken here, and to put back</Words>
          {taken.map((each) => (
            <TakenRow key={each.partId} work={work} taken={each} onOther={setGoesBack} onClose={onClose} />
          ))}
        </View>
      ) : null}
      {find === '' && installed.length > 0 ? (
        <View>
          <Words as="label">In this machine, with a number</Words>
          {installed.map((each) => (
            <InstalledRow key={each.id} installation={each} onTakeOut={() => setComesOut(each)} />
          ))}
        </View>
      ) : null}
    </BottomSheet>
  );
}

/** A part whose amount is typed, with what is known of it. */
interface Chosen {
  readonly part: Part;
  readonly usual?: Thousandths | null;
  readonly first?: { readonly quantity: Thousandths; readonly binId: BinId };
}

/** A part with a number of its own that sits in the machine. */
function InstalledRow({
  installation: { partId, serial },
  onTakeOut,
}: {
  readonly installation: Installation;
  readonly onTakeOut: () => void;
}): ReactElement {
  const palette = usePalette();
  const part = useRow('parts', partId);
  return (
    <View style={[sheet.likely, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <Words>{part?.name ?? 'A part'}</Words>
        <Words as="small" soft>
          {serial}
        </Words>
      </View>
      <Button word="Take out" label={`Take out ${part?.name ?? 'a part'} ${serial}`} onPress={onTakeOut} />
    </View>
  );
}

interface RowProps {
  readonly work: WorkOrder;
  readonly onOther: (chosen: Chosen) => void;
  readonly onClose: () => void;
}

/** One that is planned, from its own bin. */
function PlannedRow({ line, ...row }: RowProps & { readonly line: KitLine }): ReactElement | null {
  const { partId, binId } = line.planned;
  const part = useRow('parts', partId);
  const where = useBinName(binId, row.work.siteId);
  const isSeen = useRow('bins', binId) !== undefined;
  const otherBins = useStockOf(partId, row.work.siteId);
  if (part === undefined) return null;
  const used = line.used > 0 ? ` · ${amountOf(line.used, part)} used` : '';
  // What is planned in a unit that does not convert to the part's own is for the person to count.
  const planned = line.left === null ? ` · planned: ${amountOf(line.quantity, line)}` : '';
  const elsewhere = isShort(line) ? otherBins.filter((level) => level.binId !== binId && level.onHand > 0) : [];
  const more = elsewhere.length === 0 ? '' : ` · ${amountOf(sumOf(elsewhere), part)} in other bins`;
  const facts = `${part.number} · ${amountOf(line.onHand, part)} in ${where}${used}${planned}${more}`;
  // From a bin that the person does not see nothing can be taken; another bin may have some.
  return (
    <LikelyRow
      {...row}
      part={part}
      facts={facts}
      binId={isSeen ? binId : null}
      quantity={line.left ?? 0}
      onHand={line.onHand}
      usual={null}
    />
  );
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
  return (
    <LikelyRow
      {...row}
      part={part}
      facts={facts}
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
}

/** A part that is used with one press, as much as is likely. */
function LikelyRow({ work, part, facts, binId, quantity, onHand, usual, onOther, onClose }: LikelyProps): ReactElement {
  const palette = usePalette();
  const { run, errorAt } = useOperation();
  const amount = amountOf(quantity, part);
  // Where one with a number sits, what comes out is asked, too.
  const sits = useRows('installations', 'asset', work.assetId).some(({ partId }) => partId === part.id);
  const isNumbered = part.isNumbered === true || sits;
  const use = async (from: BinId): Promise<void> => {
    // More than the bin holds is asked about first, and what has numbers has to say them.
    if (quantity > onHand || isNumbered) return onOther({ part, usual, first: { quantity, binId: from } });
    const args = { workOrderId: work.id, assetId: work.assetId, partId: part.id, binId: from, quantity };
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
          <Button
            rank="primary"
            word={`Use ${amount}`}
            label={`Use ${amount} ${part.name}`}
            onPress={() => void use(binId)}
          />
        ) : null}
        <Button word="Other amount" label={`Other amount of ${part.name}`} onPress={() => onOther({ part, usual })} />
      </View>
    </View>
  );
}

function sumOf(levels: readonly StockLevel[]): Thousandths {
  return levels.reduce((sum, { onHand }) => sum + onHand, 0);
}

function FoundRow({ part, onChoose }: { readonly part: Part; readonly onChoose: () => void }): ReactElement {
  const palette = usePalette();
  const stock = useStockOf(part.id);
  return (
    <Press onPress={onChoose} style={[sheet.found, { borderColor: palette.line }]}>
      <Words>{part.name}</Words>
      <Words as="small" soft>
        {part.number} · {amountOf(sumOf(stock), part)} on hand{part.isObsolete ? ' · no longer bought' : ''}
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
  buttons: { flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1, minWidth: 0, gap: 8 },
  found: { borderBottomWidth: 1, paddingVertical: 8 },
});
