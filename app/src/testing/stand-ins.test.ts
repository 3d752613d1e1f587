import { existsSync, readdirSync } from 'node:fs';
import { dirname, join, parse } from 'node:path';
import standIns from '../../stand-ins.json';

/** Names of all files and folders of a package. */
function namesIn(name: string): ReadonlySet<string> {
  const folder = dirname(require.resolve(`${name}/package.json`));
  return new Set(readdirSync(folder, { recursive: true }).map((path) => parse(String(path)).name));
}

// An update that gave one of these another name would bring it back unseen.
describe('what is left out of other packages, and in whose place ours stand', () => {
  it.each([
    ['expo-router', standIns.unusedInRouter],
    ['react-native-web', [...standIns.unusedNative, ...standIns.unusedAnimated]],
    ['react-native-paper', Object.keys(standIns.insidePaper)],
  ])('is there in %s', (name, named) => {
    const there = namesIn(name);
    expect(named.filter((each) => !there.has(each))).toEqual([]);
  });

  it('is one of ours, where ours stand', () => {
    const ours = Object.values(standIns.insidePaper).map((path) => join(__dirname, '../ui', path));
    expect(ours.filter((path) => !existsSync(path))).toEqual([]);
  });
});
