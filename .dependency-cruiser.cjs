// The rooms of the core, in the order of need: each may use those before it, none those after.
const rooms = [
  'units',
  'print',
  'thread',
  'film',
  'fastener',
  'wrench',
  'joint',
  'tightening',
  'interaction',
  'sequence',
  'timing',
  'heat',
  'fits',
  'statistics',
];

const downhill = rooms.slice(0, -1).map((room, i) => ({
  name: `core-${room}-looks-down`,
  severity: 'error',
  comment: 'imports in the core run downhill',
  from: { path: `^src/core/${room}/` },
  to: { path: `^src/core/(${rooms.slice(i + 1).join('|')})/` },
}));

/** A floor of the house: it imports from itself and from the floors named, from no other in src. */
const floor = (name, above, comment) => ({
  name: `${name}-on-its-floor`,
  severity: 'error',
  ...(comment && { comment }),
  from: { path: `^src/${name}/` },
  to: { path: `^src/(?!${[...above, name].map((one) => `${one}/`).join('|')})` },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    ...downhill,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'no interface, framework, database, Node or package in the core',
      from: { path: '^src/core/' },
      to: { pathNot: '^src/core/' },
    },
    {
      name: 'rooms-by-their-door',
      severity: 'error',
      comment: 'a room of the core is entered by its index',
      from: { path: '^src/core/([^/]+)/' },
      to: { path: '^src/core/([^/]+)/(?!index\\.ts$)', pathNot: '^src/core/$1/' },
    },
    {
      name: 'core-by-its-doors',
      severity: 'error',
      from: { path: '^(src/(?!core/)|demo/|scripts/)' },
      to: { path: '^src/core/[^/]+/(?!index\\.ts$)' },
    },
    floor('model', ['core'], 'the shop’s nouns and what follows from its rows: no database, no interface'),
    floor('instruments', ['core', 'model']),
    floor('reckoner', ['core']),
    floor('workers', ['core']),
    floor('db', ['core', 'model']),
    floor('server', ['core', 'model', 'instruments', 'db'], 'what needs Node or a request'),
    floor(
      'interface',
      ['core', 'model', 'instruments'],
      'what screens share in the browser: never the database or the server',
    ),
    floor('features', ['core', 'model', 'instruments', 'reckoner', 'workers', 'db', 'server', 'interface']),
    {
      name: 'demo-below-features',
      severity: 'error',
      from: { path: '^demo/' },
      to: { path: '^src/(?!core/|model/|db/)' },
    },
    {
      name: 'model-is-pure',
      severity: 'error',
      comment: 'Joi is the one package of the model',
      from: { path: '^src/model/' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/joi/' },
    },
    {
      name: 'features-keep-apart',
      severity: 'error',
      comment: 'what two features need moves down',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    },
    { name: 'nothing-over-app', severity: 'error', from: { path: '^src/(?!app/)' }, to: { path: '^src/app/' } },
    {
      name: 'sqlite-only-in-db',
      severity: 'error',
      from: { pathNot: '^src/db/' },
      to: { path: 'node_modules/better-sqlite3' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
