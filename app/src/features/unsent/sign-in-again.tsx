import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { sentenceOfFailure } from '../../data/use-answer';
import { signIn, usePhone } from '../../data/store';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';

/** The session has ended; what is on this phone goes out once its person has signed in again. */
export function SignInAgain({ onDone }: { readonly onDone: () => void }): ReactElement {
  const person = usePhone((state) => state.person);
  const [password, setPassword] = useState('');
  const [failure, setFailure] = useState<string | null>(null);
  const enter = async (): Promise<void> => {
    try {
      await signIn(person?.name ?? '', password);
      onDone();
    } catch (error) {
      setFailure(sentenceOfFailure(error));
    }
  };
  return (
    <View style={sheet.again}>
      <Field
        label="Password"
        value={password}
        onChange={setPassword}
        isSecret
        autoComplete="current-password"
        error={failure}
        onEnter={() => void enter()}
      />
      <Button main word="Sign in and send" onPress={() => void enter()} />
    </View>
  );
}

const sheet = StyleSheet.create({ again: { gap: 8, paddingBottom: 12 } });
