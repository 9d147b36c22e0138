/** Arrows point down only: app → features → imports → forms → (hooks, ui) → state → (data, workers) → (core, platform), and in core only up the list. */
const CORE = [
  'units',
  'cutting',
  'lumber',
  'shape',
  'project',
  'takeoff',
  'pricing',
  'plan',
  'sawing',
  'budget',
  'compare',
  'io',
];
const tests = '\\.test\\.tsx?$|^src/core/testing\\.ts$';

const layer = (name, from, to, pathNot) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: tests },
  to: { path: to, ...(pathNot ? { pathNot } : {}) },
});

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: { pathNot: tests }, to: { circular: true } },
    layer('core-knows-nothing-above-it', '^src/core/', '^src/(app|features|ui|hooks|state|data|workers)/'),
    layer(
      'core-has-no-interface-storage-or-network',
      '^src/core/',
      'node_modules/(react|react-native|expo|@tanstack|comlink|nanoid|@react-native-async-storage)',
    ),
    ...CORE.map((folder, index) => ({
      name: `core-${folder}-imports-only-those-above-it`,
      severity: 'error',
      from: { path: `^src/core/${folder}/`, pathNot: tests },
      to: { path: `^src/core/(${CORE.slice(index + 1).join('|') || 'none'})/` },
    })),
    layer(
      'the-cutting-library-imports-units-alone',
      '^src/core/cutting/',
      '^src/core/[^/]+/',
      '^src/core/(cutting|units)/',
    ),
    layer(
      'verify-shares-no-planning-code',
      '^src/core/cutting/verify/',
      '^src/core/cutting/(heuristics|solver)/',
    ),
    layer('heuristics-know-no-solver', '^src/core/cutting/heuristics/', '^src/core/cutting/(solver|verify)/'),
    layer('solver-knows-no-verifier', '^src/core/cutting/solver/', '^src/core/cutting/verify/'),
    layer(
      'the-model-knows-no-algorithm',
      '^src/core/cutting/model/',
      '^src/core/cutting/(heuristics|solver|verify)/',
    ),
    layer(
      'platform-knows-nothing-of-billet',
      '^src/platform/',
      '^src/(app|features|ui|hooks|state|data|workers|core)/',
    ),
    layer('core-knows-no-browser', '^src/core/', '^src/platform/'),
    layer('imports-know-no-places', '^src/imports/', '^src/(app|features)/'),
    layer('forms-know-no-places', '^src/forms/', '^src/(app|features|imports)/'),
    layer('ui-knows-no-data', '^src/ui/', '^src/(app|imports|forms|features|hooks|state|data|workers)/'),
    layer('hooks-know-no-screens', '^src/hooks/', '^src/(app|imports|forms|features|ui)/'),
    layer('state-knows-no-screens', '^src/state/', '^src/(app|imports|forms|features|ui|hooks)/'),
    layer(
      'state-has-no-react',
      '^src/state/',
      'node_modules/(react|react-dom|react-native|@tanstack/react-query)/',
    ),
    layer('data-knows-no-screens-or-state', '^src/data/', '^src/(app|features|ui|hooks|state|workers)/'),
    layer('workers-know-the-core-alone', '^src/workers/', '^src/(app|features|ui|hooks|state|data)/'),
    layer('cli-knows-the-core-alone', '^src/cli/', '^src/(app|features|ui|hooks|state|data|workers)/'),
    layer('features-know-no-routes', '^src/features/', '^src/app/'),
    {
      name: 'features-do-not-import-each-other',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/', pathNot: tests },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    },
    layer('routes-name-features', '^src/app/', '^src/(hooks|state|data|workers|core)/'),
    {
      name: 'only-data-touches-storage',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/data/' },
      to: { path: '@react-native-async-storage' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.d.ts', '.json'] },
  },
};
