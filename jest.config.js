const { transform } = require('jest-expo/web/jest-preset');

/** What needs nothing of Expo's own transformations is turned into what Node runs by swc, several times as fast. */
const swc = ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' } }];

const node = (name, tests = 'src') => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: [`<rootDir>/${tests}/**/*.test.ts`],
  // These are ES modules, which Node can require and Jest cannot.
  transformIgnorePatterns: ['/node_modules/(?!(cookie|@noble)/)'],
  transform: { '\\.[jt]s$': swc },
});

/** @type {import('jest').Config} */
module.exports = {
  // Left alone, Jest keeps one processor free: on two that is one worker.
  maxWorkers: '100%',
  testSequencer: '<rootDir>/scripts/jest-order.cjs',
  // Ends a test that hangs, on a machine of any speed; how long a thing may take is for `bench/` to say.
  testTimeout: 240_000,
  projects: [
    node('core'),
    node('demo'),
    node('paper'),
    node('server'),
    node('simulation', '.'),
    node('bench', '.'),
    {
      displayName: 'app',
      rootDir: `${__dirname}/app`,
      preset: 'jest-expo/web',
      setupFiles: ['<rootDir>/src/testing/text-encoder.ts'],
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
      transform: {
        '/(core|paper|server|demo)/src/.*\\.ts$': swc,
        ...transform,
      },
      moduleNameMapper: {
        '^expo-router$': '<rootDir>/src/testing/router.ts',
        // As in `app/metro.config.js`.
        '^\\.{1,2}/(?:.*/)?TouchableRipple$': '<rootDir>/src/ui/press/touchable.tsx',
        '^\\.{1,2}/(?:.*/)?MaterialCommunityIcon$': '<rootDir>/src/ui/theme/paper-icon.tsx',
      },
      transformIgnorePatterns: [
        '/node_modules/(?!(.*(react-native|expo|@expo|uuidv7|idb|react-navigation|@noble|perfect-freehand).*))',
      ],
    },
  ],
};
