import { whyUnreadable } from './why-unreadable';

const head = (text: string): Uint8Array => Uint8Array.from(text, (character) => character.charCodeAt(0));
const jpeg = head('\u00ff\u00d8\u00ff\u00e0');

it.each([
  ['a JPEG', 3, jpeg, null],
  ['a JPEG of 80 MB', 80, jpeg, '80 MB'],
  ['a video', 3, head('\0\0\0\u0018ftypmp42'), 'no picture'],
  ['a HEIC picture', 3, head('\0\0\0\u0018ftypheic'), 'HEIC'],
  ['nothing', 0, head(''), 'no picture'],
])('of %s named .jpg says what is wrong', (_, megabytes, bytes, words) => {
  const said = whyUnreadable({ name: 'holiday.jpg', size: megabytes * 1024 * 1024 }, bytes);
  if (words === null) expect(said).toBeNull();
  else expect(said).toContain(words);
});
