import { useState, type ReactElement } from 'react';
import { labelFormats, type Label, type LabelFormatName } from '@oilcan/paper/label-formats';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Choice, Choices } from '../../ui/choice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { makePaper } from './make-paper';
import { mdiPrinterOutline } from '@mdi/js';

const MOST_LABELS = 1_000;
const names = Object.keys(labelFormats) as readonly LabelFormatName[];

/** Labels on sheets, from the first free place on. */
export function LabelSheetForm({
  labels,
  toReportBy,
  isForReports = false,
  name,
  onClose,
}: {
  readonly labels: readonly Label[];
  /** Makes the same labels such that everybody may report by them; null where that was refused. */
  readonly toReportBy?: () => Promise<readonly Label[] | null>;
  /** Whether that is what is wanted at first. */
  readonly isForReports?: boolean;
  /** Of the file. */
  readonly name: string;
  readonly onClose: () => void;
}): ReactElement {
  const [format, setFormat] = useState<LabelFormatName>('middle');
  const [first, setFirst] = useState('1');
  const [isToReport, setIsToReport] = useState(isForReports);
  const { columns, rows } = labelFormats[format];
  const place = /^\d{1,3}$/.test(first.trim()) ? Number(first) : 0;
  const isPlace = place >= 1 && place <= columns * rows;
  const isTooMany = labels.length > MOST_LABELS;
  const make = async (): Promise<void> => {
    const wanted = isToReport && toReportBy !== undefined ? await toReportBy() : labels;
    if (wanted === null) return;
    await makePaper({ what: 'labels', labels: wanted, format, firstPlace: place }, `${name}.pdf`);
    onClose();
  };
  return (
    <BottomSheet
      title="Labels"
      aside={counted(labels.length, 'label', 'labels')}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          icon={mdiPrinterOutline}
          word="Make the PDF"
          cannot={
            isTooMany
              ? `At most ${MOST_LABELS} labels at once.`
              : labels.length === 0
                ? 'There is no label to print.'
                : !isPlace && 'Say first where on the sheet the first label goes.'
          }
          onPress={() => void make()}
        />
      }
    >
      {isTooMany ? (
        <Words>More than {MOST_LABELS} labels at once are too many. Choose fewer machines first.</Words>
      ) : null}
      <Choices label="Size of a label">
        {names.map((each) => (
          <Choice
            key={each}
            word={labelFormats[each].words}
            isChosen={format === each}
            onPress={() => setFormat(each)}
          />
        ))}
      </Choices>
      {toReportBy === undefined ? null : (
        <Choice
          isMany
          word="Everybody may report by it, without an account"
          isChosen={isToReport}
          onPress={() => setIsToReport(!isToReport)}
        />
      )}
      <Field
        label="First free place on the sheet"
        value={first}
        onChange={setFirst}
        keyboard="numeric"
        error={isPlace ? null : `Give a place from 1 to ${columns * rows}.`}
        hint="Counted from the upper left, row by row. 1 for a new sheet."
      />
    </BottomSheet>
  );
}
