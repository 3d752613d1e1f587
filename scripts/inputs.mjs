import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const skipped = new Set(['node_modules', 'dist', '.expo', 'fonts', 'testing']);

function* filesUnder(path) {
  if (!existsSync(path)) return;
  if (statSync(path).isFile()) return yield path;
  for (const name of readdirSync(path).sort()) {
    if (!skipped.has(name)) yield* filesUnder(join(path, name));
  }
}

/** One number for the contents of all files under some paths of the project; tests do not count. */
export function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) {
    for (const file of filesUnder(join(root, path))) {
      if (/\.test\.tsx?$/.test(file)) continue;
      hash.update(file.slice(root.length)).update('\0').update(readFileSync(file)).update('\0');
    }
  }
  return hash.digest('hex');
}

const noteOf = (name) => join(root, '.oilcan', 'done', name);

/** Whether a piece of work was done for exactly these inputs and its result is still there. */
export function isDoneFor(name, hash, result) {
  return existsSync(join(root, result)) && existsSync(noteOf(name)) && readFileSync(noteOf(name), 'utf8') === hash;
}

export function noteDone(name, hash) {
  mkdirSync(join(root, '.oilcan', 'done'), { recursive: true });
  writeFileSync(noteOf(name), hash);
}
