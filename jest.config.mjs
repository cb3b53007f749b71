/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  // Far above what any takes: a machine may be five times slower, and busy.
  testTimeout: 60_000,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  moduleNameMapper: { '\\.css$': '<rootDir>/src/testing/no-css.ts', '^@/(.*)$': '<rootDir>/src/$1' },
  transform: {
    '^.+\\.(t|j)sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(ical\\.js|comlink|clipper2-ts|react-hotkeys-hook)/)'],
};
