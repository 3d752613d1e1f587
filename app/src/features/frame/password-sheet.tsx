import { useState, type ReactElement } from 'react';
import { OilcanError } from '@oilcan/core/kernel';
import { httpLink } from '../../data/http-link';
import { sentenceOfFailure } from '../../data/use-answer';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { useNotice } from '../../ui/notice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';

/** Another password; whoever else knows the old one is signed out. */
export function PasswordSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const say = useNotice((state) => state.say);
  const [present, setPresent] = useState('');
  const [next, setNext] = useState('');
  const [wrong, setWrong] = useState<{ readonly field: string; readonly text: string } | null>(null);
  const change = async (): Promise<void> => {
    try {
      await httpLink.changePassword(present, next);
      say('Your password is changed. Your other devices are signed out.');
      onClose();
    } catch (error) {
      const field = error instanceof OilcanError ? (error.field ?? '') : '';
      setWrong({ field, text: sentenceOfFailure(error) });
    }
  };
  const at = (field: string): string | null => (wrong?.field === field ? wrong.text : null);
  return (
    <BottomSheet
      title="Change my password"
      onClose={onClose}
      foot={<Button main word="Change it" onPress={() => void change()} />}
    >
      <Field
        label="Present password"
        value={present}
        onChange={setPresent}
        error={at('present')}
        isSecret
        autoComplete="current-password"
      />
      <Field
        label="New password"
        hint="At least 8 characters."
        value={next}
        onChange={setNext}
        error={at('next')}
        isSecret
        autoComplete="new-password"
        onEnter={() => void change()}
      />
      {at('') === null ? null : <Words live>{at('')}</Words>}
      <Words soft>All your other devices are signed out.</Words>
    </BottomSheet>
  );
}
