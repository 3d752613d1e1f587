import type { ReactElement } from 'react';
import { useController, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import type { AssetId, BinId } from '@oilcan/core/kernel';
import { isWarrantyRunning } from '@oilcan/core/plant/plant';
import { fates, type Fate, type Part, type StockLevel } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useRow, useRows, useSettings } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { Field } from '../../../ui/fields/field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';
import { sayDate } from '../../../words/dates';
import { BinChoice } from './bin-choice';
import { fateWords } from './words';

/** What is said of numbers: of what goes in and of what comes out. */
export interface Numbers {
  readonly serialIn: string;
  /** The installation that comes out, `other` for one the books do not know, null for none; undefined while nobody said. */
  readonly out: string | null | undefined;
  readonly serialOut: string;
  /** What becomes of it; null while nobody said. */
  readonly fate: Fate | null;
  readonly keptIn: BinId | null;
}

export const noNumbers: Numbers = { serialIn: '', out: undefined, serialOut: '', fate: null, keptIn: null };

/** A warranty that runs is what becomes of it, unless somebody says otherwise; else nobody said yet. */
export const fateAtFirst = (out: string | null): Fate | null =>
  out !== null && out !== 'other' && runs(out) ? 'warranty' : null;

/** What is still to be said before it is kept; null for nothing. */
export function unsaidOf({ out, fate }: Numbers, isInstalled: boolean): string | null {
  if (out === undefined) return isInstalled ? 'Say what comes out.' : null;
  return out !== null && fate === null ? 'Say what becomes of what comes out.' : null;
}

/** What comes out as an operation takes it; null for nothing. */
export function comesOutOf(numbers: Numbers, part: Pick<Part, 'id'>, assetId: AssetId) {
  if (numbers.out === null || numbers.out === undefined || numbers.fate === null) return null;
  const isKnown = numbers.out !== 'other';
  const partId = (isKnown ? peekRow('installations', numbers.out)?.partId : undefined) ?? part.id;
  return {
    partId,
    assetId,
    installationId: isKnown ? numbers.out : null,
    serial: isKnown ? '' : numbers.serialOut,
    fate: numbers.fate,
    binId: numbers.fate === 'keep' ? numbers.keptIn : null,
  };
}

interface Props<Values extends FieldValues> {
  readonly work: WorkOrder;
  readonly part: Part;
  readonly stock: readonly StockLevel[];
  readonly control: Control<Values>;
  /** The field whose value these numbers are. */
  readonly name: FieldPathByValue<Values, Numbers>;
  /** What comes out is all that is asked. */
  readonly isOutOnly?: boolean;
}

/** The serial number of what goes in, what comes out for it, and what becomes of that. */
export function NumberedPart<Values extends FieldValues>({
  work,
  part,
  stock,
  control,
  name,
  isOutOnly = false,
}: Props<Values>): ReactElement {
  const { field, fieldState } = useController({ control, name });
  const numbers = field.value as Numbers;
  const error = fieldState.error?.message ?? null;
  const installed = useRows('installations', 'asset', work.assetId).filter(({ partId }) => partId === part.id);
  const set = (some: Partial<Numbers>): void => field.onChange({ ...numbers, ...some });
  const chooseOut = (out: string | null): void => set({ out, fate: fateAtFirst(out) });
  return (
    <View style={{ gap: 12 }}>
      {isOutOnly ? null : (
        <Field
          label="Serial number of what goes in"
          hint={part.isNumbered === true ? undefined : 'Leave it empty where it has none.'}
          value={numbers.serialIn}
          onChange={(serialIn) => set({ serialIn })}
          error={error}
          inputRef={field.ref}
        />
      )}
      {isOutOnly ? <FormRefusal sentence={error} /> : null}
      <AppText as="label">What comes out</AppText>
      <Choices label="What comes out">
        {installed.map(({ id, serial }) => (
          <Choice key={id} word={serial} isChosen={numbers.out === id} onPress={() => chooseOut(id)} />
        ))}
        <Choice word="Another" isChosen={numbers.out === 'other'} onPress={() => chooseOut('other')} />
        {isOutOnly ? null : <Choice word="Nothing" isChosen={numbers.out === null} onPress={() => chooseOut(null)} />}
      </Choices>
      {numbers.out === 'other' ? (
        <Field
          label="Its serial number, if it has one"
          value={numbers.serialOut}
          onChange={(serialOut) => set({ serialOut })}
        />
      ) : null}
      {numbers.out === null || numbers.out === undefined ? null : (
        <>
          {numbers.out === 'other' ? null : <WarrantyLine installationId={numbers.out} fate={numbers.fate} />}
          <Choices label="What becomes of it">
            {fates.map((fate) => (
              <Choice
                key={fate}
                word={fateWords[fate]}
                isChosen={numbers.fate === fate}
                onPress={() => set({ fate, keptIn: fate === 'keep' ? (stock[0]?.binId ?? null) : null })}
              />
            ))}
          </Choices>
          {numbers.fate === 'keep' ? (
            <Choices label="Kept in">
              {stock.map(({ binId }) => (
                <BinChoice
                  key={binId}
                  binId={binId}
                  isChosen={numbers.keptIn === binId}
                  onPress={() => set({ keptIn: binId })}
                />
              ))}
              {stock.length === 0 ? <AppText>No bin holds this part: it cannot be kept in one.</AppText> : null}
            </Choices>
          ) : null}
        </>
      )}
    </View>
  );
}

function runs(installationId: string): boolean {
  const installation = peekRow('installations', installationId);
  if (installation === undefined) return false;
  const point = peekRow('points', installation.warrantyMeter?.pointId ?? '');
  return isWarrantyRunning(installation, now(), point?.latest.at(-1)?.value ?? null);
}

/** A warranty that runs is said before anything is thrown away. */
function WarrantyLine({
  installationId,
  fate,
}: {
  readonly installationId: string;
  readonly fate: Fate | null;
}): ReactElement | null {
  const settings = useSettings();
  const installation = useRow('installations', installationId);
  const point = useRow('points', installation?.warrantyMeter?.pointId);
  if (installation === undefined || settings === undefined || !runs(installationId)) return null;
  const { warrantyUntil, warrantyMeter } = installation;
  const until = [
    ...(warrantyUntil === null ? [] : [sayDate(warrantyUntil, settings.language)]),
    ...(warrantyMeter === undefined ? [] : [`${warrantyMeter.upTo} ${point?.unit ?? ''} on its meter`]),
  ].join(' or ');
  return (
    <AppText as={fate === 'scrap' ? 'label' : 'text'} live>
      It is under warranty until {until}.
      {fate === 'scrap' ? ' Do not throw it away: it may be replaced for nothing.' : ''}
    </AppText>
  );
}
