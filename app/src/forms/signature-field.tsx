import type { ReactElement } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Choice, Choices } from '../ui/fields/choice';
import { Button } from '../ui/press/press';
import { SignaturePad } from '../ui/drawn/signature-pad';
import { usePalette } from '../ui/theme/use-palette';
import { AppText } from '../ui/theme/app-text';

interface Signed {
  /** What was drawn; empty for nothing. */
  readonly path: string;
  /** The name stands for it instead. */
  readonly isByName: boolean;
}

export const unsigned: Signed = { path: '', isByName: false };

export const NOT_SIGNED = 'Nothing was drawn. Sign in the field, or say that the name stands for the signature.';

interface Props {
  readonly signed: Signed;
  readonly onSign: (signed: Signed) => void;
  readonly error: string | null;
}

/** Signs with a finger, a pen or a mouse, or without drawing: then the typed name stands for it, and is marked so. */
function SignatureField({ signed: { path, isByName }, onSign, error }: Props): ReactElement {
  const palette = usePalette();
  return (
    <View style={sheet.field}>
      {isByName ? (
        <AppText>The name stands for the signature. The record says that it was typed and not drawn.</AppText>
      ) : (
        <SignaturePad path={path} onDraw={(drawn) => onSign({ path: drawn, isByName: false })} />
      )}
      <Choices label="How it is signed" isMany>
        <Choice
          word="Sign without drawing: my name stands for it"
          isMany
          isChosen={isByName}
          onPress={() => onSign({ path: '', isByName: !isByName })}
        />
        {path === '' ? null : <Button word="Sign anew" onPress={() => onSign(unsigned)} />}
      </Choices>
      {error === null ? null : (
        <AppText as="small" color={palette.faulty} live>
          {error}
        </AppText>
      )}
    </View>
  );
}

/** The same in a form that has its two values. */
export function SignatureFormField<Values extends FieldValues & Signed>({
  control,
}: {
  readonly control: Control<Values>;
}): ReactElement {
  const path = useController({ control, name: 'path' as FieldPath<Values> });
  const isByName = useController({ control, name: 'isByName' as FieldPath<Values> });
  return (
    <SignatureField
      signed={{ path: path.field.value, isByName: isByName.field.value }}
      onSign={(signed) => {
        isByName.field.onChange(signed.isByName);
        path.field.onChange(signed.path);
      }}
      error={path.fieldState.error?.message ?? null}
    />
  );
}

const sheet = StyleSheet.create({ field: { gap: 8 } });
