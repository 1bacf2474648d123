// The rooms of the core, in the order of need: each may use those before it, none those after.
const rooms = ['units', 'print', 'thread', 'film', 'fastener', 'wrench', 'joint', 'tightening', 'heat', 'fits', 'statistics'];

const downhill = rooms.slice(0, -1).map((room, i) => ({
  name: `core-${room}-looks-down`,
  severity: 'error',
  comment: 'imports in the core run downhill',
  from: { path: `^src/core/${room}/` },
  to: { path: `^src/core/(${rooms.slice(i + 1).join('|')})/` },
}));

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
    { name: 'reckoner-over-core', severity: 'error', from: { path: '^src/reckoner/' }, to: { path: '^src/(?!core/|reckoner/)' } },
    { name: 'db-over-core', severity: 'error', from: { path: '^src/db/' }, to: { path: '^src/(?!core/|db/)' } },
    { name: 'instruments-over-core', severity: 'error', from: { path: '^src/instruments/' }, to: { path: '^src/(?!core/|instruments/)' } },
    { name: 'interface-below-features', severity: 'error', from: { path: '^src/interface/' }, to: { path: '^src/(features|app)/' } },
    {
      name: 'features-keep-apart',
      severity: 'error',
      comment: 'what two features need moves down',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    },
    { name: 'nothing-over-app', severity: 'error', from: { path: '^src/(?!app/)' }, to: { path: '^src/app/' } },
    { name: 'sqlite-only-in-db', severity: 'error', from: { pathNot: '^src/db/' }, to: { path: 'node_modules/better-sqlite3' } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default', 'types'] },
  },
};
