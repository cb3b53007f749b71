// Mutants, as `npm run mutants` asks for them folder by folder.
export default {
  testRunner: 'jest',
  jest: { configFile: 'stryker.jest.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
  dryRunTimeoutMinutes: 20,
  // One that never ends is killed by the clock, measured against the test's own time.
  timeoutMS: 10_000,
  timeoutFactor: 3,
  ignoreStatic: true,
  reporters: ['json'],
  jsonReporter: { fileName: '.cache/mutants.json' },
  tempDirName: '.cache/mutants',
  allowConsoleColors: false,
  ignorePatterns: ['.next', '.cache', 'public', 'docs', 'e2e', 'bench', 'test-results'],
  disableTypeChecks: false,
};
