import Papa from 'papaparse';
import { useState, type ReactElement } from 'react';
import { View } from 'react-native';
import { mdiDownload, mdiUpload } from '@mdi/js';
import {
  faultCatalogue,
  MOST_CATALOGUE_ROWS,
  readCatalogue,
  rowsOfCatalogue,
  type BadRow,
  type CatalogueRow,
  type FaultCatalogue,
} from '@oilcan/core/recording/faults';
import { useSettings } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { saveTable } from '../../../data/browser/save-table';
import { FormRefusal } from '../../../forms/form-refusal';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';

const FIELDS = ['Class of equipment', 'Part of the machine', 'Failure mode (ISO 14224)'];
/** So many bad lines are named; the others are counted. */
const MOST_NAMED = 8;

const because: Readonly<Record<BadRow['because'], string>> = {
  noClass: 'has no class of equipment',
  noComponent: 'has no part of the machine',
  noMode: 'has no failure mode',
  unknownMode: 'has a failure mode that ISO 14224 does not know',
  tooLong: 'has a name of over 80 characters',
};

/** The catalogue of faults: saved as CSV, and another read in after it was looked through. */
export function CatalogueSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const settings = useSettings();
  const { run, refusal, errorAt } = useOperation();
  const [found, setFound] = useState<{ readonly rows: CatalogueRow[]; readonly bad: BadRow[] } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const own = settings?.faultCatalogue as FaultCatalogue | undefined;
  const rows = rowsOfCatalogue(own ?? faultCatalogue);
  const save = (): void =>
    saveTable(
      'faults',
      FIELDS,
      rows.map(({ equipmentClass, component, mode }) => [equipmentClass, component, mode]),
    );
  const read = async (file: File): Promise<void> => {
    const { data } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), { skipEmptyLines: false });
    const read = readCatalogue(data.slice(1));
    setFound(read);
    setProblem(
      read.rows.length + read.bad.length === 0
        ? 'This file has no lines. Save the catalogue first and change that file.'
        : read.rows.length > MOST_CATALOGUE_ROWS
          ? `A catalogue has at most ${MOST_CATALOGUE_ROWS} lines; this has ${read.rows.length}.`
          : null,
    );
  };
  const choose = (): void => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = '.csv,text/csv';
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (file !== undefined) void read(file);
    });
    input.click();
  };
  const mayTake = found !== null && found.rows.length > 0 && found.bad.length === 0 && problem === null;
  const take = async (wanted: readonly CatalogueRow[]): Promise<void> => {
    const said = wanted.length === 0 ? 'Back to the catalogue that Oilcan brings.' : 'The catalogue is read in.';
    if (await run('faults.set-catalogue', { rows: wanted }, said)) onClose();
  };
  return (
    <BottomSheet
      title="Catalogue of faults"
      onClose={onClose}
      {...(mayTake
        ? {
            foot: (
              <Button
                rank="primary"
                word={`Take these ${found.rows.length} lines`}
                onPress={() => void take(found.rows)}
              />
            ),
          }
        : {})}
    >
      <AppText>
        {counted(rows.length, 'line', 'lines')}
        {own === undefined ? ', as Oilcan brings them' : ', read in by a lead'}. A line is a class of equipment, a part
        of it, and how that fails.
      </AppText>
      <Button icon={mdiDownload} word="Save as CSV" onPress={save} />
      <Button icon={mdiUpload} word="Read a CSV in" onPress={choose} />
      {own === undefined ? null : <Button word="Back to what Oilcan brings" onPress={() => void take([])} />}
      {found === null || problem !== null ? null : (
        <View role="status">
          <AppText>
            {counted(found.rows.length, 'line can', 'lines can')} be read
            {found.bad.length === 0
              ? '.'
              : `, ${counted(found.bad.length, 'cannot', 'cannot')}. Nothing is taken before all can.`}
          </AppText>
          {found.bad.slice(0, MOST_NAMED).map(({ line, because: why, text }) => (
            <AppText key={line} as="small">
              Line {line} {because[why]}: {text}
            </AppText>
          ))}
          {found.bad.length > MOST_NAMED ? (
            <AppText as="small">and {found.bad.length - MOST_NAMED} more.</AppText>
          ) : null}
        </View>
      )}
      <FormRefusal sentence={problem ?? errorAt(refusal?.field ?? '')} />
    </BottomSheet>
  );
}
