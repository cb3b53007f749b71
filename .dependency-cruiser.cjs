/**
 * The arrows of docs/architecture.md: app → features → { ui, workers, storage, standins, demo } → words → records →
 * core. An arrow the wrong way fails the build.
 */
const below = {
  core: [],
  offline: [],
  records: ['core'],
  words: ['core', 'records'],
  ui: ['core', 'records', 'words'],
  workers: ['core', 'records', 'words'],
  // The readers of tables, calendars and files stand beside the storage that takes them in.
  'workers/reading': ['workers', 'core', 'records', 'words', 'storage'],
  storage: ['core', 'records'],
  standins: ['core', 'records'],
  demo: ['core', 'records'],
  features: ['core', 'records', 'words', 'ui', 'workers', 'storage', 'standins', 'demo'],
  app: ['core', 'records', 'words', 'ui', 'workers', 'storage', 'standins', 'demo', 'features'],
};
const layers = Object.keys(below);
const isWithin = (layer) => (other) => other.startsWith(`${layer}/`);

/** The features, lowest first: each imports only those before it. */
const FEATURES = [
  ...['shell', 'shelf', 'at-hand', 'plans', 'look', 'intake', 'timers', 'agenda', 'sheets'],
  ...['help', 'faults', 'trouble', 'kept', 'work-card', 'pieces', 'piece', 'stash', 'bench', 'ahead', 'today'],
  'frame',
];
const TESTS = '\\.test\\.tsx?$|^src/testing/';

module.exports = {
  forbidden: [
    ...layers.map((layer) => ({
      name: `${layer}-looks-down-only`,
      severity: 'error',
      comment: `src/${layer} may import from: ${[layer, ...below[layer]].join(', ')}`,
      from: {
        path: `^src/${layer}/`,
        pathNot: [TESTS, ...layers.filter(isWithin(layer)).map((one) => `^src/${one}/`)],
      },
      to: { path: '^src/', pathNot: `^src/(${[layer, ...below[layer]].join('|')})/` },
    })),
    ...FEATURES.map((feature, at) => ({
      name: `feature-${feature}-looks-down-only`,
      severity: 'error',
      comment: `src/features/${feature} may import from: ${FEATURES.slice(0, at).join(', ') || 'no other'}`,
      from: { path: `^src/features/${feature}/`, pathNot: TESTS },
      to: { path: '^src/features/', pathNot: `^src/features/(${FEATURES.slice(0, at + 1).join('|')})/` },
    })),
    {
      name: 'every-feature-has-its-place',
      severity: 'error',
      comment: 'A new folder of features gets its place in the order above.',
      from: { path: '^src/(features|app)/' },
      to: { path: '^src/features/', pathNot: `^src/features/(${FEATURES.join('|')})/` },
    },
    {
      name: 'core-is-plain',
      severity: 'error',
      comment: 'The core has no interface, storage or framework in it.',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(react|react-dom|next|@mui|@emotion|dexie|comlink)(/|$)' },
    },
    {
      name: 'stations-never-import-plan',
      severity: 'error',
      comment: 'The plan is a fold over the stations: what they share stands in core/stations.',
      from: { path: '^src/core/stations/', pathNot: TESTS },
      to: { path: '^src/core/(plan|findings|schedule)/' },
    },
    {
      name: 'pdf-library-behind-one-file',
      severity: 'error',
      from: { path: '^src/', pathNot: `^src/core/sheet/pdf-kit\\.ts$|${TESTS}` },
      to: { path: 'node_modules/@cantoo/pdf-lib' },
    },
    { name: 'no-circles', severity: 'error', from: { path: '^src/' }, to: { circular: true } },
    {
      name: 'no-lost-imports',
      severity: 'error',
      from: { path: '^src/' },
      to: { couldNotResolve: true, pathNot: '^plotly\\.js$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.css'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
    exclude: { path: '\\.css$' },
  },
};
