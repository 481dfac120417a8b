/** The house's layers (docs/architecture.md): imports run one way. */
const floors = [
  'number',
  'problem',
  'act|mistakes',
  'representation|way|speech',
  'plan',
  'record',
  'course|diagnose|progress|kit|rehearse|story|braille',
  'paper',
]
const below = floors.flatMap((floor, i) =>
  i === 0
    ? []
    : [
        {
          name: `${floors[i - 1]}-under-${floor}`,
          severity: 'error',
          from: { path: `^core/(${floors.slice(0, i).join('|')})/` },
          to: { path: `^core/(${floor})/` },
        },
      ],
)
const rule = (name, from, to) => ({ name, severity: 'error', from, to })

// What sheets are printed with: in a worker, and nowhere else.
const press = ['^node_modules/(pdfkit|qr|@fontsource)/', '^node_modules/@types/pdfkit/']

module.exports = {
  forbidden: [
    ...below,
    rule('no-circles', {}, { circular: true }),
    rule(
      'core-stands-alone',
      { path: '^core/', pathNot: '^core/rehearse/' },
      { pathNot: ['^core/', '^node_modules/fraction\\.js/'] },
    ),
    rule(
      'rehearse-knows-its-scheduler',
      { path: '^core/rehearse/' },
      { pathNot: ['^core/', '^node_modules/(fraction\\.js|ts-fsrs)/'] },
    ),
    rule(
      'through-the-front-door',
      {
        path: '^(app|server|shared|workers|demo)/',
        pathNot: '^app/(components/mats/|components/bench/shelf/|mats\\.ts$)',
      },
      {
        path: '^core/',
        pathNot: [
          '^core/(index|door|whole|spanish)\\.ts$',
          '^core/(braille|course|diagnose|kit|paper|progress|rehearse|story|representation/abacus|representation/touch)/index\\.ts$',
        ],
      },
    ),
    // A mat takes what its drawing needs from the folder of its own material.
    rule(
      'mats-know-their-materials',
      { path: '^app/(components/mats/|components/bench/shelf/|mats\\.ts$)' },
      {
        path: '^core/',
        pathNot: ['^core/door\\.ts$', '^core/(course|rehearse)/index\\.ts$', '^core/representation/'],
      },
    ),
    // All materials at once would be in the first script.
    rule('app-fetches-materials', { path: '^(app|shared)/' }, { path: '^core/index\\.ts$' }),
    rule(
      'workers-know-the-core',
      { path: '^workers/', pathNot: '^workers/offline\\.ts$' },
      { pathNot: ['^(core|workers)/', ...press] },
    ),
    rule('offline-knows-no-product', { path: '^workers/offline\\.ts$' }, { pathNot: '^node_modules/workbox-' }),
    rule(
      'representations-apart',
      { path: '^core/representation/([^/]+)/' },
      // What pieces in columns share, and what things counted one each share, and what wholes and parts share, has a folder of its own.
      { path: '^core/representation/([^/]+)/', pathNot: '^core/representation/($1|placed|counting|parts)/' },
    ),
    rule('representations-know-no-way', { path: '^core/representation/' }, { path: '^core/(way|speech)/' }),
    rule('ways-know-no-screen', { path: '^core/way/' }, { path: '^core/(representation|speech)/' }),
    rule('app-asks-the-server', { path: '^app/' }, { path: '^(server|demo|tests|tools)/' }),
    rule('server-draws-nothing', { path: '^(server|shared)/' }, { path: '^app/' }),
    rule('no-tests-in-the-product', { path: '^(core|app|server|shared|demo|workers)/' }, { path: '^(tests|tools)/' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    moduleSystems: ['es6', 'cjs'],
  },
}
