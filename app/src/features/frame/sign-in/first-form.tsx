import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { markOnce } from '../../../data/browser/marks';
import { signIn, usePhone } from '../../../data/store/store';
import { usePageTitle } from '../../../ui/focus/use-page-title';
import { notSignedIn } from './not-signed-in';

/** The forms to sign in that the page had before any script (`server/src/web/sign-in-form.ts`); none where it has none. */
export function firstForms(): readonly HTMLFormElement[] {
  return ['sign-in', 'demo'].flatMap((id) => {
    const form = document.getElementById(id);
    return form instanceof HTMLFormElement ? [form] : [];
  });
}

/** Takes over the form that is in the page already: it stays where it is, with what was typed into it, and loads no page any more. */
export function FirstForm(): null {
  usePageTitle('Sign in');
  const router = useRouter();
  const isSignedIn = usePhone(({ person }) => person !== null);
  useEffect(() => {
    if (isSignedIn) router.replace('/');
  }, [isSignedIn, router]);
  useEffect(() => {
    const forms = firstForms();
    const take = (event: SubmitEvent): void => {
      event.preventDefault();
      void enter(event);
    };
    for (const form of forms) {
      // What is wrong is said in the page alone from now on, and not by the browser too.
      form.noValidate = true;
      form.addEventListener('submit', take);
    }
    markOnce('oilcan:sign-in');
    return () => {
      for (const form of forms) form.removeEventListener('submit', take);
    };
  }, []);
  return null;
}

async function enter({ target, submitter }: SubmitEvent): Promise<void> {
  const typed = new FormData(target as HTMLFormElement);
  // Of the people of a demo, the one that was pressed.
  const pressed = submitter instanceof HTMLButtonElement && submitter.name === 'name' ? submitter.value : null;
  const empty = pressed === null ? emptyFields(target as HTMLFormElement) : [];
  say('');
  empty[0]?.focus();
  if (empty.length > 0) return;
  hold(true);
  try {
    await signIn(pressed ?? String(typed.get('name')), String(typed.get('password')));
  } catch (error) {
    say(notSignedIn(error));
    hold(false);
  }
}

/** The fields in which nothing is; each is marked as wrong or not, and the page shows what is missing below it (`page.css`). */
function emptyFields(form: HTMLFormElement): HTMLInputElement[] {
  const fields = [...form.querySelectorAll('input')];
  for (const field of fields) field.setAttribute('aria-invalid', String(field.value.trim() === ''));
  return fields.filter(({ value }) => value.trim() === '');
}

function say(words: string): void {
  const line = document.getElementById('refused');
  if (line !== null) line.textContent = words;
}

/** While the server is asked, nothing is pressed again. */
function hold(isHeld: boolean): void {
  for (const form of firstForms()) for (const button of form.querySelectorAll('button')) button.disabled = isHeld;
}
