/** Arrows point down only: app → features → (ui, data, planning) → core, and in core only up the list. */
const CORE = ['units', 'lumber', 'project', 'takeoff', 'pricing', 'plan', 'budget', 'compare', 'io'];
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
    layer('core-knows-nothing-above-it', '^src/core/', '^src/(app|features|ui|data|planning|reading)/'),
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
    layer('ui-knows-no-data', '^src/ui/', '^src/(app|features|data|planning|reading)/'),
    layer('data-knows-no-screens', '^src/data/', '^src/(app|features|ui|planning|reading)/'),
    layer('workers-know-no-screens', '^src/(planning|reading)/', '^src/(app|features|ui|data)/'),
    layer('cli-knows-the-core-alone', '^src/cli/', '^src/(app|features|ui|data|planning|reading)/'),
    layer('features-know-no-routes', '^src/features/', '^src/app/'),
    {
      name: 'features-do-not-import-each-other',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/', pathNot: tests },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    },
    layer('routes-name-features', '^src/app/', '^src/(data|planning|reading|core)/'),
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
