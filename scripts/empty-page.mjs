import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { exportPage } from './build.mjs';
import { hashOf, isDoneFor, noteDone } from './inputs.mjs';
import { root } from './root.mjs';

const folder = '.oilcan/empty-page';

const files = {
  'package.json': JSON.stringify({ name: 'empty-page', private: true, main: 'expo-router/entry' }),
  'app.json': JSON.stringify({
    expo: {
      name: 'Empty page',
      slug: 'empty-page',
      scheme: 'empty-page',
      platforms: ['web'],
      web: { bundler: 'metro', output: 'single' },
      plugins: ['expo-router'],
    },
  }),
  'babel.config.js': `module.exports = (api) => {
  api.cache(true);
  return { presets: ['babel-preset-expo'], plugins: ['react-native-paper/babel'] };
};`,
  'app/_layout.js': `import { Slot } from 'expo-router';
import { PaperProvider } from 'react-native-paper';
export default () => <PaperProvider><Slot /></PaperProvider>;`,
  'app/index.js': `import { Button } from 'react-native-paper';
export default () => <Button mode="contained" onPress={() => undefined}>Nothing is here</Button>;`,
};

/** A page of Expo Router and React Native Paper with one button: what the first visit of the application is compared with. */
export async function buildEmptyPage() {
  const hash = hashOf(['scripts/empty-page.mjs', 'package-lock.json']);
  if (isDoneFor('empty-page', hash, join(folder, 'dist/index.html'))) return;
  for (const [name, text] of Object.entries(files)) {
    const file = join(root, folder, name);
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, text);
  }
  await exportPage(folder, 'empty-page');
  noteDone('empty-page', hash);
}
