import { guestWords as words } from '../src/guests/guest-words';
import { keep, keptPosts, letGo, type KeptPost } from './kept-posts';
import { noteReport, reportsHere } from './my-reports';
import { smallerPhoto } from './smaller-photo';

/** Kept posts are tried again so often while the page is open; the browser says so, too, when there is signal again. */
const AGAIN_MILLISECONDS = 15_000;

/** What the server says of a post. */
type Answer =
  | { readonly is: 'taken'; readonly number: string; readonly follow: string }
  | { readonly is: 'refused'; readonly sentence: string }
  /** No signal, or a server that has too much to do: it goes out later. */
  | { readonly is: 'later' };

async function send({ action, fields, photo }: KeptPost): Promise<Answer> {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.append(name, value);
  if (photo !== null) form.append('photo', photo, 'photo.jpg');
  try {
    const answer = await fetch(action, { method: 'POST', body: form, headers: { accept: 'application/json' } });
    if (answer.status === 429 || answer.status >= 500) return { is: 'later' };
    const said = (await answer.json()) as { number: string; follow: string; sentence: string };
    return answer.ok ? { is: 'taken', ...said } : { is: 'refused', sentence: said.sentence };
  } catch {
    return { is: 'later' };
  }
}

function tell(sentence: string): void {
  const told = document.getElementById('told');
  if (told === null) return;
  told.textContent = sentence;
  told.hidden = false;
  told.className = 'error';
  told.scrollIntoView({ block: 'center' });
}

/** What a form holds, with its photo made small enough for a bad line. */
async function postOf(form: HTMLFormElement): Promise<KeptPost> {
  const fields: Record<string, string> = {};
  let photo: Blob | null = null;
  for (const [name, value] of new FormData(form)) {
    if (typeof value === 'string') fields[name] = value;
    else if (value.size > 0) photo = await smallerPhoto(value);
  }
  return { id: fields['post'] ?? '', action: form.action, fields, photo, page: location.pathname };
}

async function submit(form: HTMLFormElement): Promise<void> {
  const button = form.querySelector('button');
  const said = button?.textContent ?? '';
  if (button !== null) {
    button.disabled = true;
    button.textContent = words.sending;
  }
  const post = await postOf(form);
  // It is kept before it is sent, so that a page that is closed meanwhile loses nothing.
  await keep(post);
  const answer = await send(post);
  if (answer.is !== 'later') await letGo(post.id);
  if (answer.is === 'taken') return goTo(answer);
  if (answer.is === 'later') form.hidden = true;
  tell(answer.is === 'later' ? words.kept : answer.sentence);
  if (button === null) return;
  button.disabled = false;
  button.textContent = said;
}

function goTo({ number, follow }: { readonly number: string; readonly follow: string }): void {
  noteReport({ number, follow });
  location.assign(follow);
}

let isTrying = false;

/** Sends what is kept, the oldest first; the page goes on to the report that was made on it. */
async function sendKept(): Promise<void> {
  if (isTrying) return;
  isTrying = true;
  try {
    for (const post of await keptPosts()) {
      const answer = await send(post);
      if (answer.is === 'later') break;
      await letGo(post.id);
      if (answer.is === 'refused') tell(`${words.keptRefused} ${answer.sentence}`);
      else if (post.page === location.pathname) return goTo(answer);
      else {
        noteReport(answer);
        tell(words.keptSent);
      }
      showMine();
    }
  } finally {
    isTrying = false;
  }
}

/** Links to what was reported from this phone. */
function showMine(): void {
  const mine = document.getElementById('mine');
  const list = mine?.querySelector('ul') ?? null;
  const reports = reportsHere();
  if (mine === null || list === null || reports.length === 0) return;
  list.replaceChildren(
    ...reports.map(({ number, follow }) => {
      const link = document.createElement('a');
      link.className = 'line';
      link.href = follow;
      link.textContent = number;
      const line = document.createElement('li');
      line.append(link);
      return line;
    }),
  );
  mine.hidden = false;
}

for (const form of document.querySelectorAll<HTMLFormElement>('form[data-send]'))
  form.addEventListener('submit', (event) => {
    event.preventDefault();
    void submit(form);
  });

// Whoever opens a private link has it from then on.
const number = document.querySelector('.number')?.textContent ?? '';
if (number !== '') noteReport({ number, follow: location.pathname });
showMine();
void sendKept();
window.addEventListener('online', () => void sendKept());
setInterval(() => void sendKept(), AGAIN_MILLISECONDS);
