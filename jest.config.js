/** The core runs in plain Node, as it does on the command line; what is kept with mocks of storage; what is drawn in a DOM. */
const shared = {
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@demo/(.*)$': '<rootDir>/demo/$1' },
};

module.exports = {
  projects: [
    {
      ...shared,
      displayName: 'core',
      testEnvironment: 'node',
      transform: { '\\.[jt]sx?$': '<rootDir>/scripts/jest-esbuild.js' },
      transformIgnorePatterns: ['/node_modules/(?!(nanoid|date-fns|fast-check)/)'],
      testMatch: ['<rootDir>/src/{cli,core}/**/*.test.ts', '<rootDir>/server/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'kept',
      preset: 'jest-expo/node',
      testMatch: ['<rootDir>/src/{data,state}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'interface',
      preset: 'jest-expo/web',
      moduleNameMapper: {
        ...shared.moduleNameMapper,
        '^lucide-react-native/icons/(.*)$': '<rootDir>/node_modules/lucide-react-native/dist/cjs/icons/$1.js',
      },
      testMatch: ['<rootDir>/src/{ui,features,forms,imports}/**/*.test.{ts,tsx}'],
    },
  ],
};
