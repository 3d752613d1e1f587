import { spawn } from 'node:child_process';
import { openSync, readFileSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const DOT_EVERY_MILLISECONDS = 5_000;

/**
 * Runs a command. Quiet ones write to a log file and show a dot now and then; when one fails, the end of its log
 * is shown.
 */
export function run(command, args, { environment = {}, log, shown = false, folder = '.' } = {}) {
  mkdirSync(join(root, '.oilcan', 'logs'), { recursive: true });
  const file = log === undefined ? undefined : join(root, '.oilcan', 'logs', `${log}.log`);
  const output = shown || file === undefined ? 'inherit' : openSync(file, 'w');
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: join(root, folder),
      env: { ...process.env, ...environment },
      stdio: ['ignore', output, output],
      shell: process.platform === 'win32',
    });
    const dots = setInterval(() => shown || process.stdout.write('.'), DOT_EVERY_MILLISECONDS);
    child.on('error', reject);
    child.on('close', (code) => {
      clearInterval(dots);
      if (code === 0) return resolve();
      const end =
        file === undefined || shown ? '' : `\n${readFileSync(file, 'utf8').split('\n').slice(-40).join('\n')}`;
      reject(new Error(`${command} ${args.join(' ')} failed.${end}`));
    });
  });
}
