import type { ReactElement } from 'react';
import { useForm, type ResolverResult } from 'react-hook-form';
import { labelFormats, type Label, type LabelFormatName } from '@oilcan/paper/label-formats';
import { FormField } from '../../../forms/form-field';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { makePaper } from './make-paper';
import { mdiPrinterOutline } from '@mdi/js';

const MOST_LABELS = 1_000;
const names = Object.keys(labelFormats) as readonly LabelFormatName[];

interface Wanted {
  readonly format: LabelFormatName;
  /** As it is typed. */
  readonly first: string;
  readonly isToReport: boolean;
}

const placesOn = (format: LabelFormatName): number => labelFormats[format].columns * labelFormats[format].rows;
/** The place that is typed, from 1; 0 for none. */
const placeOf = (typed: string): number => (/^\d{1,3}$/.test(typed.trim()) ? Number(typed) : 0);

function onTheSheet(values: Wanted): ResolverResult<Wanted> {
  const most = placesOn(values.format);
  const place = placeOf(values.first);
  if (place >= 1 && place <= most) return { values, errors: {} };
  return { values: {}, errors: { first: { type: 'invalid', message: `Give a place from 1 to ${most}.` } } };
}

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
  const { control, handleSubmit, watch, setValue, formState } = useForm<Wanted>({
    defaultValues: { format: 'middle', first: '1', isToReport: isForReports },
    mode: 'onChange',
    resolver: onTheSheet,
  });
  const { format, isToReport } = watch();
  const isTooMany = labels.length > MOST_LABELS;
  const make = handleSubmit(async ({ first }) => {
    const wanted = isToReport && toReportBy !== undefined ? await toReportBy() : labels;
    if (wanted === null) return;
    await makePaper({ what: 'labels', labels: wanted, format, firstPlace: placeOf(first) }, `${name}.pdf`);
    onClose();
  });
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
                : formState.errors.first !== undefined && 'Say first where on the sheet the first label goes.'
          }
          onPress={() => void make()}
        />
      }
    >
      {isTooMany ? (
        <AppText>More than {MOST_LABELS} labels at once are too many. Choose fewer machines first.</AppText>
      ) : null}
      <Choices label="Size of a label">
        {names.map((each) => (
          <Choice
            key={each}
            word={labelFormats[each].words}
            isChosen={format === each}
            onPress={() => setValue('format', each, { shouldValidate: true })}
          />
        ))}
      </Choices>
      {toReportBy === undefined ? null : (
        <Choice
          isMany
          word="Everybody may report by it, without an account"
          isChosen={isToReport}
          onPress={() => setValue('isToReport', !isToReport)}
        />
      )}
      <FormField
        control={control}
        name="first"
        label="First free place on the sheet"
        keyboard="numeric"
        hint="Counted from the upper left, row by row. 1 for a new sheet."
      />
    </BottomSheet>
  );
}
