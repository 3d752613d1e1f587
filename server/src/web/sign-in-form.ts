import { isErrorCode, sentenceFor } from '@oilcan/core/registry';
import type { DemoPerson, DemoPeople } from '../accounts/demo-people';
import { markup, type Markup } from '../html/markup';

/** Where the form is sent; it leads to the application, or back here with what was wrong. */
const SIGN_IN_FORM = '/api/session/form';

/** More than blanks, for the browser. */
const SOMETHING = '.*\\S.*';

/** What the form is told by the address that it leads back to. */
export interface Returned {
  readonly refused?: string;
  readonly seconds?: string;
  readonly name?: string;
}

/**
 * Signing in, as it stands in the page before any script has come and works without one: a form that the application takes over
 * when it is there (`app/src/features/frame/sign-in/first-form.ts`).
 */
export function signInForm(demo: DemoPeople | null, { refused, seconds, name = '' }: Returned): Markup {
  return markup`<main>
<form id="sign-in" method="post" action="${SIGN_IN_FORM}">
<label>Name<input name="name" value="${name}" autocomplete="username" autocapitalize="words" maxlength="120" aria-describedby="no-name" pattern="${SOMETHING}" required></label>
<p id="no-name" class="missing">Give your name.</p>
<label>Password<input name="password" type="password" autocomplete="current-password" maxlength="256" aria-describedby="no-password" required></label>
<p id="no-password" class="missing">Give your password.</p>
<p id="refused" role="alert">${refused === undefined ? null : sentenceOf(refused, seconds)}</p>
<button class="first">Sign in</button>
</form>${demo === null ? null : demoForm(demo)}
</main>`;
}

function sentenceOf(code: string, seconds: string | undefined): string {
  if (!isErrorCode(code)) return sentenceFor('wrong_name_or_password', {});
  return sentenceFor(code, seconds === undefined ? {} : { seconds: Number(seconds) || 60 });
}

function demoForm({ password, people }: DemoPeople): Markup {
  return markup`
<form id="demo" method="post" action="${SIGN_IN_FORM}">
<h2>This server shows a demo</h2>
<p>Graupel Peak Ropeways and its people are invented. Tap a name to sign in, or type it with the password “${password}”.</p>
<input type="hidden" name="password" value="${password}">
${people.map(personButton)}
</form>`;
}

const personButton = ({ name, roles, tradeId }: DemoPerson): Markup =>
  markup`<button name="name" value="${name}"><b>${name}</b> <span>${roles.join(', ')}${roles.includes('technician') ? `, ${tradeId}` : ''}</span></button>`;
