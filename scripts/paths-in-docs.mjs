// Every file and folder that the documents name is there: in links, and in code set apart by backticks.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { root } from './root.mjs';
import { giveUp } from './say.mjs';

/** Where a path may begin that does not begin at the root or beside its document. */
const bases = [
  '',
  'core',
  'core/src',
  'core/src/subjects',
  'server',
  'server/src',
  'app',
  'app/src',
  'app/src/features',
  'demo/src',
  'paper/src',
];
const LINK = /\]\((?!https?:|#|mailto:)([^)#\s]+)[^)]*\)/g;
const CODE = /`([\w@.-]+(?:\/[\w@.-]+)*\/?)`/g;
/** What is a path: a file of ours by its ending, or a folder by its slash. */
const isPath = (text) => /\.(?:tsx?|m?js|cjs|mts|md|json|css)$/.test(text) || /\/$/.test(text);
/** Made by a command, or named as an example. */
const notHere = /^(?:\.oilcan|dist|app\/dist|server\/dist|demo\/dist|node_modules)(?:\/|$)/;

const documents = execFileSync('git', ['ls-files', '*.md'], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter(Boolean);
const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], {
  cwd: root,
  encoding: 'utf8',
}).split('\n');
const names = new Set(files.flatMap((file) => file.split('/').slice(-1)));
/** Each file and each folder above one. What git holds counts: a clone still has empty folders of what moved away. */
const known = new Set(files.flatMap((file) => file.split('/').map((_, at, parts) => parts.slice(0, at + 1).join('/'))));
const isThere = (...parts) => {
  const path = posix.join(...parts).replace(/\/$/, '');
  return path === '.' || known.has(path);
};
const missing = documents.flatMap((document) => {
  const text = readFileSync(join(root, document), 'utf8');
  const beside = dirname(document);
  const links = [...text.matchAll(LINK)].map(([, path]) => path).filter((path) => !isThere(beside, path));
  const paths = [...text.matchAll(CODE)]
    .map(([, path]) => path)
    .filter((path) => isPath(path) && !notHere.test(path))
    .filter((path) => ![beside, ...bases].some((base) => isThere(base, path)))
    // A name alone stands for the one file of that name, wherever it is.
    .filter((path) => path.includes('/') || !names.has(path));
  return [...links, ...paths].map((path) => `${document} names ${path}, which is not there.`);
});
if (missing.length > 0) giveUp(missing.join('\n'));
