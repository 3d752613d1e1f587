import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { sentenceOfFailure } from '../../../data/store/use-answer';
import { signIn, usePhone } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { Button } from '../../../ui/press/press';

/** The session has ended; what is on this phone goes out once its person has signed in again. */
export function SignInAgain({ onDone }: { readonly onDone: () => void }): ReactElement {
  const person = usePhone((state) => state.person);
  const form = useForm({ defaultValues: { password: '' } });
  const enter = form.handleSubmit(async ({ password }) => {
    try {
      await signIn(person?.name ?? '', password);
      onDone();
    } catch (error) {
      form.setError('password', { message: sentenceOfFailure(error) });
    }
  });
  return (
    <View style={sheet.again}>
      <FormField
        control={form.control}
        name="password"
        label="Password"
        isSecret
        autoComplete="current-password"
        onEnter={() => void enter()}
      />
      <Button rank="primary" word="Sign in and send" onPress={() => void enter()} />
    </View>
  );
}

const sheet = StyleSheet.create({ again: { gap: 8, paddingBottom: 12 } });
