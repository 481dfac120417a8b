const base = {
  testEnvironment: 'node',
  // All materials and ways are introduced before anything is tested, whatever module of the core a test begins with.
  setupFiles: ['<rootDir>/core/index.ts'],
  transform: {
    // These packages are ES modules only, which Jest reads as CommonJS.
    '(?:\\.ts|node_modules/(?:@adonisjs|@phc|@poppinss|@sindresorhus|slugify|case-anything|flattie|pluralize|lodash|qr|syllable|flesch-kincaid)/.+\\.js)$':
      ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } }],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(?:@adonisjs|@phc|@poppinss|case-anything|flattie|qr|syllable|flesch-kincaid)/)',
  ],
}

export default {
  testTimeout: 120_000,
  projects: [
    { ...base, displayName: 'unit', testMatch: ['<rootDir>/tests/{core,app,server,outside}/**/*.test.ts'] },
    { ...base, displayName: 'browser', testMatch: ['<rootDir>/tests/browser/**/*.test.ts'] },
  ],
}
