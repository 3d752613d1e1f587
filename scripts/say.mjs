/** Prints one line at once. */
export function say(line) {
  process.stdout.write(`${line}\n`);
}

/** Ends with a clear sentence. */
export function giveUp(sentence) {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}
