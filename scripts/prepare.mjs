import { statfsSync } from 'node:fs';
import { buildApplication, buildNode } from './build.mjs';
import { hashOf, isDoneFor, noteDone } from './inputs.mjs';
import { root } from './root.mjs';
import { run } from './run.mjs';
import { giveUp, say } from './say.mjs';

const NEEDED_BYTES = 2 * 1024 ** 3;

/** Stops with a sentence where the project cannot work. */
export function checkMachine() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    giveUp(
      `Oilcan needs Node 20.19 or newer; this is ${process.versions.node}. Install it from your system's packages or nodejs.org.`,
    );
  }
  const { bavail, bsize } = statfsSync(root);
  if (bavail * bsize < NEEDED_BYTES / 4) {
    giveUp(
      `There are only ${Math.round((bavail * bsize) / 1024 ** 2)} MB free here; installing and building takes about 2 GB.`,
    );
  }
}

/** Installs what is missing and builds what is out of date. */
export async function prepare() {
  await install();
  await buildNode();
  await buildApplication();
}

/** Installs what is missing. */
export async function install() {
  await installPackages();
  await compilePackages();
}

/** Brings the packages, without the parts that a machine compiles for itself. */
export async function installPackages() {
  checkMachine();
  const hash = hashOf(['package-lock.json']);
  if (isDoneFor('packages', hash, 'node_modules/better-sqlite3/package.json')) return;
  say('Installing packages (about 3 minutes the first time)');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts'], { log: 'install' });
  noteDone('packages', hash);
}

/** Compiles what of the packages has to be. Neither the checks nor the build of the application need it. */
export async function compilePackages() {
  const hash = hashOf(['package-lock.json']);
  if (isDoneFor('install', hash, 'node_modules/better-sqlite3/build/Release/better_sqlite3.node')) return;
  await run('npm', ['rebuild'], { log: 'compile' });
  noteDone('install', hash);
  say(' installed');
}
