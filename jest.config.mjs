import { toldTime } from './scripts/told-time.mjs';

// What runs the tests hands it on to them: the zone, and with it what a local time means.
process.env.TZ = toldTime().zone;

/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  // Far above what any takes: a machine may be five times slower, and busy.
  testTimeout: 60_000,
  setupFiles: ['<rootDir>/src/testing/told-time.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.cache/'],
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  moduleNameMapper: { '\\.css$': '<rootDir>/src/testing/no-css.ts', '^@/(.*)$': '<rootDir>/src/$1' },
  transform: {
    '^.+\\.(m?js|jsx|tsx?)$': [
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
