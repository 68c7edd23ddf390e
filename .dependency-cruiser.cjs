// The arrows of the architecture run one way: web, server, cli -> draw -> study -> contract -> core;
// probe, the device's end of a measurement, stands on contract and core.
const LAYERS = ['core', 'contract', 'probe', 'study', 'draw'];
const OURS = [...LAYERS, 'server', 'web', 'cli', 'e2e', 'benchmarks', 'bin'].join('|');
const tests = '\\.test\\.tsx?$';

const oneWay = LAYERS.map((layer, i) => ({
  name: `${layer}-imports-only-below`,
  comment: `${layer} may import only ${LAYERS.slice(0, i).join(', ') || 'nothing of ours'}`,
  severity: 'error',
  from: { path: `^${layer}/src` },
  to: { path: `^(?!(${[...LAYERS.slice(0, i), layer].join('|')})/)(${OURS})/` },
}));

const apart = ['server', 'web', 'cli'].map((leaf) => ({
  name: `${leaf}-apart`,
  comment: `${leaf} imports no other program`,
  severity: 'error',
  from: { path: `^${leaf}/src` },
  to: { path: `^(?!(${[...LAYERS, leaf].join('|')})/)(${OURS})/` },
}));

module.exports = {
  forbidden: [
    ...oneWay,
    ...apart,
    {
      name: 'pure',
      comment: 'core, contract, probe, study and draw import no platform module',
      severity: 'error',
      from: { path: '^(core|contract|probe|study|draw)/src', pathNot: tests },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'resolvable',
      severity: 'error',
      from: { pathNot: '\\.css$' },
      // What ends in ?url is the bundler's to resolve: it fails the build where it cannot.
      to: { couldNotResolve: true, pathNot: '^virtual:|\\?url$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs', '.json'],
    },
  },
};
