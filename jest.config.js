const node = (name, tests = 'src') => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: [`<rootDir>/${tests}/**/*.test.ts`],
  // `cookie` is an ES module, which Node can require and Jest cannot.
  transformIgnorePatterns: ['/node_modules/(?!cookie/)'],
  transform: { '\\.[jt]s$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' } }] },
});

/** @type {import('jest').Config} */
module.exports = {
  // Left alone, Jest keeps one processor free: on two that is one worker.
  maxWorkers: '100%',
  // Ends a test that hangs, on a machine of any speed; how long a thing may take is for `bench/` to say.
  testTimeout: 60_000,
  projects: [
    node('core'),
    node('demo'),
    node('server'),
    node('simulation', '.'),
    {
      displayName: 'app',
      rootDir: `${__dirname}/app`,
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
      moduleNameMapper: { '^expo-router$': '<rootDir>/src/testing/router.ts' },
      transformIgnorePatterns: ['/node_modules/(?!(.*(react-native|expo|@expo|uuidv7|idb|react-navigation).*))'],
    },
  ],
};
