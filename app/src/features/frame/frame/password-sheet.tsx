import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { OilcanError } from '@oilcan/core/kernel';
import { httpLink } from '../../../data/server/http-link';
import { sentenceOfFailure } from '../../../data/store/use-answer';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';

/** Another password; whoever else knows the old one is signed out. */
export function PasswordSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const say = useNotice((state) => state.say);
  const { control, handleSubmit, setError, formState } = useForm({ defaultValues: { present: '', next: '' } });
  const change = handleSubmit(async ({ present, next }) => {
    try {
      await httpLink.changePassword(present, next);
      say('Your password is changed. Your other devices are signed out.');
      onClose();
    } catch (error) {
      const field = error instanceof OilcanError ? error.field : undefined;
      const at = field === 'present' || field === 'next' ? field : 'root';
      setError(at, { message: sentenceOfFailure(error) });
    }
  });
  return (
    <BottomSheet
      title="Change my password"
      onClose={onClose}
      foot={<Button rank="primary" word="Change it" onPress={() => void change()} />}
    >
      <FormField control={control} name="present" label="Present password" isSecret autoComplete="current-password" />
      <FormField
        control={control}
        name="next"
        label="New password"
        hint="At least 8 characters."
        isSecret
        autoComplete="new-password"
        onEnter={() => void change()}
      />
      <FormRefusal sentence={formState.errors.root?.message ?? null} />
      <AppText soft>All your other devices are signed out.</AppText>
    </BottomSheet>
  );
}
