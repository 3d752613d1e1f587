import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiBarcodeScan } from '@mdi/js';
import type { PartId, Thousandths } from '@oilcan/core/kernel';
import type { Installation } from '@oilcan/core/plant/plant';
import type { Part } from '@oilcan/core/stores/stock';
import { currentOf, type KitPart, type WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows, useTable } from '../../../data/store/store';
import { useKitLines } from '../../../data/queries/stock';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { useMayRecord } from '../../orders/hazards';
import { AmountSheet } from './amount-sheet';
import { findParts } from '../choose-part';
import { AskSheet } from '../requests';
import { FoundRow, InstalledRow, PlannedRow, UsualRow, type Chosen } from './part-lines';
import { PlannedSheet } from './planned-sheet';
import { ScanPartSheet } from './scan-part-sheet';
import { TakeOutSheet } from './take-out-sheet';
import { ReturnSheet, takenParts, TakenRow, type TakenPart } from './taken-parts';

const SHOWN_RESULTS = 8;
const SHOWN_USUAL = 4;

const UsualOf = lazyComponent(() => import('../../../data/queries/usual-of').then((module) => module.UsualOf));

/** What lies over the list of parts; it comes back to the list, so that the next part is one press away. */
type Over =
  | ({ readonly is: 'amount' } & Chosen)
  | { readonly is: 'planned'; readonly line: KitPart }
  | { readonly is: 'back'; readonly taken: TakenPart }
  | { readonly is: 'out'; readonly installation: Installation }
  | { readonly is: 'ask'; readonly part: Part; readonly quantity: Thousandths }
  | { readonly is: 'scan' };

interface Props {
  readonly work: WorkOrder;
  /** A part with which it begins, such as one that was scanned elsewhere. */
  readonly about?: string | undefined;
  readonly onClose: () => void;
}

/**
 * The parts of a job: those that it needs and those that such jobs also took, one press each; any other by its code, number or name.
 * It stays open for the next part.
 */
export function PartSheet({ work, about, onClose }: Props): ReactElement {
  const kit = useKitLines(work);
  const parts = useTable('parts');
  const isPrepared = useMayRecord(work);
  const given = useRow('parts', about as PartId | undefined);
  const [find, setFind] = useState('');
  const [over, setOver] = useState<Over | null>(given === undefined ? null : { is: 'amount', part: given });
  const found = useMemo(() => findParts(parts, find).slice(0, SHOWN_RESULTS), [parts, find]);
  const entries = useRows('entries', 'workOrder', work.id);
  const taken = useMemo(() => takenParts(entries), [entries]);
  const installed = useRows('installations', 'asset', work.assetId);
  const isThere = (partId: string): boolean =>
    work.kit.some((planned) => planned.partId === partId) ||
    currentOf(entries, 'part').some(({ content }) => content.partId === partId);
  const toList = (): void => {
    setFind('');
    setOver(null);
  };
  const choose = (chosen: Chosen): void => setOver({ is: 'amount', ...chosen });
  const isAttended = useTable('stores').some((store) => store.isAttended === true);
  const ask = (part: Part, quantity: Thousandths): void => setOver({ is: 'ask', part, quantity });
  const row = { work, isPrepared, onOther: choose, onAsk: isAttended ? ask : null };
  const partOf = (partId: PartId) => parts.find(({ id }) => id === partId);
  if (over?.is === 'ask') return <AskSheet work={work} part={over.part} quantity={over.quantity} onClose={toList} />;
  if (over?.is === 'scan') return <ScanPartSheet work={work} onFound={choose} onClose={toList} />;
  if (over?.is === 'amount') {
    const { part, usual = null, first } = over;
    return (
      <AmountSheet
        key={part.id}
        work={work}
        part={part}
        usual={usual}
        isPrepared={isPrepared}
        {...(first === undefined ? {} : { first })}
        onOther={(other) => choose({ part: other })}
        onPutBack={(goesBack) => setOver({ is: 'back', taken: goesBack })}
        onClose={toList}
      />
    );
  }
  const back = over?.is === 'back' ? partOf(over.taken.partId) : undefined;
  if (over?.is === 'back' && back !== undefined)
    return <ReturnSheet work={work} taken={over.taken} part={back} onClose={toList} />;
  const out = over?.is === 'out' ? partOf(over.installation.partId) : undefined;
  if (over?.is === 'out' && out !== undefined)
    return <TakeOutSheet work={work} part={out} installationId={over.installation.id} onClose={toList} />;
  const planned = over?.is === 'planned' ? partOf(over.line.partId) : undefined;
  if (over?.is === 'planned' && planned !== undefined)
    return <PlannedSheet work={work} part={planned} line={over.line} onClose={toList} />;
  return (
    <BottomSheet
      title="Parts"
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="secondary" word="That is all" onPress={onClose} />}
    >
      <View style={sheet.find}>
        <View style={sheet.field}>
          <Field
            label="Find a part: number or name"
            isFind
            value={find}
            onChange={setFind}
            autoFocus={kit.length === 0}
          />
        </View>
        <Button word="Scan" icon={mdiBarcodeScan} label="Scan a part" onPress={() => setOver({ is: 'scan' })} />
      </View>
      {isPrepared ? null : (
        <AppText as="small" soft>
          Before the hazards are read parts can be planned, and nothing is taken.
        </AppText>
      )}
      {found.map((part) => (
        <FoundRow key={part.id} part={part} siteId={work.siteId} onChoose={() => choose({ part })} />
      ))}
      {find !== '' && found.length === 0 ? <AppText live>No part fits “{find}”.</AppText> : null}
      {find !== '' || kit.length === 0 ? null : (
        <View>
          <AppText as="label">Needed</AppText>
          {kit.map((line, index) => (
            <PlannedRow
              key={index}
              line={line}
              onChange={() => setOver({ is: 'planned', line: line.planned })}
              {...row}
            />
          ))}
        </View>
      )}
      {find !== '' ? null : (
        <UsualOf work={work}>
          {({ parts: usual, jobs }) => {
            const likely = usual.filter(({ partId }) => !isThere(partId)).slice(0, SHOWN_USUAL);
            return likely.length === 0 ? null : (
              <View>
                <AppText as="label">What such jobs also took</AppText>
                {likely.map((each) => (
                  <UsualRow key={each.partId} usual={each} of={jobs.length} {...row} />
                ))}
              </View>
            );
          }}
        </UsualOf>
      )}
      {find === '' && taken.length > 0 ? (
        <View>
          <AppText as="label">Taken here, and to put back</AppText>
          {taken.map((each) => (
            <TakenRow
              key={each.partId}
              work={work}
              taken={each}
              onOther={(goesBack) => setOver({ is: 'back', taken: goesBack })}
            />
          ))}
        </View>
      ) : null}
      {find === '' && installed.length > 0 ? (
        <View>
          <AppText as="label">In this machine, with a number</AppText>
          {installed.map((each) => (
            <InstalledRow
              key={each.id}
              installation={each}
              isPrepared={isPrepared}
              onTakeOut={() => setOver({ is: 'out', installation: each })}
            />
          ))}
        </View>
      ) : null}
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  find: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
});
